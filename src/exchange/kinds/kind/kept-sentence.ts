// A sentence as a record keeps it: its figures stay figures, to be written as a place has them whenever it is read.
import { isoDate } from "@/core";
import { dayOf } from "./record-parts";
import type { Segment, SentenceWriter } from "./segment";

/** Around a figure: no text that is typed or said has it. */
const MARK = "\u0001";

const kept = (kind: "money" | "date" | "say", figure: number | string) => `${MARK}${kind} ${figure}${MARK}`;

/** Writes figures so that they can be written anew. */
export const KEEPING: SentenceWriter = {
  money: minor => kept("money", minor),
  date: day => kept("date", isoDate(day)),
  say: text => kept("say", text),
};

/**
 * A kept sentence in the writing of a place.
 *
 * @example writtenAnew([KEEPING.money(68397)], { ...write, money: minor => `$${minor / 100}` }) // ["$683.97"]
 */
export function writtenAnew<Figure extends string>(
  sentence: readonly Segment<Figure>[],
  write: SentenceWriter,
): Segment<Figure>[] {
  const anew = (text: string) => text.replace(KEPT, (_, kind, figure) => figureText(kind, figure, write));
  return sentence.map(segment => {
    if (typeof segment === "string") return anew(segment);
    if ("strong" in segment) return { strong: anew(segment.strong) };
    const { figure, text, after } = segment;
    return { figure, text: anew(text), ...(after !== undefined && { after: anew(after) }) };
  });
}

const KEPT = new RegExp(`${MARK}(\\w+) ([^${MARK}]*)${MARK}`, "g");

function figureText(kind: string, figure: string, write: SentenceWriter): string {
  if (kind === "money") return write.money(Number(figure));
  if (kind === "say") return write.say(figure);
  return write.date(dayOf(figure));
}
