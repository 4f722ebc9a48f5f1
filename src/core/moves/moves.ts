import { type Deal, kindOf, type PlanKind } from "../kinds";
import {
  askingPayment,
  type CashOver,
  type GivingWay,
  type Move,
  type MoveFigure,
  NO_RATES,
  type RatesOfTerms,
  type Standing,
  type UsualTerm,
  type Wanted,
} from "../kinds/kind";
import { nextUsualTerm, ratesFor } from "./usual-terms";

type Answered = { deal: Deal };
type Giving = GivingWay<Deal, Answered>;

/** What is asked: of which kind, how the deal stands, what is wanted, and the house's rates. */
type Asked = { giving: Giving; now: Answered; wanted: Wanted; rates: RatesOfTerms };

/**
 * What would have to move, for a deal to give what its customer wants: each figure that could give way, with what it
 * would have to be while all others stay. Money is the last minor unit on the right side of what is wanted.
 *
 * @param deal a deal that asks for its payment, with nothing missing
 * @param wanted at most so much, in minor units, or an end by a date, as a day number
 * @param rates at which the house has some numbers of payments
 * @returns a walk, one candidate after the other; none where the deal has no answer
 * @example [...walkMoves(deal, { figure: "payment", value: 60_000 })][0] // { figure: "down", from: 300000, to: 799641, after: { payment: 60000, … } }
 */
export function* walkMoves(
  deal: Deal,
  wanted: Wanted,
  rates: RatesOfTerms = NO_RATES,
): Generator<Move, void, void> {
  const giving: Giving = kindOf(deal).givingWay;
  const answered = giving.answer(askingPayment(deal));
  if (!answered.ok) return;
  const now = answered.value;
  const asked = { giving, now, wanted, rates };
  for (const figure of giving.figures(now, wanted)) yield moved(asked, figure);
  yield* giving.others?.(now, wanted) ?? [];
  for (const index of (now.deal.structure.extras ?? []).keys()) yield leftOut(asked, index);
}

/** One figure moved until the deal gives what is wanted. */
function moved(asked: Asked, figure: MoveFigure): Move {
  const { giving, now, wanted } = asked;
  const start = { figure, from: giving.value(now, figure) };
  const sentence = giving.notMoving(now, figure, wanted);
  if (sentence !== undefined) return { ...start, sentence };
  const taken = giving.moved(now, figure, wanted);
  if (!taken.ok) return { ...start, sentence: taken.failure.sentence };
  const usual = figure === "payments" ? usualBeside(asked, taken.value.deal) : [];
  return {
    ...start,
    to: giving.value(taken.value, figure),
    after: standing(asked, taken.value, figure),
    ...(usual.length > 0 && { usual }),
  };
}

/** How the deal stands; where the allowance moves, the trade-in counts as it did before. */
function standing({ giving, now }: Asked, after: Answered, figure: MoveFigure): Standing {
  const stands = giving.standing(after);
  if (figure !== "allowance") return stands;
  return { ...stands, totalCost: stands.totalCost - (giving.ownTradeIn(after) - giving.ownTradeIn(now)) };
}

/** The next usual term, at the house's rate for it and at the deal's own, where what is wanted is given over it, too. */
function usualBeside({ giving, wanted, rates }: Asked, deal: Deal): UsualTerm[] {
  const { payments, frequency } = deal.plan;
  const isMore = giving.isGivenByMore(wanted.figure);
  const to = payments === null ? undefined : nextUsualTerm(payments, frequency, isMore);
  if (to === undefined) return [];
  return ratesFor(to, giving.yearlyRate(deal), rates).flatMap(yearly => {
    const over = giving.overTerm(deal, to, yearly);
    const usual = giving.answer(over.deal);
    if (!usual.ok || giving.measure(usual.value, wanted.figure) > wanted.value) return [];
    const { rate } = over;
    return [{ to, ...(rate !== undefined && { rate }), after: giving.standing(usual.value) }];
  });
}

/** An extra of the structure left out: it gives what is wanted, or it does not. */
function leftOut(asked: Asked, index: number): Move {
  const { giving, now, wanted } = asked;
  const { deal } = now;
  const start = { figure: "extra", index, from: giving.extras(now)[index] ?? 0 } as const;
  const extras = deal.structure.extras?.filter((_, each) => each !== index) ?? [];
  const taken = giving.answer({ ...deal, structure: { ...deal.structure, extras } });
  if (!taken.ok) return { ...start, sentence: giving.nothingWithout(taken.failure.sentence) };
  const is = giving.measure(taken.value, wanted.figure);
  if (is <= wanted.value) return { ...start, to: null, after: standing(asked, taken.value, "extra") };
  if (!Number.isFinite(is)) return { ...start, sentence: "An end date needs the contract date; type it." };
  if (giving.isSetByTerm(wanted.figure))
    return { ...start, sentence: "The end date is set by the number of payments." };
  const text = (value: number) => giving.text(now, wanted.figure, value);
  const side = wanted.figure === "endDate" ? "after" : "above";
  return {
    ...start,
    sentence: `Without it the ${giving.name(wanted.figure)} is ${text(is)}, ${side} the ${text(wanted.value)} asked for.`,
  };
}

/**
 * Two at once: over other terms, with the rest as cash, for each the cash down that gives what is wanted.
 *
 * @param deal a deal that asks for its payment; not every kind has such candidates
 * @param terms numbers of payments
 * @param rates at which the house has some of them
 * @example [...cashOverTerms(deal, { figure: "payment", value: 60_000 }, [60])][0] // { payments: 60, move: { figure: "down", … } }
 */
export function* cashOverTerms(
  deal: Deal,
  wanted: Wanted,
  terms: readonly number[],
  rates: RatesOfTerms = NO_RATES,
): Generator<CashOver, void, void> {
  const giving: Giving = kindOf(deal).givingWay;
  if (!giving.hasCashOverTerms) return;
  const base = askingPayment(deal);
  for (const payments of terms) {
    const [yearly] = ratesFor(payments, giving.yearlyRate(base), rates);
    const over = giving.overTerm(base, payments, yearly);
    const now = giving.answer(over.deal);
    if (!now.ok) continue;
    const move = moved({ giving, now: now.value, wanted, rates }, "down");
    yield { payments, ...(over.rate !== undefined && { rate: over.rate }), move };
  }
}

/** The figures of a deal's answer that its customer can want to be another. */
export const wantedOf = (deal: { plan: { kind: PlanKind } }) => kindOf(deal).givingWay.wanted;
