import type { CostedList } from "../structure/costed-lists";
import { COSTED_LISTS, lineIds } from "../structure/line-ids";
import type { StructureFile } from "../structure/structure.schema";
import type { DealerFile, DealerOfOption } from "./dealer.schema";

/** What the costs of each list are called in a file. */
const NAMES = {
  fees: "feeCosts",
  extras: "extraCosts",
  tradeIns: "tradeInValues",
  rebates: "ownRebates",
} as const satisfies Record<CostedList, keyof DealerFile>;

/** The dealer's side of an option as it is filed; undefined where nothing is known of what is there. */
export function dealerFileOf(structure: StructureFile, known: DealerOfOption = {}): DealerFile | undefined {
  const { costs = {}, extraChargebacks = {}, ...others } = known;
  const filed: DealerFile = { ...others };
  for (const list of COSTED_LISTS) {
    const amounts = lineIds(structure, list).map(id => costs[id] ?? null);
    if (amounts.some(amount => amount !== null)) filed[NAMES[list]] = amounts;
  }
  const chargebacks = lineIds(structure, "extras").map(id => extraChargebacks[id] ?? null);
  if (chargebacks.some(chargeback => chargeback !== null)) filed.extraChargebacks = chargebacks;
  return Object.keys(filed).length > 0 ? filed : undefined;
}

/** The dealer's side of an option from a file; what stands beyond the last line of a list is of no line. */
export function dealerOfFile(structure: StructureFile, filed: DealerFile = {}): DealerOfOption {
  const { feeCosts, extraCosts, tradeInValues, ownRebates, extraChargebacks, ...others } = filed;
  const amounts = { feeCosts, extraCosts, tradeInValues, ownRebates };
  const costs: NonNullable<DealerOfOption["costs"]> = {};
  for (const list of COSTED_LISTS) Object.assign(costs, byIds(structure, list, amounts[NAMES[list]]));
  const chargebacks = byIds(structure, "extras", extraChargebacks);
  return {
    ...others,
    ...(Object.keys(costs).length > 0 && { costs }),
    ...(Object.keys(chargebacks).length > 0 && { extraChargebacks: chargebacks }),
  };
}

/** What stands in the order of a list's lines, by the ids of these. */
function byIds<Known>(
  structure: StructureFile,
  list: CostedList,
  filed: readonly (Known | null)[] = [],
): Record<string, Known> {
  const known: Record<string, Known> = {};
  for (const [index, id] of lineIds(structure, list).entries()) {
    const each = filed[index] ?? null;
    if (each !== null) known[id] = each;
  }
  return known;
}
