import { formatAmount, isoDate, type Quote, type Result, success } from "@/core";
import {
  type Departure,
  type Held,
  type MatchWay,
  type Matters,
  matchFigures,
  type NotHeld,
} from "@/core/match";
import { rateText } from "../text";
import { departureWords, type WordsOf } from "./departure-words";
import type { MatchQuestion } from "./match-question.schema";
import { matchSentence, textOf, triedWords, wayWords } from "./match-words";
import { mattersWords } from "./matters-words";
import { readStated } from "./read-stated";

/** Amounts as decimal strings, those that are not whole with four decimals of a minor unit more. */
type Money = (minor: number) => string;

const FINER = 4;

const moneyOf =
  (decimals: number): Money =>
  minor =>
    Number.isInteger(minor)
      ? formatAmount(minor, decimals)
      : (minor / 10 ** decimals).toFixed(decimals + FINER);

/**
 * Answers where another's figures come from, as plain JSON.
 *
 * @param question what is stated, which passed its schema
 * @param quote the answered deal
 * @param place whose law counts, by ISO 3166-1
 */
export function answerMatchQuestion(
  { stated, most }: MatchQuestion,
  quote: Quote,
  place: string | undefined,
): Result<object> {
  const read = readStated(stated, quote.filled.currency);
  if (!read.ok) return read;
  const matched = matchFigures(
    { quote, stated: read.value, place },
    most === undefined ? {} : { most: Number(most) },
  );
  if (!matched.ok) return matched;
  const of: WordsOf = {
    currency: quote.filled.currency,
    isLease: quote.kind === "lease",
  };
  const money = moneyOf(quote.decimals);
  const { ways, nearest, usual, tried, several, cutOffAfter, matters, fitting, implied } = matched.value;
  return success({
    sentence: textOf(matchSentence(matched.value, of)),
    ways: ways.map(way => wayJson(way, of, money)),
    fitting,
    nearest: nearest.map(way => ({ ...wayJson(way, of, money), off: offJson(way, money) })),
    usual: figuresJson(usual, money),
    ...(implied && { implied: { from: money(implied.from), to: money(implied.to) } }),
    tried,
    several,
    ...(cutOffAfter !== null && { cutOffAfter }),
    says: triedWords(matched.value),
    matters: matters && mattersJson(matters, of, money),
  });
}

function wayJson(way: MatchWay, of: WordsOf, money: Money): object {
  return {
    departures: way.departures.map(departure => ({
      ...plainDeparture(departure, money),
      says: departureWords(departure, of),
    })),
    sentence: `With ${wayWords(way, of)}.`,
    figures: figuresJson(way, money),
    rowsWithOtherInterest: way.rowsWithOther,
    moreInterest: money(way.moreInterest),
  };
}

const IN_MONEY = new Set(["more", "amount", "step"]);

/** A departure with its amounts and dates as texts. */
function plainDeparture(departure: Departure, money: Money): object {
  return Object.fromEntries(
    Object.entries(departure).map(([name, value]) => {
      if (IN_MONEY.has(name) && typeof value === "number") return [name, money(value)];
      return [name, name === "date" ? isoDate(value as number) : value];
    }),
  );
}

function figuresJson({ figures }: MatchWay, money: Money): object {
  const { apr, balance, payoff, unrounded, ...amounts } = figures;
  return {
    ...Object.fromEntries(Object.entries(amounts).map(([name, minor]) => [name, money(minor)])),
    unroundedPayment: money(unrounded),
    ...(apr !== undefined && { apr: rateText(apr) }),
    ...(balance !== undefined && { balance: money(balance) }),
    ...(payoff !== undefined && { payoff: money(payoff) }),
  };
}

function offJson({ off, rowsOff, firstOff }: MatchWay, money: Money): object {
  const { apr, ...amounts } = off;
  return {
    ...Object.fromEntries(Object.entries(amounts).map(([name, minor]) => [name, money(minor)])),
    ...(apr !== undefined && { apr: rateText(apr) }),
    ...(firstOff && {
      rows: rowsOff,
      firstRow: {
        number: firstOff.number,
        cell: firstOff.cell,
        stated: money(firstOff.stated),
        figure: money(firstOff.figure),
      },
    }),
  };
}

function mattersJson(matters: Matters, of: WordsOf, money: Money): object {
  const { apr, financeCharge, amountFinanced, isIrregular } = matters;
  const heldJson = (held: Held | NotHeld, text: (figure: number) => string) =>
    "why" in held
      ? held
      : {
          stated: text(held.stated),
          worked: text(held.worked),
          off: text(held.off),
          tolerance: text(held.tolerance),
          isWithin: held.isWithin,
        };
  return {
    amountFinanced: money(amountFinanced),
    isIrregular,
    ...(apr && { apr: heldJson(apr, rateText) }),
    ...(financeCharge && { financeCharge: heldJson(financeCharge, money) }),
    says: mattersWords(matters, of.currency).map(({ says, law }) => `${says} (${law})`),
  };
}
