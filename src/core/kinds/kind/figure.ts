import type { Result } from "../../result";

/** The parts of a comparison, in their order: a figure stands in one of them. */
export const COMPARED_PARTS = ["payment", "amounts", "signing", "charges", "totals", "end"] as const;

/** Among which of the options that have a figure the least may be called the best: all of them, or those of the same terms. */
export type Best = "all" | "sameTerms";

/** An answer with its yearly rates, in percent a year; undefined while they are not known yet. */
export type Answered<Quote> = {
  quote: Quote;
  rates: Result<{ apr: number; effectiveRate: number }> | undefined;
};

/** Nothing of a deal, where it has no such figure; null where it should have one and there is none. */
export type FigureValue = number | string | null | undefined;

/**
 * A figure of an answer, as one entry: what it is called, what it comes to, and where it stands. Files, costs, comparisons
 * and maps are walks over the entries of a kind.
 */
export type QuotedFigure<Quote, OnMap> = {
  /** As a heading: "Finance charge". */
  name: string;
  /** Minor units; percent a year; a factor per month; a number of payments; a day number; words. */
  unit: "money" | "percent" | "factor" | "payments" | "date" | "words";
  value(answered: Answered<Quote>): FigureValue;
  /** What a file has under its name, where that is something else. */
  filed?(answered: Answered<Quote>): FigureValue;
  /** How many decimals a percent is shown with; as many as it has where left out. */
  places?: number;
  /** Known only once the yearly rates are. */
  ofRates?: true;
  /** Of a figure that is shown as a cost. */
  cost?: {
    /** What it is called there, where it is another name. */
    name?: string;
    /** What it includes, in a few words. */
    includes(answered: Answered<Quote>): string;
    /** Shown only where credit is compared by its effective rate. */
    isEffectiveRate?: true;
  };
  /** Of a figure that options are compared by. */
  compared?: { part: (typeof COMPARED_PARTS)[number]; best?: Best; isMain?: true };
  /** The same of what a map finds at a place, which is no whole answer: minor units, or percent; null where it has none. */
  mapped?(found: OnMap): number | null;
};

/** The names of a kind's figures that a map can show. */
export type MappedIn<Figures> = {
  [Name in keyof Figures]: Figures[Name] extends { mapped: unknown } ? Name : never;
}[keyof Figures];

/**
 * What a figure is called within a sentence: an abbreviation stays as it is.
 *
 * @example nameInSentence("Total cost") // "total cost"
 */
export const nameInSentence = (name: string): string =>
  name === name.toUpperCase() ? name : name.toLowerCase();
