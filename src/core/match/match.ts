import { isoDate } from "../calendar";
import type { Quote } from "../kinds";
import { failure, type Result, success } from "../result";
import { amountOf, balanceAfter, type Compared, compare, type DepartingCell } from "./compare";
import { type Implied, impliedBy, unexplainedAmounts } from "./implied";
import { leaseMachine } from "./lease/machine";
import { loanMachine } from "./loan/machine";
import { type Matters, matters } from "./matters";
import { type Found, type SearchLimits, search, type Tried } from "./search";
import { countStated, type Departure, type Machine, type Measured, STATED_AMOUNTS, type Stated } from "./way";

/** What a way comes to, in minor units and percent; what is undefined cannot be known. */
export type WayFigures = {
  payment: number;
  /** The payment before it is rounded. */
  unrounded: number;
  lastPayment: number;
  totalOfPayments: number;
  financeCharge: number;
  amountFinanced: number;
  /** Where it was asked for. */
  apr?: number | undefined;
  balance?: number | undefined;
  payoff?: number | undefined;
};

/** A way that was tried, with what it comes to and what of that is off. */
export type MatchWay = {
  departures: readonly Departure[];
  /** A slip counts two. */
  count: number;
  figures: WayFigures;
  off: Compared["off"];
  /** Of a table: how many rows depart, and the first cell that does. */
  rowsOff: number;
  firstOff: DepartingCell | null;
  /** How many rows have another interest than as usual, and how much more interest there is in all, in minor units. */
  rowsWithOther: number;
  moreInterest: number;
};

/** Where another's figures come from. */
export type Matched = {
  /** Those that give every stated figure with the fewest departures, the likeliest first. */
  ways: readonly MatchWay[];
  /** How many those are. */
  fitting: number;
  /** The nearest that do not. */
  nearest: readonly MatchWay[];
  /** By the deal's own conventions. */
  usual: MatchWay;
  tried: number;
  /** Several give them, so that none is shown to be theirs. */
  several: boolean;
  /** How many figures are stated. */
  stated: number;
  /** Ways of so many departures were all tried; null where nothing was cut off. */
  cutOffAfter: number | null;
  /** How much more their payment repays by the deal's own conventions; null where none is stated, or no amount has it. */
  implied: Implied | null;
  /** In the United States whether it matters. */
  matters: Matters | null;
};

/** What another states of an answered deal, and where the deal is. */
export type MatchAsked = { quote: Quote; stated: Stated; place: string | undefined };

const MOST_TOLD = 12;

/**
 * Looks for the conventions that give every stated figure.
 *
 * @param asked an answered deal with what another says of it
 * @param limits how many ways are tried at most
 * @returns a generator that gives way now and then, with what was found so far now and then and the whole at its end; a
 *   failure for a figure that the deal cannot have
 */
export function* walkMatch(
  asked: MatchAsked,
  limits: SearchLimits = {},
): Generator<Result<Matched> | undefined, Result<Matched>, void> {
  const problem = problemOf(asked);
  if (problem) return problem;
  const { quote, stated } = asked;
  if (quote.kind === "lease") return yield* walkWith(leaseMachine(quote, stated), asked, limits);
  const machine = loanMachine(quote, stated, asked.place);
  return machine
    ? yield* walkWith(machine, asked, limits)
    : failure("match", "Nothing is lent by this deal, so that there is nothing to hold figures against.");
}

/**
 * The same at once.
 *
 * @example matchFigures({ quote: plainQuote, stated: { payment: { units: 86066, decimals: 2 } }, place: undefined }).value.several // true
 */
export function matchFigures(asked: MatchAsked, limits: SearchLimits = {}): Result<Matched> {
  const walk = walkMatch(asked, limits);
  for (;;) {
    const step = walk.next();
    if (step.done) return step.value;
  }
}

