import type { DealDocument } from "@/exchange/deal-document";
import { wholeDealOf } from "@/exchange/whole-deal/whole-deal-of";
import { saveFile } from "@/features/figures/save-file";

/** Saves a deal with all its options as a file of its own. */
export function saveDealFile(name: string, document: DealDocument): void {
  saveFile(`${name}.deal.json`, "application/json", `${JSON.stringify(wholeDealOf(document), null, 2)}\n`);
}
