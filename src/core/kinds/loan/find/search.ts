import { MOST_ROWS_TRIED } from "../../../limits";
import { failure, type Result, success } from "../../../result";
import { lastNearby, roundest, type WithinBudget, withinBudget } from "../../../solve";
import { chargesOf, isReckonedFromLoan, needsPlan, type Structure } from "../../../structure";
import { type FoundFigure, type KnownFigure, knownFigure, type LoanDeal, type Priced } from "../deal";
import { FINDERS, type Finder, RATE_DECIMALS } from "./finders";
import { firstGuess } from "./guess";
import { lastOverPayments } from "./last-over-payments";
import { cheapest, lastPriced, priced } from "./last-priced";
import { MEASURES, type MeasureName } from "./measure";
import { noAnswer, notDepending } from "./no-answer";
import { makeTrial, type Trial } from "./trial";

/** A deal with the figure filled in that was searched for, and what to say about it once it is priced. */
export type Searched = { filled: LoanDeal; noteOn: (priced: Priced) => string | undefined };

/** What is searched for: a payment that costs so much is the one over the most payments that do. */
function searchedFigure(find: FoundFigure): Exclude<FoundFigure, "payment"> {
  return find === "payment" ? "payments" : find;
}

/** Searches for the figure of a deal from the figure of the result that is known. */
export function search(deal: LoanDeal): Result<Searched> {
  const figure = searchedFigure(deal.find);
  const finder = FINDERS[figure];
  const known = knownFigure(deal);
  if (known === null || ![...finder.rising, ...finder.falling].includes(known))
    return notDepending(finder, known);
  const rises = finder.rising.includes(known);
  const immovable = movesNothing(deal, figure);
  if (immovable) return immovable;
  const trial = makeTrial(deal, finder, known);
  if (!trial.ok) return trial;
  const { decimals, measure } = trial.value;
  const { low, high } = finder.range(deal, decimals);
  const asked = MEASURES[known].asked(deal);
  if (asked <= 0) return noAnswer.tooSmall(known, asked, decimals);

  const never =
    known === "payment" && figure === "payments" ? seenToEndNever(deal, asked, decimals) : undefined;
  if (never) return never;
  const guess = firstGuess(figure, known, deal, trial.value.terms);
  const range = { rises, low, high, asked, guess };
  const budget = withinBudget(measure, trial.value.rows, MOST_ROWS_TRIED);
  const { last, isSure } = lastOnTheRightSide(known, finder, deal.structure, trial.value, budget, range);
  const isBeyond = rises ? last < low : last > high;
  if (isBeyond) return noneOnTheRightSide(finder, known, deal, trial.value, budget, range);
  if (rises && last === high) return noAnswer.unbounded(finder, known, asked, trial.value, high);
  const whole = figure === "yearlyRate" ? roundest(last, RATE_DECIMALS, measure) : last;
  const { from: _from, ...given } = finder.fill(deal, whole);
  const leastIsEnough = !rises && whole === low && finder.noneNeeded !== undefined;
  const payment = known === "payment" && !leastIsEnough ? asked : null;
  const plan = given.plan.payment === payment ? given.plan : { ...given.plan, payment };
  return success({
    filled: { ...given, plan, find: "payment" },
    noteOn: answered => {
      if (!isSure) return notSurelyLast(finder, known, rises);
      return leastIsEnough ? noneNeeded(finder, known, asked, decimals, answered) : undefined;
    },
  });
}

/** Said at once where the search would take many tables for each number of payments that it tries. */
function seenToEndNever(deal: LoanDeal, asked: number, decimals: number): Result<never> | undefined {
  const { balloon, steps, interestOnly, deferred } = deal.plan;
  const isLevel = !balloon && !steps && !interestOnly && !deferred;
  return isLevel && needsPlan(deal.structure)
    ? noAnswer.neverEnds(deal, FINDERS.payments, asked, decimals)
    : undefined;
}

