import { levelRate } from "../../annuity";
import { periodsPerYear } from "../../calendar";
import { decimalText, PERCENT_OF_FACTOR, parseDecimal } from "../../interest";
import type { LoanDeal } from "../../kinds/loan";
import { HIGHEST_YEARLY_RATE } from "../../limits";
import { type Choice, dealChoice, type RateMeaning } from "../way";
import { type Basis, basisOf } from "./basis";
import type { LoanWay } from "./loan-way";

type LoanChoice = Choice<LoanWay>;

/** The stated APR taken for the other of the two that go by that name. */
const otherApr = (as: RateMeaning, isAprEffective: boolean): LoanChoice => ({
  departure: { kind: "rate", as },
  count: 1,
  change: way => (way.isAprEffective === isAprEffective ? null : { ...way, isAprEffective }),
});

const OTHER_APR = {
  effective: otherApr("effectiveApr", true),
  actuarial: otherApr("actuarialApr", false),
};

/**
 * What the typed rate is taken for, other than the plan does; an effective one is among the compoundings, as yearly.
 *
 * @param apr the deal's own, where there is one
 * @param hasApr whether one is stated
 */
export function rateChoices(basis: Basis, apr: number | undefined, hasApr: boolean): LoanChoice[] {
  const { deal, terms } = basis;
  const ofTheirs = hasApr ? [OTHER_APR.actuarial, OTHER_APR.effective] : [];
  if (terms.isListed) return ofTheirs;
  const rate = Number(deal.plan.yearlyRate ?? 0);
  const perYear = periodsPerYear(deal.plan.frequency);
  const hasCharges =
    basis.lent.prepaid > 0 || basis.charges.first + basis.charges.last + basis.charges.each > 0;
  return [
    ...flatOrNot(basis),
    ...ofTheirs,
    ...otherRate("perPeriod", () => decimalText(rate * perYear)),
    ...otherRate("moneyFactor", () => decimalText(rate * PERCENT_OF_FACTOR)),
    ...(hasCharges && apr !== undefined
      ? [2, 3, 4].flatMap(places => otherRate("isTheApr", () => apr.toFixed(places)))
      : []),
    ...(hasCharges ? otherRate("itsApr", changed => rateOfApr(changed)) : []),
    ...(hasMoreThanTwo(deal.plan.yearlyRate ?? "") ? otherRate("twoDecimals", () => rate.toFixed(2)) : []),
  ];
}

function hasMoreThanTwo(typed: string): boolean {
  const { scale = 1 } = parseDecimal(typed) ?? {};
  return scale > 100;
}

/** Interest on the original amount for the whole term, or on what is owed. */
function flatOrNot({ terms, isLevel }: Basis): LoanChoice[] {
  const { calendar, flat } = terms.draft;
  if (flat) return [NOT_FLAT];
  return isLevel && !terms.isListed && calendar.timing === "arrears" ? [FLAT] : [];
}

const FLAT: LoanChoice = {
  departure: { kind: "rate", as: "flat" },
  count: 1,
  change: way => {
    const isPlain =
      way.timing === "arrears" &&
      way.count === "equal" &&
      way.compounding === "payments" &&
      way.firstDays === "charged" &&
      way.interestFrom === null &&
      way.rounded === null;
    return isPlain ? { ...way, isFlat: true } : null;
  },
};

const RATED = dealChoice<LoanDeal, LoanWay>(
  { kind: "rate", as: "nominal" },
  ({ plan: { earning: _, ...plan }, ...deal }) => ({ ...deal, plan: { ...plan, kind: "loan" } }),
);

const NOT_FLAT: LoanChoice = {
  ...RATED,
  change: way => {
    const rated = RATED.change(way);
    return rated && { ...rated, isFlat: false };
  },
};

function otherRate(as: RateMeaning, of: (deal: LoanDeal) => string | undefined): LoanChoice[] {
  return [
    dealChoice<LoanDeal, LoanWay>({ kind: "rate", as }, deal => {
      const yearlyRate = of(deal);
      if (yearlyRate === undefined || yearlyRate === deal.plan.yearlyRate) return null;
      if (!parseDecimal(yearlyRate) || Number(yearlyRate) > HIGHEST_YEARLY_RATE) return null;
      return { ...deal, plan: { ...deal.plan, yearlyRate } };
    }),
  ];
}

/** The rate with which the typed one is the APR, its charges counted: of level payments without odd days. */
function rateOfApr(deal: LoanDeal): string | undefined {
  const basis = basisOf(deal);
  if (!basis?.isLevel || basis.lent.prepaid <= 0) return undefined;
  const { lent, terms } = basis;
  const perYear = periodsPerYear(deal.plan.frequency);
  const i = Number(deal.plan.yearlyRate ?? 0) / 100 / perYear;
  const count = terms.payments;
  const annuity = i === 0 ? count : -Math.expm1(-count * Math.log1p(i)) / i;
  const payment = lent.amountFinanced / annuity;
  const rate = levelRate({ lent: lent.loanAmount, payment, count, last: 0, lastAfter: count });
  return rate === undefined || rate <= 0 ? undefined : decimalText(rate * perYear * 100);
}
