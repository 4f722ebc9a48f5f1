import type { Worded } from "./worded";

/** What was typed of a deal of a kind, in words; nothing is computed. */
export type KindWords<File> = {
  /** Everything, by the names of its figures and in the order in which it is structured. */
  figures: (file: File) => Worded[];
  /** How long and how often it is paid: "72 monthly". */
  term: (file: File) => string;
};
