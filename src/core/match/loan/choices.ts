import { type DayNumber, periodsPerYear } from "../../calendar";
import { type Compounding, compoundingsPerYear } from "../../interest";
import type { LoanDeal } from "../../kinds/loan";
import {
  type Choice,
  type Counting,
  type Departure,
  dealChoice,
  otherRoundings,
  ROUNDED_PLACES,
} from "../way";
import type { Basis } from "./basis";
import type { LoanWay } from "./loan-way";
import { loanSlips } from "./slips";

type LoanChoice = Choice<LoanWay>;

const one = (departure: Departure, change: LoanChoice["change"]): LoanChoice => ({
  departure,
  count: 1,
  change,
});

/** Interest can begin so many days before the plan's own day, or after it. */
const DAYS_BEFORE = 10;
const DAYS_AFTER = 31;

/** Odd days charged otherwise, and interest from another day. */
export function firstDaysChoices({ terms, deal }: Basis): LoanChoice[] {
  const { calendar } = terms.draft;
  const { start } = calendar;
  const first = calendar.dateOf(1);
  if (start === null || first === null || deal.plan.timing === "advance" || deal.plan.kind === "flatRate")
    return [];
  const inArrears = (change: Partial<LoanWay>) => (way: LoanWay) =>
    way.timing === "advance" || way.isFlat ? null : { ...way, ...change };
  const odd = terms.firstSpan
    ? (["notCharged", "onFirstPayment"] as const).map(how =>
        one({ kind: "firstDays", how }, inArrears({ firstDays: how })),
      )
    : [];
  return [
    ...odd,
    ...otherStarts(start, first).map(date =>
      one({ kind: "interestFrom", date, days: date - start }, inArrears({ interestFrom: date })),
    ),
  ];
}

/** The days after the plan's own before those before it, the nearest first. */
function otherStarts(start: DayNumber, first: DayNumber): DayNumber[] {
  const after = Array.from({ length: DAYS_AFTER }, (_, index) => start + index + 1);
  const before = Array.from({ length: DAYS_BEFORE }, (_, index) => start - index - 1);
  return [...after.filter(date => date < first), ...before];
}

const COUNTS: readonly Counting[] = [
  "equal",
  "30/360",
  "actual/365",
  "actual/360",
  "actual/actual",
  "noLeapDay/365",
];

export function countingChoices({ terms, deal }: Basis): LoanChoice[] {
  const own =
    terms.isListed && deal.plan.dayCount === undefined ? "actual/365" : (deal.plan.dayCount ?? "equal");
  const hasDates = terms.draft.calendar.start !== null;
  if (!hasDates || terms.draft.flat) return [];
  return COUNTS.filter(count => count !== own && !(terms.isListed && count === "equal")).map(count =>
    one({ kind: "counting", count }, way => (way.isFlat ? null : { ...way, count })),
  );
}

export function timingChoices({ terms, deal }: Basis): LoanChoice[] {
  if (terms.isListed || terms.draft.flat || terms.draft.payments < 2) return [];
  const timing = deal.plan.timing === "advance" ? "arrears" : "advance";
  return [
    one({ kind: "timing", timing }, way =>
      way.isFlat || way.firstDays !== "charged" || way.interestFrom !== null ? null : { ...way, timing },
    ),
  ];
}

const COMPOUNDINGS: readonly Compounding[] = [
  "payments",
  "monthly",
  "daily",
  "yearly",
  "halfYearly",
  "quarterly",
  "weekly",
  "continuous",
];

/** Every other compounding; over equal periods one that is the payments' own is no other than with payments. */
export function compoundingChoices({ terms, deal }: Basis): LoanChoice[] {
  if (terms.draft.flat) return [];
  const own = deal.plan.compounding ?? "payments";
  const perYear = periodsPerYear(deal.plan.frequency);
  const isWithPayments = (compounding: Compounding) =>
    compounding === "payments" ||
    (compounding !== "continuous" && compoundingsPerYear(compounding) === perYear);
  return COMPOUNDINGS.filter(compounding => compounding !== own).map(compounding => {
    const isSame = isWithPayments(compounding) && isWithPayments(own);
    return one({ kind: "compounding", compounding }, way => {
      const isByDays = way.count !== "equal" || terms.isListed;
      return way.isFlat || (isSame && !isByDays) ? null : { ...way, compounding };
    });
  });
}

/** A payment that is rounded otherwise. */
export function roundingChoices({ deal }: Basis): LoanChoice[] {
  const { rounding: rule, roundingStep = 1, payment } = deal.plan;
  return otherRoundings(payment === null ? { rule, step: roundingStep } : null).map(rounding =>
    one({ kind: "rounding", ...rounding }, way => ({ ...way, rounding })),
  );
}

/** A payment from a period rate or a payment factor that is rounded to some decimals. */
export function factorChoices({ terms, isLevel, deal }: Basis): LoanChoice[] {
  if (terms.draft.flat || terms.isListed) return [];
  const kinds = isLevel
    ? (["paymentFactor", "factorPerThousand", "rate", "rateThroughout"] as const)
    : (["rate", "rateThroughout"] as const);
  const own = { rule: deal.plan.rounding, step: deal.plan.roundingStep ?? 1 };
  return kinds.flatMap(what =>
    ROUNDED_PLACES.map(decimals =>
      one({ kind: "rounded", what, decimals }, way => {
        // Nothing is solved for where the payment is the one given.
        if (way.isFlat) return null;
        return { ...way, rounded: { what, decimals }, rounding: way.rounding ?? own };
      }),
    ),
  );
}

export function lastChoices(): LoanChoice[] {
  return [one({ kind: "lastPayment", how: "likeTheOthers" }, way => ({ ...way, isLastAdjusted: false }))];
}

export function slipChoices(basis: Basis): LoanChoice[] {
  return loanSlips(basis.deal, basis.lent.reckoned.down).map(({ slip, change }) =>
    dealChoice<LoanDeal, LoanWay>({ kind: "slip", ...slip }, change, 2),
  );
}