function problemOf({ quote, stated }: MatchAsked): ReturnType<typeof failure> | undefined {
  if (countStated(stated) === 0)
    return failure(
      "match",
      "Type one of their figures at least: a payment, a total, an APR, or paste their table.",
    );
  if (stated.balance && stated.balance.after > quote.payments)
    return failure(
      "match",
      `There is no payment ${stated.balance.after}; what is owed can be told after payments 1 to ${quote.payments}.`,
    );
  const { payoff } = stated;
  if (!payoff) return undefined;
  if (quote.kind === "lease")
    return failure("match", "A lease has no payoff by itself; take what is owed after a payment instead.");
  if (quote.startDate === null)
    return failure("match", "A payoff on a day needs the contract date of the deal; type it there.");
  if (payoff.on < quote.startDate || payoff.on >= (quote.finalDate ?? payoff.on))
    return failure(
      "match",
      `${isoDate(payoff.on)} is not within the loan; a payoff can be from ${isoDate(quote.startDate)} on, before ${isoDate(quote.finalDate ?? payoff.on)}.`,
    );
  return undefined;
}

function* walkWith<Way>(
  known: Machine<Way>,
  asked: MatchAsked,
  limits: SearchLimits,
): Generator<Result<Matched> | undefined, Result<Matched>, void> {
  const measured = known.measure(known.base);
  if (!measured)
    return failure(
      "match",
      "The deal’s own conventions give no such loan, so that nothing can be held against it.",
    );
  const here = compare(measured, asked.stated, known.decimals, Number.POSITIVE_INFINITY) ?? NOTHING_OFF;
  const law =
    asked.place === "US" && asked.quote.kind !== "lease" ? matters(asked.quote, asked.stated) : null;
  const implied = impliedBy(known, asked.stated);
  const isOpen = countStated(asked.stated) > 1 && !asked.stated.amountFinanced;
  const machine = isOpen
    ? { ...known, choices: [...known.choices, unexplainedAmounts(known, implied)] }
    : known;
  const walk = search(machine, asked.stated, limits);
  for (;;) {
    const { done, value } = walk.next();
    if (done) return success(toldOf(asked, { measured, compared: here }, value, { implied, matters: law }));
    yield value && success(toldOf(asked, { measured, compared: here }, value, { implied, matters: law }));
  }
}

function toldOf<Way>(
  { stated }: MatchAsked,
  here: Pick<Tried<Way>, "measured" | "compared">,
  found: Found<Way>,
  besides: Pick<Matched, "implied" | "matters">,
): Matched {
  const count = countStated(stated);
  const tell = (tried: Pick<Tried<Way>, "measured" | "departures" | "count" | "compared">) =>
    wayOf(tried, stated, here.measured);
  const usual = tell({ ...here, departures: [], count: 0 });
  return {
    ways: found.fits.slice(0, MOST_TOLD).map(tell),
    fitting: found.fits.length,
    nearest: found.nearest.map(tell),
    usual,
    tried: found.tried,
    several: found.fits.length > 1 || (count < 2 && found.fits.length > 0),
    stated: count,
    cutOffAfter: found.isCutOff ? found.wholeTo : null,
    ...besides,
  };
}

const NOTHING_OFF: Compared = { off: {}, rowsOff: 0, firstOff: null, distance: 0 };

function wayOf<Way>(
  {
    measured,
    departures,
    count,
    compared,
  }: Pick<Tried<Way>, "measured" | "departures" | "count" | "compared">,
  stated: Stated,
  usual: Measured,
): MatchWay {
  const { balance, payoff, apr } = stated;
  const [payment, lastPayment, totalOfPayments, financeCharge, amountFinanced] = STATED_AMOUNTS.map(name =>
    amountOf(measured, name),
  ) as [number, number, number, number, number];
  const rows = measured.rows();
  const usualRows = usual.rows();
  return {
    departures,
    count,
    figures: {
      payment,
      unrounded: measured.unrounded,
      lastPayment,
      totalOfPayments,
      financeCharge,
      amountFinanced,
      ...(apr && { apr: measured.apr() }),
      ...(balance && { balance: balanceAfter(measured, balance.after) }),
      ...(payoff && { payoff: measured.payoff(payoff.on) }),
    },
    off: compared.off,
    rowsOff: compared.rowsOff,
    firstOff: compared.firstOff,
    rowsWithOther: rows.filter(({ interest }, index) => interest !== usualRows[index]?.interest).length,
    moreInterest: sumOf(rows) - sumOf(usualRows),
  };
}

const sumOf = (rows: ReturnType<Measured["rows"]>): number =>
  rows.reduce((sum, { interest }) => sum + interest, 0);
