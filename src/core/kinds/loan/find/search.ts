import { lastRight, RATE_PLACES, type Turned } from "../../../find";
import { MOST_ROWS_TRIED } from "../../../limits";
import { failure, type Result, success } from "../../../result";
import { lastNearby, roundest, type WithinBudget, withinBudget } from "../../../solve";
import { chargesOf, isReckonedFromLoan, needsPlan, type Structure } from "../../../structure";
import { type FoundFigure, type KnownFigure, knownFigure, type LoanDeal, type Priced } from "../deal";
import { FINDERS, type LoanFinder } from "./finders";
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
  const budget = withinBudget(measure, trial.value.rows, MOST_ROWS_TRIED);
  let isSure = true;
  const found = lastRight(
    { rises, low, high, asked },
    {
      measure: budget.at,
      last: turned => {
        const last = lastOnTheRightSide(known, finder, deal.structure, trial.value, turned, guess);
        isSure = last.isSure && !budget.isSpent();
        return last.last;
      },
      none: (_, turned) => noneOnTheRightSide(finder, known, deal, trial.value, budget, turned),
      unbounded: (last, { to }) =>
        rises && last === to ? noAnswer.unbounded(finder, known, asked, trial.value, high) : undefined,
      ...(figure === "yearlyRate" && { round: last => roundest(last, RATE_PLACES, measure) }),
    },
  );
  if (!found.ok) return found;
  const whole = found.value;
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

/**
 * The last number at which the known figure is not above the one asked for; one before the range where there is none. It
 * is not sure to be the last where payments go up and down.
 */
function lastOnTheRightSide(
  known: MeasureName,
  finder: LoanFinder,
  structure: Structure,
  { solved, terms }: Trial,
  { difference, from, to, sign }: Turned,
  guess: number,
): { last: number; isSure: boolean } {
  // The fewest payments make the shortest tables.
  const isTerm = finder.figure === "payments" && sign < 0;
  const first = lastPriced(difference, from, to, sign * guess, isTerm);
  const isCost = known === "totalCost" || known === "financeCharge";
  if (first < from || first >= to) return { last: first, isSure: true };
  if (terms !== null && isCost)
    return lastOverPayments(first, to, priced(difference), whole => solved(sign * whole), terms);
  const last = isInOrder(structure) ? first : lastNearby(whole => isRight(difference(whole)), first, to);
  return { last, isSure: true };
}

/** What cannot be priced is not right, even for too little to repay. */
const isRight = (difference: number) => difference <= 0 && difference !== Number.NEGATIVE_INFINITY;

/** Whether what a structure comes to rises cent by cent with its lines: percents of the loan round up and down again. */
const isInOrder = (structure: Structure) =>
  !needsPlan(structure) && !chargesOf(structure).some(isReckonedFromLoan);

function noneOnTheRightSide(
  finder: LoanFinder,
  known: MeasureName,
  deal: LoanDeal,
  trial: Trial,
  budget: WithinBudget,
  { from, to, sign }: Turned,
): Result<never> {
  // The number at which the known figure is the smallest that it can be.
  const best = sign * cheapest(whole => budget.at(sign * whole), from, to);
  return budget.isSpent()
    ? noAnswer.tooMuchWork(finder, known)
    : noAnswer.beyond(finder, known, deal, trial, best);
}

/** Said where the work ended before everything that comes close was looked at. */
function notSurelyLast({ name }: LoanFinder, known: MeasureName, rises: boolean): string {
  const other = rises ? "larger" : "smaller";
  return `The search ended after as much work as one answer may take: a ${other} ${name} may come to no more than the ${MEASURES[known].name} asked for.`;
}

function noneNeeded(
  { noneNeeded: words }: LoanFinder,
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
