import type { Departure, Matched, MatchWay } from "@/core/match";
import { amountText } from "../text";
import { departureWords, type WordsOf } from "./departure-words";

/** A piece of a sentence: words, or what a way departs in. */
type MatchSpan = string | { departure: Departure; text: string };

const listed = (spans: readonly MatchSpan[]): MatchSpan[] =>
  spans.flatMap((span, index) => {
    if (index === 0) return [span];
    return [index === spans.length - 1 ? (spans.length > 2 ? ", and " : " and ") : ", ", span];
  });

const spansOf = ({ departures }: MatchWay, of: WordsOf): MatchSpan[] =>
  listed(departures.map(departure => ({ departure, text: departureWords(departure, of) })));

/** A way in a phrase; how it is in the deal where it departs in nothing. */
export function wayWords(way: MatchWay, of: WordsOf): string {
  if (way.departures.length === 0) return "as here";
  return textOf(spansOf(way, of));
}

/** Spans as plain text. */
export const textOf = (spans: readonly MatchSpan[]): string =>
  spans.map(span => (typeof span === "string" ? span : span.text)).join("");

/**
 * Where another's figures come from, in one sentence.
 *
 * @param matched what was found
 * @param of what amounts are written in
 * @returns spans in plain notation
 */
export function matchSentence(matched: Matched, of: WordsOf): MatchSpan[] {
  const [first] = matched.ways;
  const figures = matched.stated === 1 ? "figure" : "figures";
  if (!first)
    return [
      matched.stated === 1
        ? "Nothing that was tried gives their figure; what comes nearest stands below."
        : `Nothing that was tried gives all of their ${matched.stated} figures; what comes nearest stands below.`,
    ];
  if (matched.stated === 1) return [severalWords(matched, first)];
  if (first.departures.length === 0) return [`Their ${figures} are those here, to the last digit.`];
  return [`Their ${figures} come out to the last digit with `, ...spansOf(first, of), "."];
}

/** One figure alone shows nothing: several ways have it. */
function severalWords({ fitting }: Matched, first: MatchWay): string {
  const count = fitting === 1 ? "one way was found" : `${grouped(fitting)} ways were found`;
  return first.departures.length === 0
    ? "Several fit, those here among them; one more figure of theirs would tell."
    : `Several fit: ${count} with few departures, and there are more with others. One more figure of theirs would tell.`;
}

const MOST_OF_ONE = 5;

/** Other ways that give every figure as well; of one figure alone all of them, the likeliest first. */
export function othersWords({ ways, fitting, stated }: Matched, of: WordsOf): string[] {
  if (stated === 1) return ways.slice(0, MOST_OF_ONE).map(way => wayWords(way, of));
  const told = ways.slice(1).map(way => wayWords(way, of));
  const rest = fitting - 1 - told.length;
  return rest > 0 ? [...told, `${rest} more with as many departures`] : told;
}

const grouped = (count: number): string => count.toLocaleString("en-US");

/** How much was tried, what was cut off, and whether other ways give the same. */
export function triedWords(
  { tried, cutOffAfter, ways, fitting, stated, nearest }: Matched,
  ms?: number,
): string {
  const count = tried === 1 ? "1 way tried" : `${grouped(tried)} ways tried`;
  const time = ms === undefined ? "" : ` in ${(Math.max(ms, 10) / 1000).toFixed(ms < 995 ? 2 : 1)} s`;
  const cut =
    cutOffAfter === null
      ? ""
      : `; it ended there: all of up to ${cutOffAfter} departures were tried, of ${cutOffAfter + 1} not all`;
  const [first] = ways;
  const others =
    stated > 1 && first
      ? fitting === 1
        ? "; no other with as few departures fits"
        : fitting === 2
          ? "; one other fits equally"
          : `; ${grouped(fitting - 1)} others fit equally`
      : "";
  return `${count}${time}${others}${cut}${nearest.length === 0 && !first ? "; none of them is a loan" : ""}.`;
}

/** What amount their payment repays by the deal's own terms, where that is another; nothing where it is not. */
export function impliedWords(
  { implied }: Matched,
  amountFinanced: number,
  { currency, isLease }: WordsOf,
): string {
  if (!implied || (implied.from <= 0 && implied.to >= 0)) return "";
  const text = (more: number) => amountText(amountFinanced + more, currency);
  const range =
    implied.from === implied.to ? text(implied.from) : `${text(implied.from)} to ${text(implied.to)}`;
  const [least, most] = [Math.abs(implied.from), Math.abs(implied.to)].sort((a, b) => a - b);
  const apart =
    implied.from === implied.to
      ? amountText(least ?? 0, currency)
      : `${amountText(least ?? 0, currency)} to ${amountText(most ?? 0, currency)}`;
  return `By the terms here their payment goes with ${range} ${isLease ? "capitalized" : "financed"}: ${apart} ${implied.from > 0 ? "more" : "less"}.`;
}
