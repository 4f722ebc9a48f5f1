import { areLevel, LEVEL_PAY, type Pay } from "../../annuity";
import { NO_RATE } from "../../interest";
import type { LoanDeal } from "../../kinds/loan";
import { type Lent, lend } from "../../kinds/loan/deal";
import { balloonOf, readTerms, type Terms } from "../../kinds/loan/plan";
import { type ChargesWithPayments, chargesWithPayments } from "../../structure";

/** What is lent by a deal, and what its plan says of each payment date, before any convention. */
export type Basis = {
  deal: LoanDeal;
  terms: Terms;
  lent: Lent;
  /** What is paid on each payment date, the first at 0. */
  pays: readonly Pay[];
  /** On which payment dates the interest before them is waived. */
  waived: readonly boolean[];
  /** Every payment is the one that is solved for; and nothing is left for the end. */
  isAllLevel: boolean;
  isLevel: boolean;
  balloon: number;
  /** What falls with payments and counts in the finance charge. */
  charges: ChargesWithPayments;
};

const known = new WeakMap<LoanDeal, { basis: Basis | null }>();

/** What is lent by a deal that asks for its payment; null where nothing can be. Made once for each deal. */
export function basisOf(deal: LoanDeal): Basis | null {
  const before = known.get(deal);
  if (before) return before.basis;
  const basis = makeBasis(deal);
  known.set(deal, { basis });
  return basis;
}

/** What a plan says is worked out once, however often the structure differs. */
const termsOf = new WeakMap<LoanDeal["plan"], Planned | null>();

type Planned = { terms: Terms; pays: Pay[]; waived: boolean[] };

function planned(deal: LoanDeal): Planned | null {
  const before = termsOf.get(deal.plan);
  if (before !== undefined) return before;
  const terms = readTerms(deal);
  const made = terms.ok ? eachDate(terms.value) : null;
  termsOf.set(deal.plan, made);
  return made;
}

/** What is paid on each date, and whether interest is waived before it; the first in advance as the one after it. */
function eachDate(terms: Terms): Planned {
  const dates = terms.draft.runs.flatMap(({ count, pay, rate }) =>
    Array.from({ length: count }, () => ({ pay, isWaived: rate === NO_RATE })),
  );
  const { timing, yearlyRate } = terms.draft.calendar;
  const isWaived = (index: number) => yearlyRate.digits > 0 && (dates[index]?.isWaived ?? false);
  return {
    terms,
    pays: dates.map(({ pay }) => pay),
    waived: dates.map((_, index) => isWaived(index === 0 && timing === "advance" ? 1 : index)),
  };
}

function makeBasis(deal: LoanDeal): Basis | null {
  const plan = planned(deal);
  if (!plan) return null;
  const { terms, pays, waived } = plan;
  const lent = lend(deal, terms);
  if (!lent.ok) return null;
  const balloon = balloonOf(deal.plan, lent.value.reckoned.price);
  if (!balloon.ok) return null;
  const isAllLevel = areLevel(terms.draft.runs) && terms.draft.runs.every(({ pay }) => pay === LEVEL_PAY);
  return {
    deal,
    terms,
    lent: lent.value,
    pays,
    waived,
    isAllLevel,
    isLevel: isAllLevel && balloon.value === 0,
    balloon: balloon.value,
    charges: chargesWithPayments(
      lent.value.structure,
      lent.value.reckoned,
      ({ isFinanceCharge }) => isFinanceCharge,
    ),
  };
}
