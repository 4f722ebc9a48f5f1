import { percentOf, readPercent } from "../../interest";
import type { Quote } from "../../kinds";
import type { DealerSide } from "./dealer-side";
import { type Reserve, reserveOf } from "./reserve";
import { soldWithoutTaxes } from "./without-taxes";

/** What one line earns, in minor units; below zero it costs. */
export type EarnedLine = {
  of: "price" | "tradeIn" | "fee" | "rebate" | "extra" | "reserve" | "lenderFee" | "other";
  name: string;
  amount: number;
  /** What it is the difference of, where it is one. */
  difference?: readonly [from: number, less: number];
  /** Its place in its list, where it has one. */
  index?: number;
  /** Left out of what the officer has a share in. */
  isUnshared?: true;
};

/** Lines and what they come to, in minor units; null where a cost is missing without which nothing is known. */
export type Gross = { lines: readonly EarnedLine[]; total: number | null };

/** What a deal earns the dealer, in minor units. */
export type Income = {
  front: Gross;
  back: { lines: readonly EarnedLine[]; total: number };
  /** Null where none is agreed, or none can be reckoned. */
  reserve: Reserve | null;
  total: number | null;
  /** Null where no share is agreed, or what it is of is not known. */
  officerShare: number | null;
  /** Why a figure is missing, in sentences. */
  notes: readonly string[];
};

/** A dealer's side of which nothing is known. */
export const NO_SIDE: DealerSide = {
  cost: null,
  tradeInValues: [],
  feeCosts: [],
  extraCosts: [],
  ownRebates: [],
  lenderFee: 0,
  others: [],
  buyRate: null,
  reserve: null,
  extraChargebacks: [],
  officerShare: null,
};

/**
 * What a deal earns the dealer: the front gross of what is sold and taken in, the back gross of what is sold with it and of
 * the lender's reserve, and the officer's share.
 *
 * Prices, fees and extras count without the taxes that are in them. A fee without a cost is passed on and earns nothing, nor
 * does an extra whose cost is not known; a rebate is the maker's unless it is the dealer's own. A personal loan sells nothing, so
 * that its front gross is what its fees earn.
 *
 * @param quote an answered deal
 * @param side what the dealer knows of it, in minor units
 * @param place whose law counts, by ISO 3166-1; none where left out
 * @example income(campervan, { ...NO_SIDE, cost: 3610000 }).front.total // 232500
 */
export function income(quote: Quote, side: DealerSide, place?: string): Income {
  const sold = soldWithoutTaxes(quote);
  const reserve = reserveOf(quote, side, place);
  const front = frontLines(quote, side, sold.price, sold.fees);
  const amount = reserve.ok ? reserve.value : null;
  const back = backLines(quote, side, sold.extras, amount);
  const isKnown = side.cost !== null || quote.filled.structure.personal !== undefined;
  const frontTotal = isKnown ? sumOf(front) : null;
  const backTotal = sumOf(back);
  const total = frontTotal === null ? null : frontTotal + backTotal;
  const unshared = (lines: readonly EarnedLine[]) => sumOf(lines.filter(line => line.isUnshared));
  const shared = {
    back: backTotal - unshared(back),
    all: total === null ? null : total - unshared(front) - unshared(back),
    reserve: amount?.amount ?? 0,
  };
  return {
    front: { lines: front, total: frontTotal },
    back: { lines: back, total: backTotal },
    reserve: amount,
    total,
    officerShare: officerShareOf(side, shared),
    notes: [
      ...(isKnown ? [] : ["What the vehicle cost is missing: without it there is no front gross."]),
      ...(reserve.ok ? [] : [reserve.failure.sentence]),
      ...unknownExtras(back, quote, side),
    ],
  };
}

const sumOf = (lines: readonly EarnedLine[]) => lines.reduce((sum, { amount }) => sum + amount, 0);

/** An amount less another. */
const less = (of: EarnedLine["of"], name: string, index: number, from: number, cost: number): EarnedLine => ({
  of,
  name,
  index,
  amount: from - cost,
  difference: [from, cost],
});

function frontLines(
  { filled: { structure } }: Quote,
  side: DealerSide,
  price: number,
  fees: readonly number[],
): EarnedLine[] {
  const { cost, feeCosts, tradeInValues, ownRebates, others } = side;
  const { names, personal, rebates = [], tradeIns, fees: charges = [] } = structure;
  const isSold = cost !== null && personal === undefined;
  return [
    ...(isSold ? [less("price", `${names?.price ?? "price"} less cost`, 0, price, cost)] : []),
    ...charges.flatMap(({ name }, index) => {
      const known = feeCosts[index] ?? null;
      return known === null ? [] : [less("fee", name, index, fees[index] ?? 0, known)];
    }),
    ...tradeIns.flatMap(({ name = "trade-in", allowance }, index) => {
      const value = tradeInValues[index] ?? null;
      return value === null ? [] : [less("tradeIn", name, index, value, allowance ?? 0)];
    }),
    ...rebates.flatMap(({ name }, index) => {
      const own = ownRebates[index] ?? 0;
      return own > 0 ? [{ of: "rebate" as const, name, index, amount: -own }] : [];
    }),
    ...othersIn("front", others),
  ];
}

function backLines(
  { filled: { structure } }: Quote,
  { extraCosts, lenderFee, others }: DealerSide,
  extras: readonly number[],
  reserve: Reserve | null,
): EarnedLine[] {
  return [
    ...(structure.extras ?? []).flatMap(({ name }, index) => {
      const known = extraCosts[index] ?? null;
      return known === null ? [] : [less("extra", name, index, extras[index] ?? 0, known)];
    }),
    ...(reserve ? [{ of: "reserve" as const, name: "reserve", amount: reserve.amount }] : []),
    ...(lenderFee > 0 ? [{ of: "lenderFee" as const, name: "lender’s fee", amount: -lenderFee }] : []),
    ...othersIn("back", others),
  ];
}

const othersIn = (place: "front" | "back", others: DealerSide["others"]): EarnedLine[] =>
  others
    .map((other, index) => ({ ...other, index }))
    .filter(other => other.in === place)
    .map(({ name, amount, isShared, index }) => ({
      of: "other",
      name,
      amount,
      index,
      ...(!isShared && { isUnshared: true }),
    }));

/** The officer's percent of what is earned beyond the fixed amount, rounded half up; never below 0. */
function officerShareOf(
  { officerShare }: DealerSide,
  shared: { back: number; all: number | null; reserve: number },
): number | null {
  if (!officerShare) return null;
  const earned = shared[officerShare.of];
  if (earned === null) return null;
  return percentOf(Math.max(earned - officerShare.less, 0), readPercent(officerShare.percent));
}

function unknownExtras(back: readonly EarnedLine[], { filled }: Quote, { extraCosts }: DealerSide): string[] {
  const all = filled.structure.extras ?? [];
  const unknown = all.filter((_, index) => (extraCosts[index] ?? null) === null).map(({ name }) => name);
  if (unknown.length === 0 || back.length === 0) return [];
  return [`Not counted, for its cost is not known: ${unknown.join(", ")}.`];
}
