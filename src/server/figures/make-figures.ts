import { CORE_VERSION } from "@/core";
import type { KeptFigures, MadeFigures } from "@/data/register-figures";
import type { Store } from "@/data/store";
import { amountText, searchText } from "@/exchange/text";
import type { FiguresMaker } from "./in-thread";

/** At most so many deals are taken at a time. */
const AT_A_TIME = 20;
/** After so long those that were changed meanwhile are looked at first. */
const LONGEST_TURN_MS = 200;

/** Makes all figures of the register that are to be made, and keeps them; the deals that were changed last come first. */
export async function makeFigures(store: Store, make: FiguresMaker): Promise<void> {
  for (let most = 1; ; ) {
    const toMake = await store.dealsToMake(most);
    if (toMake.length === 0) return;
    const made: MadeFigures[] = [];
    const began = performance.now();
    const isLate = () => performance.now() - began > LONGEST_TURN_MS;
    for (const { inputs, signed, name, ...deal } of toMake) {
      const computed = await make({ inputs, signed });
      const figures = name ? { ...computed, chosenName: name } : computed;
      made.push({ ...deal, figures, figuresText: textOf(figures) });
      if (isLate()) break;
    }
    await store.keepFigures(made, CORE_VERSION);
    most = isLate() ? 1 : Math.min(2 * most, AT_A_TIME);
  }
}

/** The figures as a search finds them, with or without their commas. */
function textOf({ payment, amountFinanced, currency }: KeptFigures): string {
  const texts = [payment, amountFinanced].map(minor =>
    minor === null ? "no answer" : amountText(minor, currency),
  );
  return searchText(texts.join(" "));
}
