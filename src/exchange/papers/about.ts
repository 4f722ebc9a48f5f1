import type { Quote } from "@/core";
import { dateIn, type Notation } from "../notation";
import type { Block, Paper, PaperSize } from "./paper";
import { paperSizeOf } from "./paper-size";

/** An option whose answer stands on a paper. */
export type AnsweredOption = { name: string; quote: Quote };

/** Whose paper it is, for whom, about what, and how figures are written there. */
export type About = {
  house: string;
  customer: string;
  /** The vehicle, or the purpose. */
  vehicle: string;
  /** The day that is printed on it, a day number. */
  day: number;
  notation: Notation;
};

/** A paper with what stands at the edges of each page. */
export function paperOf(title: string, about: About, blocks: readonly Block[]): Paper {
  const { house, customer, vehicle, day, notation } = about;
  const size: PaperSize = paperSizeOf(notation.locale);
  return {
    title,
    house,
    about: [customer ? `${title} for ${customer}` : title, vehicle, dateIn(day, notation)]
      .filter(Boolean)
      .join(" · "),
    day,
    size,
    blocks,
    foot: "An estimate, not a contract. Subject to credit approval.",
  };
}
