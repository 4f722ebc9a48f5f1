import type { DealDocument } from "@/exchange/deal-document";
import type { Dealer } from "@/exchange/dealer";
import { forCustomers } from "@/exchange/for-customers";
import type { WholeDealFile } from "@/exchange/whole-deal/whole-deal.schema";
import { wholeDealOf } from "@/exchange/whole-deal/whole-deal-of";
import { recordsApi } from "@/features/api/records";
import { saveFile } from "@/features/figures/save-file";

/**
 * Saves a deal with all its options as a file of its own.
 *
 * @param dealer what the dealer alone sees, where it is to be in it
 */
export async function saveDealFile(name: string, document: DealDocument, dealer?: Dealer): Promise<void> {
  const stockNumber = await stockNumberOf(document);
  save(name, wholeDealOf(document, { dealer, stockNumber }));
}

/** The same with what its customer may see, and nothing else. */
export async function saveCustomersFile(name: string, document: DealDocument): Promise<void> {
  const stockNumber = await stockNumberOf(document);
  save(`${name}, for the customer`, wholeDealOf(forCustomers(document), { stockNumber }));
}

/** The stock number of the deal's vehicle; while the server is away a file is saved without it. */
async function stockNumberOf({ vehicle }: DealDocument): Promise<string | null | undefined> {
  const known = vehicle && (await recordsApi.one("vehicle", vehicle.id));
  return known?.kind === "done" ? known.value.vehicle?.stockNumber : undefined;
}

const save = (name: string, file: WholeDealFile) =>
  saveFile(`${name}.deal.json`, "application/json", `${JSON.stringify(file, null, 2)}\n`);
