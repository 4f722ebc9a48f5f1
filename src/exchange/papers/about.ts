import type { Quote } from "@/core";
import type { Segment } from "../kinds/kind/segment";
import { dateIn, type Notation } from "../notation";
import type { Block, Paper, Span } from "../paper-parts/paper";
import type { Place } from "../place/places";
import type { HousePapers } from "../settings";
import { paperSizeOf } from "./paper-size";

/** An option whose answer stands on a paper. */
export type AnsweredOption = { name: string; quote: Quote };

/** Whose paper it is: its name, what it has settled of its papers, and its picture (PNG). */
export type PaperHouse = { name: string; settled: Omit<HousePapers, "logo">; logo?: Uint8Array | undefined };

/** Whose paper it is, for whom, about what, and how figures are written there. */
export type About = {
  house: PaperHouse;
  customer: string;
  /** The vehicle, or the purpose. */
  vehicle: string;
  /** The place whose law counts; none where it was not said. */
  place: Place | undefined;
  /** The day that is printed on it, a day number. */
  day: number;
  notation: Notation;
};

/** A paper with what stands at the edges of each page. */
export function paperOf(title: string, about: About, blocks: readonly Block[]): Paper {
  const { house, customer, vehicle, day, notation } = about;
  const { address = "", telephone = "", email = "", size } = house.settled;
  return {
    title,
    house: house.name,
    about: [customer ? `${title} for ${customer}` : title, vehicle, dateIn(day, notation)]
      .filter(Boolean)
      .join(" · "),
    letterhead: {
      lines: [
        address
          .split("\n")
          .map(line => line.trim())
          .filter(Boolean)
          .join(", "),
        [telephone, email].filter(Boolean).join(" · "),
      ].filter(Boolean),
      ...(house.logo && { logo: house.logo }),
    },
    day,
    size: size ?? paperSizeOf(notation.locale),
    blocks,
    foot: "An estimate, not a contract. Subject to credit approval.",
  };
}

/** A sentence as it stands on paper: what can be pressed on a screen stands out. */
export const spansOf = (segments: readonly Segment<string>[]): Span[] =>
  segments.map(segment =>
    typeof segment === "string"
      ? segment
      : { strong: "strong" in segment ? segment.strong : `${segment.text}${segment.after ?? ""}` },
  );
