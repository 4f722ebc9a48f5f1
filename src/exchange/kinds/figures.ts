import { type KindName, kindNameOf } from "@/core";
import type { Worded } from "./kind/worded";
import type { DealFile } from "./kinds";
import { leaseFigures } from "./lease/words/figures";
import { loanFigures } from "./loan/words/figures";

/** What was typed of each kind, in words: apart from the kinds, for what shows no answer. */
const FIGURES: { [Name in KindName]: (file: never) => Worded[] } = {
  loan: loanFigures,
  lease: leaseFigures,
};

/** Everything that was typed, by the names of its figures and in the order in which it is structured. */
export const figuresOf = (file: DealFile): Worded[] => FIGURES[kindNameOf(file)](file as never);
