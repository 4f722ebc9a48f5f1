import { isoDate } from "../calendar";
import { MOST_PAYMENTS } from "../limits";
import { factorText, mappable, RATE_UNITS } from "../map";
import { currencyDecimals, groupedAmount } from "../money";
import {
  evaluateLease,
  LEASE_NAMES,
  type Lease,
  type LeaseKnown,
  type LeaseQuote,
  PERCENT_OF_FACTOR,
} from "../kinds/lease";
import { lastWhole } from "../solve";
import { isDownFromDue } from "../structure";
import {
  DUE_IS_GIVEN,
  type Move,
  type MoveFigure,
  type MoveValue,
  type RatesOfTerms,
  type Standing,
  type UsualTerm,
  type Wanted,
} from "./move";
import { opened } from "./opened";
import { nextUsualTerm, ratesFor } from "./usual-terms";

type Found = Extract<
  MoveFigure,
  "price" | "down" | "allowance" | "residual" | "moneyFactor" | "yearlyRate" | "payments"
>;

/** What of a lease would have to move, one candidate after the other. */
export function* leaseMoves(given: Lease, wanted: Wanted, rates: RatesOfTerms): Generator<Move, void, void> {
  const lease = mappable(given);
  const quote = evaluateLease(lease);
  if (!quote.ok) return;
  const now = quote.value;
  const rate = lease.plan.reckoning === "moneyFactor" ? "moneyFactor" : "yearlyRate";
  const figures: Found[] = ["price", "down", "allowance", "residual", rate, "payments"];
  for (const figure of figures) yield moved(lease, now, figure, wanted, rates);
  if (lease.plan.inAdvance < now.payments) yield inAdvanceMoved(lease, now, wanted);
  for (const index of (lease.structure.extras ?? []).keys()) yield leftOut(lease, now, index, wanted);
}

function moved(lease: Lease, now: LeaseQuote, figure: Found, wanted: Wanted, rates: RatesOfTerms): Move {
  const start = { figure, from: figureIn(now, figure) };
  if (wanted.figure === "endDate") {
    return figure === "payments"
      ? endingBy(lease, now, wanted.value, rates)
      : { ...start, sentence: "The end date is set by the number of payments." };
  }
  const known = wanted.figure as LeaseKnown;
  if (known === "dueAtSigning" && figure !== "down" && isDownFromDue(lease.structure.down))
    return { ...start, sentence: DUE_IS_GIVEN };
  const open = { ...withOpen(lease, figure), find: figure };
  const found = evaluateLease(
    known === "payment"
      ? { ...open, plan: { ...open.plan, payment: wanted.value } }
      : { ...open, from: { figure: known, value: wanted.value } },
  );
  if (!found.ok) return { ...start, sentence: found.failure.sentence };
  const taken = found.value;
  const usual = figure === "payments" ? usualBeside(taken, wanted, !isTotal(known), rates) : [];
  return {
    ...start,
    to: figureIn(taken, figure),
    after: standing(taken, now, figure),
    ...(usual.length > 0 && { usual }),
  };
}

const isTotal = (known: LeaseKnown) => known === "totalIfReturned" || known === "totalIfBought";

/** The lease with a figure open that is to be found. */
function withOpen(lease: Lease, figure: Found): Lease {
  const structure = opened(lease.structure, figure);
  const isOfPlan = structure === lease.structure && figure !== "allowance";
  return { ...lease, structure, plan: isOfPlan ? { ...lease.plan, [figure]: null } : lease.plan };
}

function figureIn({ filled: { structure, plan }, ...quote }: LeaseQuote, figure: Found): MoveValue {
  switch (figure) {
    case "price":
      return quote.price;
    case "down":
      return quote.down;
    case "allowance":
      return structure.tradeIns[0]?.allowance ?? null;
    case "residual":
      return quote.residual;
    case "payments":
      return quote.payments;
    default:
      return plan[figure];
  }
}

function standing(quote: LeaseQuote, now: LeaseQuote, figure: MoveFigure): Standing {
  const { payment, payments, rentCharge, totalIfReturned, dueAtSigning, finalDate } = quote;
  const own = ({ equity }: LeaseQuote) => Math.max(equity, 0);
  return {
    payment,
    payments,
    financeCharge: rentCharge,
    totalCost: totalIfReturned - (figure === "allowance" ? own(quote) - own(now) : 0),
    dueAtSigning: dueAtSigning.total,
    endDate: finalDate,
  };
}

/** The next usual term, at the house's rate for it and at the lease's own, where what is wanted is given over it, too. */
function usualBeside(taken: LeaseQuote, wanted: Wanted, isMore: boolean, rates: RatesOfTerms): UsualTerm[] {
  const { filled, payments } = taken;
  const to = nextUsualTerm(payments, filled.plan.frequency, isMore);
  if (to === undefined) return [];
  const { reckoning, moneyFactor, yearlyRate } = filled.plan;
  const isByFactor = reckoning === "moneyFactor";
  const own = isByFactor ? String(Number(moneyFactor) * PERCENT_OF_FACTOR) : yearlyRate;
  return ratesFor(to, own, rates).flatMap(yearly => {
    const rate = yearly && isByFactor ? factorText(Number(yearly) * RATE_UNITS) : yearly;
    const plan = {
      ...filled.plan,
      payments: to,
      ...(rate && { [isByFactor ? "moneyFactor" : "yearlyRate"]: rate }),
    };
    const usual = evaluateLease(mappable({ ...filled, plan }));
    if (!usual.ok || measureOf(usual.value, wanted) > wanted.value) return [];
    return [{ to, ...(rate && { rate }), after: standing(usual.value, taken, "payments") }];
  });
}

