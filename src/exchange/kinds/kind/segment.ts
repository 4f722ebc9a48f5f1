import type { DayNumber } from "@/core";

/**
 * A piece of a sentence: words, a figure that stands out, or one that can be picked, by what it is; with what stands right
 * after it on the same line.
 */
export type Segment<Figure extends string> =
  | string
  | { strong: string }
  | { figure: Figure; text: string; after?: string };

/** How a place writes what stands in a sentence. */
export type SentenceWriter = {
  /** Minor units of the deal's currency, with its symbol. */
  money: (minor: number) => string;
  date: (day: DayNumber) => string;
  /** A text with plain decimals in it, such as "6.49 %". */
  say: (text: string) => string;
};

/** A sentence as plain text. Example: `plainSentence(["It costs ", { strong: "$10.00" }, "."])` is "It costs $10.00." */
export const plainSentence = (segments: readonly Segment<string>[]): string =>
  segments.map(plainSegment).join("");

function plainSegment(segment: Segment<string>): string {
  if (typeof segment === "string") return segment;
  return "strong" in segment ? segment.strong : segment.text + (segment.after ?? "");
}
