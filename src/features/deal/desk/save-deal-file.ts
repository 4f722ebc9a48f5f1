import type { DealDocument } from "@/exchange/deal-document";
import type { Dealer } from "@/exchange/dealer";
import { wholeDealOf } from "@/exchange/whole-deal/whole-deal-of";
import { saveFile } from "@/features/figures/save-file";

/**
 * Saves a deal with all its options as a file of its own.
 *
 * @param dealer what the dealer alone sees, where it is to be in it
 */
export function saveDealFile(name: string, document: DealDocument, dealer?: Dealer): void {
  const file = wholeDealOf(document, dealer);
  saveFile(`${name}.deal.json`, "application/json", `${JSON.stringify(file, null, 2)}\n`);
}
