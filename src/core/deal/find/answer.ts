import { failure, type Result, success } from "../../result";
import { lastWhole } from "../../solve";
import type { Deal, FoundFigure } from "../deal";
import { knownFigure } from "../known";
import { missingFigures } from "../missing";
import { type Priced, price } from "../price";
import { readTerms, type Terms } from "../terms";
import { FINDERS, type Finder } from "./finders";
import { firstGuess } from "./guess";
import { MEASURES, type MeasureName } from "./measure";
import { noAnswer, notDepending } from "./no-answer";
import { roundestRate } from "./roundest-rate";
import { termFromEndDate } from "./term-from-end-date";

/** A deal with its figure found and everything about it priced. */
export type Answer = {
  /** The deal with the figure filled in, which asks for its payment. */
  filled: Deal;
  terms: Terms;
  priced: Priced;
  /** A plain sentence where the answer wants explaining. */
  note?: string;
};

/**
 * Finds a deal's figure and prices the deal with it.
 *
 * Money and numbers of payments that are found are whole, and the last on the right side of the figure that
 * they are found from: a price is the largest whose payment or cost does not pass the one asked for, a cash
 * down, an allowance or an extra the smallest. A rate is the roundest that gives the same.
 *
 * @returns the answer, or a failure with the reason and the nearest figure that works
 */
export function answer(deal: Deal): Result<Answer> {
  const missing = missingFigures(deal);
  if (missing) return { ok: false, failure: missing };
  const timed = termFromEndDate(deal);
  if (!timed.ok) return timed;
  return timed.value.find === "payment" && timed.value.from === undefined
    ? solvedPayment(timed.value)
    : searched(timed.value);
}

/** Everything but the payment is given: it has its closed form. */
function solvedPayment(deal: Deal): Result<Answer> {
  const terms = readTerms(deal);
  if (!terms.ok) return terms;
  if (terms.value.solver.worth.level <= 0) {
    const figure = deal.plan.datedPayments ? "datedPayments" : "steps";
    return failure(
      figure,
      "Every payment is given, so that none is left to find; leave the one to find out.",
    );
  }
  const priced = price(deal, terms.value);
  return priced.ok ? success({ filled: deal, terms: terms.value, priced: priced.value }) : priced;
}

/** What is searched for: a payment that costs so much is the one over the most payments that do. */
function searchedFigure(find: FoundFigure): Exclude<FoundFigure, "payment"> {
  return find === "payment" ? "payments" : find;
}

function searched(deal: Deal): Result<Answer> {
  const figure = searchedFigure(deal.find);
  const finder = FINDERS[figure];
  const known = knownFigure(deal);
  const rises = known !== null && finder.rising.includes(known);
  if (known === null || !(rises || finder.falling.includes(known))) return notDepending(finder, known);
  const { down } = deal.structure;
  if (figure === "price" && down && "percent" in down && Number(down.percent) === 100) {
    return failure("down", "With 100 % down the price does not change the payment; type a smaller percent.");
  }
  const trial = makeTrial(deal, finder, known);
  if (!trial.ok) return trial;
  const { low, high } = finder.range(deal, trial.value.decimals);
  const asked = MEASURES[known].asked(deal);
  if (asked <= 0) return noAnswer.tooSmall(known, asked, trial.value.decimals);

  const guess = firstGuess(figure, known, deal, trial.value.terms);
  // What falls is searched from its far end, so that the search always meets a rising difference.
  const difference = (whole: number) => trial.value.measure(rises ? whole : -whole) - asked;
  const last = rises ? lastWhole(difference, low, high, guess) : -lastWhole(difference, -high, -low, -guess);
  if (rises ? last < low : last > high)
    return noAnswer.beyond(finder, known, deal, trial.value, rises ? low : high);
  if (rises && last === high) return noAnswer.unbounded(finder, known, asked, trial.value.decimals, high);
  const whole = figure === "yearlyRate" ? roundestRate(last, trial.value.measure) : last;
  return filledIn(deal, finder, known, asked, whole, !rises && whole === low);
}

/** Prices a deal for a tried number. */
export type Trial = {
  decimals: number;
  /** The plan, where trying does not change it. */
  terms: Terms | null;
  /** The known figure at a tried number; without end where the deal cannot be priced there. */
  measure: (whole: number) => number;
};

function makeTrial(deal: Deal, finder: Finder, known: MeasureName): Result<Trial> {
  const { low } = finder.range(deal, 0);
  const first = readTerms(finder.fill(deal, finder.changesPlan ? Math.max(low, 1) : low));
  if (!first.ok) return first;
  const fixed = finder.changesPlan ? null : first.value;
  const measure = (whole: number): number => {
    const filled = finder.fill(deal, whole);
    const terms = fixed ? success(fixed) : readTerms(filled);
    const priced = terms.ok ? price(filled, terms.value) : terms;
    if (priced.ok) return MEASURES[known].of(priced.value);
    // With nothing left to finance, or more agreed than the loan is worth, there is too little to pay.
    const { figure } = priced.failure;
    const tooLittle =
      figure === "amountFinanced" ||
      figure === "prepaidCharge" ||
      figure === "steps" ||
      (figure === "balloon" && known === "payment") ||
      (figure === "extra" && finder.falling.includes(known));
    return tooLittle ? Number.NEGATIVE_INFINITY : Number.POSITIVE_INFINITY;
  };
  return success({ decimals: first.value.decimals, terms: fixed, measure });
}

function filledIn(
  deal: Deal,
  finder: Finder,
  known: MeasureName,
  asked: number,
  whole: number,
  leastIsEnough: boolean,
): Result<Answer> {
  const { from: _from, ...given } = finder.fill(deal, whole);
  const filled: Deal = { ...given, find: "payment" };
  const terms = readTerms(filled);
  if (!terms.ok) return terms;
  const priced = price(filled, terms.value);
  if (!priced.ok) return priced;
  const { decimals } = terms.value;
  const { name, of, text } = MEASURES[known];
  const reached = of(priced.value);
  const note =
    leastIsEnough && finder.noneNeeded && reached < asked
      ? `${finder.noneNeeded} the ${name} is ${text(reached, decimals)}, ${known === "endDate" ? "before" : "below"} the ${text(asked, decimals)} asked for.`
      : undefined;
  return success({ filled, terms: terms.value, priced: priced.value, ...(note && { note }) });
}