/** The longest term that ends by a date. */
function endingBy(lease: Lease, now: LeaseQuote, date: number, rates: RatesOfTerms): Move {
  const start = { figure: "payments", from: now.payments } as const;
  if (now.finalDate === null) return { ...start, sentence: "An end date needs the contract date; type it." };
  const over = (payments: number) => evaluateLease({ ...lease, plan: { ...lease.plan, payments } });
  const fewest = Math.max(lease.plan.inAdvance, 1);
  const last = lastWhole(
    payments => {
      const quote = over(payments);
      return quote.ok ? (quote.value.finalDate ?? 0) - date : -1;
    },
    fewest,
    MOST_PAYMENTS,
    now.payments,
  );
  const taken = over(last);
  if (last < fewest || !taken.ok || (taken.value.finalDate ?? 0) > date)
    return { ...start, sentence: `No number of payments ends by ${isoDate(date)}.` };
  const usual = usualBeside(taken.value, { figure: "endDate", value: date }, false, rates);
  return {
    ...start,
    to: last,
    after: standing(taken.value, now, "payments"),
    ...(usual.length > 0 && { usual }),
  };
}

/** How many payments fall at signing: the most, or the fewest, with which the lease gives what is wanted. */
function inAdvanceMoved(lease: Lease, now: LeaseQuote, wanted: Wanted): Move {
  const { inAdvance, payments } = lease.plan;
  const start = { figure: "inAdvance", from: inAdvance } as const;
  // All at once is another kind of lease, with one payment.
  const most = (payments ?? 1) - 1;
  const over = (count: number) => evaluateLease({ ...lease, plan: { ...lease.plan, inAdvance: count } });
  const at = (count: number) => {
    const quote = over(count);
    return quote.ok ? measureOf(quote.value, wanted) : Number.POSITIVE_INFINITY;
  };
  const change = Math.sign(at(most) - at(0));
  if (!Number.isFinite(at(most) - at(0)) || change === 0)
    return {
      ...start,
      sentence: `The ${nameOf(wanted)} moves with the payments in advance by roundings at most.`,
    };
  const difference = (count: number) => at(count) - wanted.value;
  const last =
    change > 0
      ? lastWhole(difference, 0, most, inAdvance)
      : -lastWhole(count => difference(-count), -most, 0, -inAdvance);
  const taken = last >= 0 && last <= most ? over(last) : undefined;
  if (taken?.ok && measureOf(taken.value, wanted) <= wanted.value)
    return { ...start, to: last, after: standing(taken.value, now, "inAdvance") };
  return {
    ...start,
    sentence: `No number of payments in advance gives ${saidOf(lease, wanted)}.`,
  };
}

const nameOf = ({ figure }: Wanted) =>
  figure === "endDate" ? "end date" : LEASE_NAMES[figure as LeaseKnown];

const withArticle = (name: string) => `${/^[aeiou]/.test(name) ? "an" : "a"} ${name}`;

function saidOf({ currency }: Lease, { figure, value }: Wanted): string {
  if (figure === "endDate") return `an end by ${isoDate(value)}`;
  const amount = groupedAmount(value, currencyDecimals(currency) ?? 2);
  return `${withArticle(LEASE_NAMES[figure as LeaseKnown])} of ${amount}`;
}

/** The wanted figure of a lease's answer. */
function measureOf(quote: LeaseQuote, { figure }: Wanted): number {
  if (figure === "endDate") return quote.finalDate ?? Number.POSITIVE_INFINITY;
  return figure === "dueAtSigning"
    ? quote.dueAtSigning.total
    : quote[figure as Exclude<LeaseKnown, "dueAtSigning">];
}

/** An extra of the structure left out: it gives what is wanted, or it does not. */
function leftOut(lease: Lease, now: LeaseQuote, index: number, wanted: Wanted): Move {
  const { structure, currency } = lease;
  const start = { figure: "extra", index, from: now.extras[index] ?? 0 } as const;
  const extras = structure.extras?.filter((_, each) => each !== index) ?? [];
  const taken = evaluateLease({ ...lease, structure: { ...structure, extras } });
  if (!taken.ok) return { ...start, sentence: taken.failure.sentence };
  const is = measureOf(taken.value, wanted);
  if (is <= wanted.value) return { ...start, to: null, after: standing(taken.value, now, "extra") };
  if (wanted.figure === "endDate")
    return { ...start, sentence: "The end date is set by the number of payments." };
  const money = (minor: number) => groupedAmount(minor, currencyDecimals(currency) ?? 2);
  return {
    ...start,
    sentence: `Without it the ${LEASE_NAMES[wanted.figure as LeaseKnown]} is ${money(is)}, above the ${money(wanted.value)} asked for.`,
  };
}