/** A figure that a deal already says, or that changes nothing in it. */
function movesNothing(
  { structure: { down }, plan }: LoanDeal,
  figure: FoundFigure,
): Result<never> | undefined {
  if (figure === "price" && down && "percent" in down && Number(down.percent) === 100) {
    return failure("down", "With 100 % down the price does not change the payment; type a smaller percent.");
  }
  return figure === "payments" && plan.datedPayments
    ? failure("datedPayments", "A list of payments has its own number of them; find another figure.")
    : undefined;
}

type Range = { rises: boolean; low: number; high: number; asked: number; guess: number };

/**
 * The last number of a range, in the direction in which the known figure rises, at which it is not above the one asked
 * for; one before the range where there is none. It is not sure to be the last where the work ended before.
 */
function lastOnTheRightSide(
  known: MeasureName,
  finder: Finder,
  structure: Structure,
  { solved, terms }: Trial,
  { at, isSpent }: WithinBudget,
  range: Range,
): { last: number; isSure: boolean } {
  const { sign, from, to } = risingRange(range);
  // The fewest payments make the shortest tables.
  const isTerm = finder.figure === "payments" && sign < 0;
  const difference = (whole: number) => at(sign * whole) - range.asked;
  const first = lastPriced(difference, from, to, sign * range.guess, isTerm);
  const isCost = known === "totalCost" || known === "financeCharge";
  if (first < from || first >= to) return { last: sign * first, isSure: !isSpent() };
  if (terms === null || !isCost) {
    const last = isInOrder(structure) ? first : lastNearby(whole => isRight(difference(whole)), first, to);
    return { last: sign * last, isSure: !isSpent() };
  }
  const { last, isSure } = lastOverPayments(
    first,
    to,
    priced(difference),
    whole => solved(sign * whole),
    terms,
  );
  return { last: sign * last, isSure: isSure && !isSpent() };
}

/** What cannot be priced is not right, even for too little to repay. */
const isRight = (difference: number) => difference <= 0 && difference !== Number.NEGATIVE_INFINITY;

/** Whether what a structure comes to rises cent by cent with its lines: percents of the loan round up and down again. */
const isInOrder = (structure: Structure) =>
  !needsPlan(structure) && !chargesOf(structure).some(isReckonedFromLoan);

/** What falls is searched from its far end, so that the search always meets a rising difference. */
function risingRange({ rises, low, high }: Range): { sign: 1 | -1; from: number; to: number } {
  return rises ? { sign: 1, from: low, to: high } : { sign: -1, from: -high, to: -low };
}

function noneOnTheRightSide(
  finder: Finder,
  known: MeasureName,
  deal: LoanDeal,
  trial: Trial,
  budget: WithinBudget,
  range: Range,
): Result<never> {
  const best = bestOf(budget.at, range);
  return budget.isSpent()
    ? noAnswer.tooMuchWork(finder, known)
    : noAnswer.beyond(finder, known, deal, trial, best);
}

/** The number at which the known figure is the smallest that it can be. */
function bestOf(at: (whole: number) => number, range: Range): number {
  const { sign, from, to } = risingRange(range);
  return sign * cheapest(whole => at(sign * whole), from, to);
}

/** Said where the work ended before everything that comes close was looked at. */
function notSurelyLast({ name }: Finder, known: MeasureName, rises: boolean): string {
  const other = rises ? "larger" : "smaller";
  return `The search ended after as much work as one answer may take: a ${other} ${name} may come to no more than the ${MEASURES[known].name} asked for.`;
}

function noneNeeded(
  { noneNeeded: words }: Finder,
  known: MeasureName,
  asked: number,
  decimals: number,
  answered: Priced,
): string | undefined {
  const { name, of, text } = MEASURES[known];
  const reached = of(answered);
  if (reached >= asked) return undefined;
  const before = known === "endDate" ? "before" : "below";
  return `${words} the ${name} is ${text(reached, decimals)}, ${before} the ${text(asked, decimals)} asked for.`;
}

/** Whether a figure moves what it could be found from. */
export function dependsOn(find: FoundFigure, known: KnownFigure): boolean {
  const { rising, falling } = FINDERS[searchedFigure(find)];
  return rising.includes(known) || falling.includes(known);
}
