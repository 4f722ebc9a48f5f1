import { type Deal, dueAtSigning, withoutPayment } from "../kinds/loan/deal";
import { type Answer, answer, dependsOn, MEASURES, withFound } from "../kinds/loan/find";
import { axesOf, isLease, type Mapped } from "../map";
import { regularPayment } from "../kinds/loan/plan";
import { isDownFromDue, needsPlan, ownCostOf } from "../structure";
import {
  type CashOver,
  DUE_IS_GIVEN,
  type Move,
  type MoveFigure,
  type MoveValue,
  NO_RATES,
  type RatesOfTerms,
  type Standing,
  type UsualTerm,
  type WANTED_OF_LOAN,
  type Wanted,
} from "./move";
import { opened } from "./opened";
import { nextUsualTerm, ratesFor } from "./usual-terms";

/** What can give way of a loan by being another number. */
type Found = Extract<
  MoveFigure,
  "down" | "price" | "allowance" | "yearlyRate" | "payments" | "balloon" | "extraEach"
>;

const LOAN_MOVES: readonly Found[] = [
  "down",
  "price",
  "allowance",
  "yearlyRate",
  "payments",
  "balloon",
  "extraEach",
];

const NAMES: Record<Found, string> = {
  down: "cash down",
  price: "price",
  allowance: "trade-in allowance",
  yearlyRate: "yearly rate",
  payments: "number of payments",
  balloon: "balloon",
  extraEach: "extra with every payment",
};

const finderOf = (figure: Found) => (figure === "extraEach" ? "extra" : figure);

type LoanWanted = (typeof WANTED_OF_LOAN)[number];

/** A loan that asks for its payment, with its answer. */
type Stands = { deal: Deal; found: Answer };

/** What of a loan would have to move, one candidate after the other. */
export function* loanMoves(deal: Deal, wanted: Wanted, rates: RatesOfTerms): Generator<Move, void, void> {
  const base = withoutPayment(deal);
  const found = answer(base);
  if (!found.ok) return;
  const now = { deal: base, found: found.value };
  const axes: readonly string[] = axesOf(base);
  for (const figure of LOAN_MOVES) {
    // An extra moves what is paid in all and until when, never the payment.
    const isPossible = figure === "extraEach" ? dependsOnExtra(wanted) : axes.includes(figure);
    if (isPossible) yield moved(now, figure, wanted, rates);
  }
  for (const index of (base.structure.extras ?? []).keys()) yield leftOut(now, index, wanted);
}

const dependsOnExtra = ({ figure }: Wanted) => figure !== "payment" && figure !== "dueAtSigning";

/** One figure moved until the loan gives what is wanted. */
function moved(now: Stands, figure: Found, wanted: Wanted, rates: RatesOfTerms): Move {
  const known = wanted.figure as LoanWanted;
  const start = { figure, from: figureIn(now, figure) };
  const finder = finderOf(figure);
  if (known === "dueAtSigning" && figure !== "down" && isDownFromDue(now.deal.structure.down))
    return { ...start, sentence: DUE_IS_GIVEN };
  const isTerm = figure === "payments" && known === "endDate";
  if (!isTerm && !dependsOn(finder, known))
    return { ...start, sentence: notMoving(now.deal, MEASURES[known].name, NAMES[figure]) };
  const asked = withOpen(now.deal, figure);
  const found = withFound(
    known === "payment"
      ? { ...asked, find: finder, plan: { ...asked.plan, payment: wanted.value } }
      : { ...asked, find: finder, from: { figure: known, value: wanted.value } },
  );
  if (!found.ok) return { ...start, sentence: found.failure.sentence };
  const taken = standing(found.value, now, figure);
  if (!taken) return { ...start, sentence: `The ${NAMES[figure]} that gives it gives no loan.` };
  const usual = figure === "payments" ? usualBeside(now, taken.stands.deal, wanted, rates) : [];
  return {
    ...start,
    to: figureIn(taken.stands, figure),
    after: taken.after,
    ...(usual.length > 0 && { usual }),
  };
}

function notMoving({ structure }: Deal, known: string, moved: string): string {
  if (known === MEASURES.endDate.name)
    return "The end date is set by the number of payments, and by what is paid extra.";
  return needsPlan(structure)
    ? `The ${known} moves with the ${moved} only by what is reckoned from the payments; move another figure.`
    : `The ${known} does not move with the ${moved}.`;
}

/** The loan with a figure open that is to be found. */
function withOpen(deal: Deal, figure: Found): Deal {
  const isOpenInPlan = figure === "yearlyRate" || figure === "payments";
  return {
    ...deal,
    structure: opened(deal.structure, figure),
    plan: isOpenInPlan ? { ...deal.plan, [figure]: null } : deal.plan,
  };
}

