import { COSTED, type CostedList } from "./costed-lists";
import { tradeInsOf } from "./read-structure";
import type { StructureFile } from "./structure.schema";

export const COSTED_LISTS = Object.keys(COSTED) as CostedList[];

type Line = { id?: string };
type Structure = Pick<StructureFile, CostedList | "tradeIn">;

const linesOf = (structure: Structure, list: CostedList): readonly Line[] =>
  (list === "tradeIns" ? tradeInsOf(structure) : structure[list]) ?? [];

/**
 * The ids of a list's lines, in order: a line has the one that it was given, else one by its place. No two are the same.
 *
 * @example lineIds({ fees: [{ name: "Title", amount: "85" }] }, "fees") // ["fee-1"]
 */
export function lineIds(structure: Structure, list: CostedList): string[] {
  const lines = linesOf(structure, list);
  const taken = new Set(lines.flatMap(({ id }) => id ?? []));
  const seen = new Set<string>();
  return lines.map(({ id }, index) => {
    const own = id !== undefined && !seen.has(id) ? id : freeId(list, index, taken);
    taken.add(own);
    seen.add(own);
    return own;
  });
}

function freeId(list: CostedList, index: number, taken: ReadonlySet<string>): string {
  let number = index + 1;
  while (taken.has(`${COSTED[list]}-${number}`)) number++;
  return `${COSTED[list]}-${number}`;
}

/** The structure with an id on each line that the dealer's part can tell something of; the same where all have one. */
export function withLineIds<Of extends Structure>(structure: Of): Of {
  let identified = structure;
  for (const list of COSTED_LISTS) {
    const lines = structure[list] as readonly Line[] | undefined;
    if (!lines) continue;
    const ids = lineIds(structure, list);
    if (lines.some(({ id }, index) => id !== ids[index]))
      identified = { ...identified, [list]: lines.map((line, index) => ({ ...line, id: ids[index] })) };
  }
  return identified;
}
