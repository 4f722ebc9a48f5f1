import type { DealFile } from "../deal-file";
import { wordsOf } from "../kinds/words";
import { LOCALE_NAMES } from "../notation";

/** A figure as it was typed: what it is called, and what stands there. */
export type WordedFigure = [name: string, text: string];

/**
 * Everything that was typed of an option, by the names of its figures and in the order in which it is structured;
 * nothing is computed. The figure that is being found says so.
 *
 * @example figuresInWords(inputs) // [["price", "41,850.00"], ["cash down", "3,000.00"], …]
 */
export function figuresInWords(inputs: DealFile): readonly WordedFigure[] {
  const known = worded.get(inputs);
  if (known) return known;
  const figures = inWords(inputs);
  worded.set(inputs, figures);
  return figures;
}

/** Options are told apart with every key, and most of them stay as they are. */
const worded = new WeakMap<DealFile, readonly WordedFigure[]>();

function inWords(inputs: DealFile): WordedFigure[] {
  const { lender, locale } = inputs;
  const figures = wordsOf(inputs).figures(inputs);
  return [...figures, ["lender", lender], ["formats", locale && LOCALE_NAMES[locale]]].filter(
    (figure): figure is WordedFigure => Boolean(figure[1]),
  );
}
