import type { DealDocument } from "@/exchange/deal-document";
import type { Dealer } from "@/exchange/dealer";
import { wholeDealOf } from "@/exchange/whole-deal/whole-deal-of";
import { recordsApi } from "@/features/api/records";
import { saveFile } from "@/features/figures/save-file";

/**
 * Saves a deal with all its options as a file of its own.
 *
 * @param dealer what the dealer alone sees, where it is to be in it
 */
export async function saveDealFile(name: string, document: DealDocument, dealer?: Dealer): Promise<void> {
  const { vehicle } = document;
  const known = vehicle && (await recordsApi.one("vehicle", vehicle.id));
  // While the server is away a file is saved without it.
  const stockNumber = known?.kind === "done" ? known.value.vehicle?.stockNumber : undefined;
  const file = wholeDealOf(document, { dealer, stockNumber });
  saveFile(`${name}.deal.json`, "application/json", `${JSON.stringify(file, null, 2)}\n`);
}
