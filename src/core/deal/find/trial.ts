import { type Result, success } from "../../result";
import type { Deal } from "../deal";
import { lend } from "../lend";
import { price } from "../price";
import { readTerms, type Terms } from "../terms";
import type { Finder } from "./finders";
import { MEASURES, type MeasureName } from "./measure";

/** Prices a deal for tried numbers. */
export type Trial = {
  decimals: number;
  /** The plan, where trying does not change it. */
  terms: Terms | null;
  /** The known figure at a tried number; without end where the deal cannot be priced there. */
  measure: (whole: number) => number;
  /** The level payment at a tried number, in the same way. */
  payment: (whole: number) => number;
};

/** Makes the trial of a figure against a known one. */
export function makeTrial(deal: Deal, finder: Finder, known: MeasureName): Result<Trial> {
  const first = firstTerms(deal, finder);
  if (!first.ok) return first;
  const fixed = finder.changesPlan ? null : first.value;
  const measureOf = (name: MeasureName) => (whole: number) => {
    const measured = measuredAt(finder.fill(deal, whole), fixed, name);
    if (measured.ok) return measured.value;
    // With nothing left to finance, or more agreed than the loan is worth, there is too little to pay.
    const { figure } = measured.failure;
    const tooLittle =
      figure === "amountFinanced" ||
      figure === "prepaidCharge" ||
      figure === "steps" ||
      (figure === "balloon" && name === "payment") ||
      (figure === "extra" && finder.falling.includes(name));
    return tooLittle ? Number.NEGATIVE_INFINITY : Number.POSITIVE_INFINITY;
  };
  return success({
    decimals: first.value.decimals,
    terms: fixed,
    measure: measureOf(known),
    payment: measureOf("payment"),
  });
}

/** The plan at the least number that can be tried, or at the most where there is none at the least. */
function firstTerms(deal: Deal, finder: Finder): Result<Terms> {
  const { low, high } = finder.range(deal, 0);
  if (!finder.changesPlan) return readTerms(finder.fill(deal, low));
  const least = readTerms(finder.fill(deal, Math.max(low, 1)));
  return least.ok ? least : readTerms(finder.fill(deal, high));
}

function measuredAt(filled: Deal, fixed: Terms | null, name: MeasureName): Result<number> {
  const terms = fixed ? success(fixed) : readTerms(filled);
  if (!terms.ok) return terms;
  const measure = MEASURES[name];
  if (measure.follows === "loan") {
    const lent = lend(filled, terms.value);
    return lent.ok ? success(measure.of(lent.value)) : lent;
  }
  const priced = price(filled, terms.value);
  return priced.ok ? success(measure.of(priced.value)) : priced;
}
