import { MOST_PAYMENTS } from "../../../limits";
import { type Failure, type Result, success } from "../../../result";
import { needsPlan } from "../../../structure";
import { type LoanDeal, lend, price, withoutPayment } from "../deal";
import { readTerms, type Terms } from "../plan";
import type { LoanFinder } from "./finders";
import { shareFinanced } from "./guess";
import { MEASURES, type MeasureName } from "./measure";

/** Prices a deal for tried numbers. */
export type Trial = {
  decimals: number;
  /** The plan, where trying does not change it. */
  terms: Terms | null;
  /**
   * The known figure at a tried number. Where the deal cannot be priced there it is below everything, if that is for too
   * little to repay, else above everything.
   */
  measure: (whole: number) => number;
  /** What a tried number takes to price, in lines of a repayment table. */
  rows: (whole: number) => number;
  /** Why the deal cannot be priced at a tried number; undefined where it can. */
  problem: (whole: number) => Failure | undefined;
  /** What the loan is solved for at a tried number, rounded, in the same way. */
  solved: (whole: number) => number;
};

/** Makes the trial of a figure against a known one. */
export function makeTrial(deal: LoanDeal, finder: LoanFinder, known: MeasureName): Result<Trial> {
  const first = firstTerms(deal, finder);
  if (!first.ok) return first;
  const fixed = finder.changesPlan ? null : first.value;
  // Tried with the payment that each number takes.
  const open = withoutPayment(deal);
  const tried = (whole: number, measure: (filled: LoanDeal, terms: Terms) => Result<number>) => {
    const filled = finder.fill(open, whole);
    const terms = fixed ? success(fixed) : readTerms(filled);
    return terms.ok ? measure(filled, terms.value) : terms;
  };
  const atKnown = (whole: number) => tried(whole, (filled, terms) => measured(filled, terms, known));
  const orEnd = (result: Result<number>, name: MeasureName) => {
    if (result.ok) return result.value;
    return isTooLittle(result.failure, finder, name, deal)
      ? Number.NEGATIVE_INFINITY
      : Number.POSITIVE_INFINITY;
  };
  return success({
    decimals: first.value.decimals,
    terms: fixed,
    measure: whole => orEnd(atKnown(whole), known),
    rows: rowsOf(deal, finder, known),
    problem: whole => {
      const priced = tried(whole, (filled, terms) => {
        const result = price(filled, terms);
        return result.ok ? success(0) : result;
      });
      return priced.ok ? undefined : priced.failure;
    },
    solved: whole => orEnd(tried(whole, solvedFor), "payment"),
  });
}

/** Whether nothing is left to finance, or more is agreed than the loan is worth, so that there is too little to pay. */
function isTooLittle({ figure }: Failure, finder: LoanFinder, name: MeasureName, deal: LoanDeal): boolean {
  switch (figure) {
    case "amountFinanced":
    case "prepaidCharge":
    case "steps":
    case "extra":
      return true;
    case "balloon":
      // A larger balloon costs more, until no payment is left.
      return finder.figure === "balloon" ? name === "payment" : !outgrowsLoan(finder, deal);
    default:
      return false;
  }
}

/** Whether a balloon in percent of the price rises faster than what is lent, so that too high a price is the problem. */
function outgrowsLoan({ figure }: LoanFinder, { structure, plan: { balloon } }: LoanDeal): boolean {
  if (figure !== "price" || !balloon || "amount" in balloon) return false;
  return Number(balloon.percent) >= 100 * shareFinanced(structure);
}

/** How many loans it takes, about, to settle lines that are reckoned from the payments. */
const TIMES_SETTLED = 20;

/** A table has a line for each payment; a plan that is read anew takes about as much. */
function rowsOf({ plan, structure }: LoanDeal, finder: LoanFinder, known: MeasureName): Trial["rows"] {
  const settling = needsPlan(structure) ? TIMES_SETTLED : 0;
  const times = (finder.changesPlan ? 1 : 0) + (MEASURES[known].follows === "repayment" ? 1 : 0) + settling;
  if (finder.figure === "payments") return whole => times * Math.abs(whole);
  const payments = plan.datedPayments?.length ?? plan.payments ?? MOST_PAYMENTS;
  return () => Math.max(times * payments, 1);
}

/** The plan at the least number that can be tried, or at the most where there is none at the least. */
function firstTerms(deal: LoanDeal, finder: LoanFinder): Result<Terms> {
  const { low, high } = finder.range(deal, 0);
  if (!finder.changesPlan) return readTerms(finder.fill(deal, low));
  const least = readTerms(finder.fill(deal, Math.max(low, 1)));
  return least.ok ? least : readTerms(finder.fill(deal, high));
}

function measured(filled: LoanDeal, terms: Terms, name: MeasureName): Result<number> {
  const measure = MEASURES[name];
  if (measure.follows === "loan") {
    const lent = lend(filled, terms);
    return lent.ok ? success(measure.of(lent.value)) : lent;
  }
  const priced = price(filled, terms);
  return priced.ok ? success(measure.of(priced.value)) : priced;
}

function solvedFor(filled: LoanDeal, terms: Terms): Result<number> {
  const lent = lend(filled, terms);
  return lent.ok ? success(lent.value.loan.solved) : lent;
}
