import { newLineId } from "@/exchange/deal-document";
import { COSTED } from "@/exchange/structure/costed-lists";
import type { LineOf, ListName } from "../fields";

/**
 * A line as it is put into a deal, with an id of its own where the dealer's side can know something of it: one that is taken
 * from the house's usual ones begins with the id of that one, by which the server knows what it costs.
 */
export function newLine<List extends ListName>(list: List, line: LineOf<List>): LineOf<List> {
  if (!(list in COSTED)) return line;
  const usual = (line as { id?: string }).id;
  return { ...line, id: usual === undefined ? newLineId() : `${usual}-${newLineId()}` };
}
