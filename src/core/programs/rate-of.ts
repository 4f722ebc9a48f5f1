import { type Decimal, PERCENT_OF_FACTOR } from "../interest";
import { decimalOf, lesserOf, roundedUpTo, sumOf, textOf } from "./decimals";
import type { DealFacts } from "./facts";
import { type Amounts, fewestPayments, mostPayments, type Timed } from "./measured";
import type { Adjustment, Program, RateRow } from "./program";
import { compared } from "./quotient";
import type { Fact, Reason } from "./reason";
import { distanceIn, worthOf } from "./worth";

/** What of a customer's rate is told: percent a year or a money factor, as typed. */
export type ProgramRate = {
  /** What the lender buys at, with every adjustment that holds. */
  buyRate: string;
  /** What the customer signs at. */
  rate: string;
  /** The row that it is of. */
  row: RateRow;
};

/** The row that a program's rate for a deal is of, or why there is none. */
export function rateRow(
  { rates }: Program,
  { months, payments, perYear }: Timed,
  score: number | null,
): RateRow | Reason {
  const inTerm = rates.filter(({ from, to }) => from <= months && months <= to);
  if (score === null && inTerm.some(hasScore)) return { limit: "score", as: "unknown", facts: ["score"] };
  const row = inTerm.find(each => takes(each, score));
  if (row) return row;
  const ofScore = score === null ? rates : rates.filter(each => takes(each, score));
  if (score !== null && ofScore.length === 0) return scoreReason(inTerm.length > 0 ? inTerm : rates, score);
  return termReason(ofScore, { months, payments, perYear });
}

/** Whether a row is for some scores alone. */
export const hasScore = ({ leastScore, mostScore }: RateRow) => leastScore !== null || mostScore !== null;

const takes = ({ leastScore, mostScore }: RateRow, score: number | null) =>
  score === null || ((leastScore ?? score) <= score && score <= (mostScore ?? score));

function scoreReason(rows: readonly RateRow[], score: number): Reason {
  const least = Math.min(...rows.map(({ leastScore }) => leastScore ?? 0));
  if (score < least) return { limit: "score", as: "count", count: score, bound: "least", value: least };
  const below = rows.flatMap(({ mostScore }) => (mostScore !== null && mostScore < score ? [mostScore] : []));
  return { limit: "score", as: "count", count: score, bound: "most", value: Math.max(...below) };
}

/** Why a term is none of some rows: in payments, the nearest that is. */
function termReason(
  rows: readonly { from: number; to: number }[],
  { months, payments, perYear }: Pick<Timed, "months" | "payments" | "perYear">,
): Reason {
  if (rows.length === 0) return { limit: "term", as: "none" };
  const shorter = rows.map(({ to }) => to).filter(to => to < months);
  const longer = rows.map(({ from }) => from).filter(from => from > months);
  if (shorter.length > 0)
    return {
      limit: "term",
      as: "count",
      count: payments,
      bound: "most",
      value: mostPayments(Math.max(...shorter), perYear),
    };
  const value = fewestPayments(Math.min(...longer), perYear);
  return { limit: "term", as: "count", count: payments, bound: "least", value };
}

/** Whether an adjustment holds of a deal; what is not known does not. */
function holds(adjustment: Adjustment, amounts: Amounts, facts: DealFacts, unit: Program["unit"]): boolean {
  if (adjustment.when === "distance") {
    const distance = distanceIn(facts, unit);
    return distance !== null && distance > adjustment.above;
  }
  const of = worthOf(adjustment.of, amounts, facts);
  if (of === null || of <= 0) return false;
  const percent = { numerator: Math.max(amounts.lent[adjustment.what], 0), denominator: of };
  return compared(percent, decimalOf(adjustment.above)) > 0;
}

/** What a program's adjustments need and is not known: without it there is no rate. */
export function unknownOfAdjustments({ adjust }: Program, amounts: Amounts, facts: DealFacts): Fact[] {
  const missing = new Set<Fact>();
  for (const each of adjust) {
    if (each.when === "distance") {
      if (facts.distance === null) missing.add("distance");
    } else if (each.of !== "price" && worthOf(each.of, amounts, facts) === null) missing.add(each.of);
  }
  return [...missing];
}

/**
 * What a program asks of the customer: the buy rate of a row with every adjustment that holds, and the dealer's spread, no
 * more than the row lets be added; rounded up to the program's step and never above its most.
 *
 * @param spread points of rate; of a money factor its points ÷ 2,400
 */
export function rateOf(
  program: Program,
  row: RateRow,
  amounts: Amounts,
  facts: DealFacts,
  spread: string,
): ProgramRate {
  const { adjust, mostRate, rateStep, unit } = program;
  const most = mostRate === null ? null : decimalOf(mostRate);
  let buyRate = decimalOf(row.buyRate);
  for (const each of adjust)
    if (holds(each, amounts, facts, unit)) buyRate = sumOf(buyRate, decimalOf(each.add));
  buyRate = lesserOf(buyRate, most);
  const added = lesserOf(
    inUnitOf(program, decimalOf(spread)),
    row.mostSpread === null ? null : decimalOf(row.mostSpread),
  );
  const asked = roundedUpTo(sumOf(buyRate, added), decimalOf(rateStep ?? "0"));
  return { buyRate: textOf(buyRate), rate: textOf(lesserOf(asked, most)), row };
}

/** The most that a customer may be asked for by a program at a rate's buy rate; null where it has no limit. */
export function mostRateOf(
  { mostRate, rateStep }: Program,
  { buyRate, row }: Pick<ProgramRate, "buyRate" | "row">,
): string | null {
  const most = mostRate === null ? null : decimalOf(mostRate);
  if (row.mostSpread === null) return mostRate;
  const asked = sumOf(decimalOf(buyRate), decimalOf(row.mostSpread));
  return textOf(lesserOf(roundedUpTo(asked, decimalOf(rateStep ?? "0")), most));
}

const FACTOR_SCALE = 10 ** 8;

/** Points of rate in the unit of a program's rates. */
function inUnitOf(program: Program, points: Decimal): Decimal {
  if (program.kind !== "lease" || program.reckoning !== "moneyFactor") return points;
  const of = BigInt(points.scale * PERCENT_OF_FACTOR);
  const digits = (BigInt(points.digits) * BigInt(FACTOR_SCALE) + of - 1n) / of;
  return { digits: Number(digits), scale: FACTOR_SCALE };
}
