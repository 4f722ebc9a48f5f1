import type { CostedList } from "../structure/costed-lists";
import { COSTED_LISTS, lineIds } from "../structure/line-ids";
import type { StructureFile } from "../structure/structure.schema";
import type { DealerFile, DealerOfOption } from "./dealer.schema";

/** What the costs of each list are called in a file. */
const NAMES = { fees: "feeCosts", extras: "extraCosts", tradeIns: "tradeInValues" } as const satisfies Record<
  CostedList,
  keyof DealerFile
>;

/** The dealer's side of an option as it is filed; undefined where nothing is known of what is there. */
export function dealerFileOf(
  structure: StructureFile,
  { cost, costs = {} }: DealerOfOption = {},
): DealerFile | undefined {
  const filed: DealerFile = { ...(cost !== undefined && { cost }) };
  for (const list of COSTED_LISTS) {
    const amounts = lineIds(structure, list).map(id => costs[id] ?? null);
    if (amounts.some(amount => amount !== null)) filed[NAMES[list]] = amounts;
  }
  return Object.keys(filed).length > 0 ? filed : undefined;
}

/** The dealer's side of an option from a file; amounts beyond the last line of a list are of no line. */
export function dealerOfFile(structure: StructureFile, filed: DealerFile = {}): DealerOfOption {
  const costs: NonNullable<DealerOfOption["costs"]> = {};
  for (const list of COSTED_LISTS)
    for (const [index, id] of lineIds(structure, list).entries()) {
      const amount = filed[NAMES[list]]?.[index] ?? null;
      if (amount !== null) costs[id] = amount;
    }
  return {
    ...(filed.cost !== undefined && { cost: filed.cost }),
    ...(Object.keys(costs).length > 0 && { costs }),
  };
}
