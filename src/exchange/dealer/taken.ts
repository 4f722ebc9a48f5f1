import { type DealDocument, type DealOption, optionOf } from "../deal-document";
import { COSTED_LISTS, lineIds } from "../structure/line-ids";
import type { Dealer, DealerOfOption } from "./dealer.schema";

/**
 * What the house knows of what a deal can take: what each usual extra costs, by its id, the deal's vehicle in stock, and how
 * lenders and officers are usually paid, which a new deal starts with.
 */
export type KnownCosts = {
  usual: Readonly<Record<string, string | number>>;
  vehicle: string | undefined;
  terms?: Pick<DealerOfOption, "reserve" | "officerShare"> | undefined;
};

/** The ids of all lines of an option that can have cost something. */
const idsOf = ({ inputs }: DealOption): string[] =>
  COSTED_LISTS.flatMap(list => lineIds(inputs.structure, list));

/** The lines that a change has put into an option. */
function newIds(option: DealOption, before: DealDocument | undefined): string[] {
  const earlier = before && optionOf(before, option.id);
  if (!earlier) return idsOf(option);
  if (earlier.inputs === option.inputs) return [];
  const known = new Set(idsOf(earlier));
  return idsOf(option).filter(id => !known.has(id));
}

/** Whether a change may have taken something of which a cost is known. */
export const takesSomething = (before: DealDocument, after: DealDocument): boolean =>
  isOtherVehicle(before, after) || after.options.some(option => newIds(option, before).length > 0);

const isOtherVehicle = (before: DealDocument, after: DealDocument) =>
  before.vehicle?.id !== after.vehicle?.id;

/** The usual extra that a line was taken from: its id begins the line's. */
function usualCost(lineId: string, usual: KnownCosts["usual"]): string | number | undefined {
  return Object.entries(usual).find(([id]) => lineId === id || lineId.startsWith(`${id}-`))?.[1];
}

/**
 * The dealer's part of a deal after a change of what is agreed, which the one who made it need not have seen: a usual
 * extra and a vehicle of the stock come with what they cost, and a copied option with what is known of the one that it was
 * copied from.
 *
 * @param before the deal before the change; undefined where it is new
 */
export function withTakenCosts(
  dealer: Dealer,
  before: DealDocument | undefined,
  after: DealDocument,
  known: KnownCosts,
): Dealer {
  const options = { ...dealer.options };
  for (const option of after.options) {
    const present: DealerOfOption = options[option.id] ?? startOf(option, dealer, before, after, known);
    const { cost: _cost, costs: _costs, ...others } = present;
    const taken = {
      ...others,
      ...costMember(present, before, after, known),
      ...costsMember(present, option, before, known),
    };
    if (option.id in options || Object.keys(taken).length > 0) options[option.id] = taken;
  }
  return Object.keys(options).length > 0 ? { ...dealer, options } : dealer;
}

/** What is known of an option of which nothing is kept yet: of a copy what it was copied with, of a new one how all are paid. */
function startOf(
  option: DealOption,
  dealer: Dealer,
  before: DealDocument | undefined,
  after: DealDocument,
  { terms = {} }: KnownCosts,
): DealerOfOption {
  if (!before) return terms;
  return optionOf(before, option.id) ? {} : (copiedFrom(option, dealer, after) ?? terms);
}

/** The cost of the vehicle: of another one, what is known of that. */
function costMember(
  { cost: present }: DealerOfOption,
  before: DealDocument | undefined,
  after: DealDocument,
  { vehicle }: KnownCosts,
): Pick<DealerOfOption, "cost"> {
  const isOther = before ? isOtherVehicle(before, after) : present === undefined;
  const cost = isOther ? vehicle : present;
  return cost === undefined ? {} : { cost };
}

/** The costs of the lines: of a new one, what is known of the usual extra that it was taken from. */
function costsMember(
  { costs: present }: DealerOfOption,
  option: DealOption,
  before: DealDocument | undefined,
  { usual }: KnownCosts,
): Pick<DealerOfOption, "costs"> {
  const costs = { ...present };
  for (const id of newIds(option, before)) {
    const taken = costs[id] ?? usualCost(id, usual);
    if (taken !== undefined) costs[id] = taken;
  }
  return Object.keys(costs).length > 0 ? { costs } : {};
}

/** What is known of the option that a new one has most lines of; what lenders said of that one, and why its rate is, is its own. */
function copiedFrom(
  copy: DealOption,
  { options = {} }: Dealer,
  { options: all }: DealDocument,
): DealerOfOption | undefined {
  const ids = new Set(idsOf(copy));
  const shared = all
    .filter(({ id }) => id !== copy.id && options[id])
    .map(option => ({ known: options[option.id], lines: idsOf(option).filter(id => ids.has(id)).length }));
  const { known } = shared.sort((one, other) => other.lines - one.lines)[0] ?? {};
  return known && ofACopy(known);
}

/** What a copy is known by: what lenders said, why its rate is as it is and what came back are of the one that it was made of. */
export function ofACopy({
  lenderAnswers: _answers,
  spreadReason: _reason,
  chargedBack: _back,
  ...copied
}: DealerOfOption): DealerOfOption {
  return copied;
}

/** The dealer's part of a deal that is a copy of another one. */
export function dealerOfCopy({ options, ...others }: Dealer): Dealer {
  if (!options) return others;
  return {
    ...others,
    options: Object.fromEntries(Object.entries(options).map(([id, known]) => [id, ofACopy(known)])),
  };
}
