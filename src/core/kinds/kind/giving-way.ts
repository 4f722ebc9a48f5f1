import type { Result } from "../../result";
import type { Move, MoveFigure, MoveValue, Standing, Wanted, WantedFigure } from "./move";

/** What of a kind can give way for a wish, and how: a deal that asks for its payment with its answer is an `Answered`. */
export type GivingWay<Deal, Answered extends { deal: Deal }> = {
  /** The figures that a customer can want to be another. */
  wanted: readonly WantedFigure[];
  /** The figures that can be another number, in order. */
  figures(now: Answered, wanted: Wanted): readonly MoveFigure[];
  /** What else can give way, beside extras left out. */
  others?(now: Answered, wanted: Wanted): Move[];
  answer(deal: Deal): Result<Answered>;
  /** Why a figure cannot give what is wanted, as it does not move it; undefined where it may. */
  notMoving(now: Answered, figure: MoveFigure, wanted: Wanted): string | undefined;
  /** The deal answered with a figure found that gives what is wanted, all others as they are. */
  moved(now: Answered, figure: MoveFigure, wanted: Wanted): Result<Answered>;
  value(answered: Answered, figure: MoveFigure): MoveValue;
  standing(answered: Answered): Standing;
  /** What each extra of the structure comes to, in minor units. */
  extras(answered: Answered): readonly number[];
  /** What of the trade-ins counts as the customer's own, in minor units. */
  ownTradeIn(answered: Answered): number;
  /** The wanted figure of an answer; infinite where it has none. */
  measure(answered: Answered, figure: WantedFigure): number;
  /** A wanted figure in a sentence, and a value of it. */
  name(figure: WantedFigure): string;
  text(answered: Answered, figure: WantedFigure, value: number): string;
  /** What is said of an extra that is left out: where nothing is left without it, and where it does not matter. */
  nothingWithout(sentence: string): string;
  isSetByTerm(figure: WantedFigure): boolean;
  /** Whether the usual number of payments that still gives what is wanted has more of them. */
  isGivenByMore(figure: WantedFigure): boolean;
  /** The deal over another term, at its own rate or at a yearly one, which is `rate` as the deal types it. */
  overTerm(deal: Deal, payments: number, yearlyRate: string | undefined): { deal: Deal; rate?: string };
  /** Percent a year, as typed. */
  yearlyRate(deal: Deal): string | null;
  /** Whether cash down over other terms is a candidate. */
  hasCashOverTerms: boolean;
};