function figureIn({ deal: { structure, plan }, found }: Stands, figure: Found): MoveValue {
  const { priced } = found;
  switch (figure) {
    case "price":
      return priced.reckoned.price;
    case "down":
      return priced.reckoned.down;
    case "allowance":
      return structure.tradeIns[0]?.allowance ?? null;
    case "yearlyRate":
      return plan.yearlyRate;
    case "payments":
      return found.terms.payments;
    case "balloon":
      return priced.loan.balloon || null;
    case "extraEach":
      return priced.loan.extraEach || null;
  }
}

/** How a loan stands; undefined where it has no answer. */
function standing(
  deal: Deal,
  now: Stands,
  figure: MoveFigure,
): { stands: Stands; after: Standing } | undefined {
  const found = answer(deal);
  if (!found.ok) return undefined;
  const { priced, terms } = found.value;
  return {
    stands: { deal, found: found.value },
    after: {
      payment: regularPayment(priced.loan),
      payments: terms.payments,
      financeCharge: priced.financeCharge,
      totalCost: priced.totalCost - (figure === "allowance" ? concession(now.found, found.value) : 0),
      dueAtSigning: dueAtSigning(priced).total,
      endDate: priced.repayment.finalDate,
    },
  };
}

/** What more is allowed for a trade-in than it was, as far as it counts as the customer's own. */
function concession(before: Answer, after: Answer): number {
  const own = ({ priced }: Answer) => ownCostOf(priced.structure, priced.reckoned);
  return own(after) - own(before);
}

/** The next usual term, at the house's rate for it and at the loan's own, where what is wanted is given over it, too. */
function usualBeside(now: Stands, deal: Deal, wanted: Wanted, rates: RatesOfTerms): UsualTerm[] {
  const { payments, frequency, yearlyRate } = deal.plan;
  const to = payments === null ? undefined : nextUsualTerm(payments, frequency, wanted.figure === "payment");
  if (to === undefined) return [];
  return ratesFor(to, yearlyRate, rates).flatMap(rate => {
    const plan = { ...deal.plan, payments: to, ...(rate !== undefined && { yearlyRate: rate }) };
    const usual = standing({ ...deal, plan }, now, "payments");
    const is = usual?.after[wanted.figure as LoanWanted] ?? null;
    if (!usual || is === null || is > wanted.value) return [];
    return [{ to, ...(rate !== undefined && { rate }), after: usual.after }];
  });
}

/** An extra of the structure left out: it gives what is wanted, or it does not. */
function leftOut(now: Stands, index: number, wanted: Wanted): Move {
  const { deal, found } = now;
  const known = wanted.figure as LoanWanted;
  const { name, text } = MEASURES[known];
  const { structure } = deal;
  const start = { figure: "extra", index, from: found.priced.reckoned.extras[index] ?? 0 } as const;
  const extras = structure.extras?.filter((_, each) => each !== index) ?? [];
  const taken = standing({ ...deal, structure: { ...structure, extras } }, now, "extra");
  if (!taken) return { ...start, sentence: "Without it nothing is left to finance." };
  const is = taken.after[known] ?? 0;
  if (is <= wanted.value) return { ...start, to: null, after: taken.after };
  const { decimals } = found.terms;
  const side = known === "endDate" ? "after" : "above";
  return {
    ...start,
    sentence: `Without it the ${name} is ${text(is, decimals)}, ${side} the ${text(wanted.value, decimals)} asked for.`,
  };
}

/**
 * Two at once: over other terms, with the rest as cash, for each the cash down that gives what is wanted.
 *
 * @param deal a loan that asks for its payment; a lease has no such candidates
 * @param terms numbers of payments
 * @param rates at which the house has some of them
 * @example [...cashOverTerms(deal, { figure: "payment", value: 60_000 }, [60])][0] // { payments: 60, move: { figure: "down", … } }
 */
export function* cashOverTerms(
  deal: Mapped,
  wanted: Wanted,
  terms: readonly number[],
  rates: RatesOfTerms = NO_RATES,
): Generator<CashOver, void, void> {
  if (isLease(deal)) return;
  const base = withoutPayment(deal as Deal);
  for (const payments of terms) {
    const [rate] = ratesFor(payments, base.plan.yearlyRate, rates);
    const over = {
      ...base,
      plan: { ...base.plan, payments, ...(rate !== undefined && { yearlyRate: rate }) },
    };
    const found = answer(over);
    if (!found.ok) continue;
    const move = moved({ deal: over, found: found.value }, "down", wanted, rates);
    yield { payments, ...(rate !== undefined && { rate }), move };
  }
}
