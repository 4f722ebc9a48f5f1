/** A piece of a paragraph: words, or a figure that stands out. */
export type Span = string | { strong: string };

/** A line of a table of figures; what it is decides how it is drawn. */
export type PaperRow = { kind: "line" | "group" | "total"; cells: readonly string[] };

/** A figure in a box of its own: what it is called, what it comes to, and what that means. */
type BoxedFigure = { name: string; text: string; says: string; isLarge?: boolean };

/** What stands on a paper, in order. */
export type Block =
  /** What the blocks after it are about. */
  | { kind: "heading"; text: string }
  /** What stands together and apart from all else, in a frame. */
  | { kind: "group"; name: string; blocks: readonly Block[] }
  /** The figures that matter most, side by side. */
  | { kind: "boxes"; figures: readonly BoxedFigure[] }
  /** What each of some things comes to, or what is said of it, in as many words as it takes. */
  | { kind: "facts"; facts: readonly (readonly [name: string, text: string])[] }
  /** What follows stands on a page of its own. */
  | { kind: "page" }
  /** What it says; `large` where it is the heart of the paper, `small` where it explains. */
  | { kind: "paragraph"; spans: readonly Span[]; size?: "large" | "small" }
  /** A table whose headings stand on each page; the first so many columns are words, the others figures. */
  | {
      kind: "table";
      name: string;
      headings: readonly string[];
      words: number;
      rows: readonly PaperRow[];
    }
  /** Names with their amounts, in two columns side by side, and what they come to. */
  | {
      kind: "tally";
      lines: readonly (readonly [name: string, text: string])[];
      sum: readonly [string, string];
    }
  | { kind: "chart"; chart: PaperChart }
  /** Lines to sign on, each with its day. */
  | { kind: "signatures"; who: readonly string[] };

/** What is owed over time, in points from its top left corner. */
export type PaperChart = {
  /** What it shows, for who cannot see it. */
  label: string;
  width: number;
  height: number;
  ground: string;
  edge: string;
  amounts: readonly { text: string; y: number }[];
  years: readonly { text: string; x: number }[];
  /** How far the picture stands from its left and its right. */
  left: number;
  right: number;
  zero: number;
};

/** The sizes of paper that are used, each in its places. */
export type PaperSize = "Letter" | "A4";

/** A paper as it is, before anything draws it: plain data, in plain words. */
export type Paper = {
  title: string;
  /** Whose house it is from, and for whom, about what, of which day: the line on top of each page. */
  house: string;
  about: string;
  /** Where the house is reached, and its picture (PNG), on top of the first page. */
  letterhead: { lines: readonly string[]; logo?: Uint8Array };
  /** What is written across each page where it is only looked at. */
  mark?: string;
  /** The day that is printed on it, a day number. */
  day: number;
  size: PaperSize;
  blocks: readonly Block[];
  /** What stands at the foot of each page. */
  foot: string;
};
