import { type Deal, lend, price } from "../deal";
import { readTerms, type Terms } from "../plans/loan";
import { type Failure, type Result, success } from "../result";
import type { Finder } from "./finders";
import { MEASURES, type MeasureName } from "./measure";

/** Prices a deal for tried numbers. */
export type Trial = {
  decimals: number;
  /** The plan, where trying does not change it. */
  terms: Terms | null;
  /** The known figure at a tried number; without end where the deal cannot be priced there. */
  measure: (whole: number) => number;
  /** What the loan is solved for at a tried number, rounded, in the same way. */
  solved: (whole: number) => number;
};

/** Makes the trial of a figure against a known one. */
export function makeTrial(deal: Deal, finder: Finder, known: MeasureName): Result<Trial> {
  const first = firstTerms(deal, finder);
  if (!first.ok) return first;
  const fixed = finder.changesPlan ? null : first.value;
  // Tried with the payment that each number takes.
  const open = { ...deal, plan: { ...deal.plan, payment: null } };
  const at =
    (name: MeasureName, measure: (filled: Deal, terms: Terms) => Result<number>) => (whole: number) => {
      const filled = finder.fill(open, whole);
      const terms = fixed ? success(fixed) : readTerms(filled);
      const measured = terms.ok ? measure(filled, terms.value) : terms;
      if (measured.ok) return measured.value;
      return isTooLittle(measured.failure, finder, name)
        ? Number.NEGATIVE_INFINITY
        : Number.POSITIVE_INFINITY;
    };
  return success({
    decimals: first.value.decimals,
    terms: fixed,
    measure: at(known, (filled, terms) => measured(filled, terms, known)),
    solved: at("payment", solvedFor),
  });
}

/** Whether nothing is left to finance, or more is agreed than the loan is worth, so that there is too little to pay. */
function isTooLittle({ figure }: Failure, finder: Finder, name: MeasureName): boolean {
  return (
    figure === "amountFinanced" ||
    figure === "prepaidCharge" ||
    figure === "steps" ||
    (figure === "balloon" && name === "payment") ||
    (figure === "extra" && finder.falling.includes(name))
  );
}

/** The plan at the least number that can be tried, or at the most where there is none at the least. */
function firstTerms(deal: Deal, finder: Finder): Result<Terms> {
  const { low, high } = finder.range(deal, 0);
  if (!finder.changesPlan) return readTerms(finder.fill(deal, low));
  const least = readTerms(finder.fill(deal, Math.max(low, 1)));
  return least.ok ? least : readTerms(finder.fill(deal, high));
}

function measured(filled: Deal, terms: Terms, name: MeasureName): Result<number> {
  const measure = MEASURES[name];
  if (measure.follows === "loan") {
    const lent = lend(filled, terms);
    return lent.ok ? success(measure.of(lent.value)) : lent;
  }
  const priced = price(filled, terms);
  return priced.ok ? success(measure.of(priced.value)) : priced;
}

function solvedFor(filled: Deal, terms: Terms): Result<number> {
  const lent = lend(filled, terms);
  return lent.ok ? success(lent.value.loan.solved) : lent;
}
