import { CORE_VERSION } from "@/core";
import type { Database } from "@/data/database";
import { type DealRecord, getDeals } from "@/data/deals";
import { dealsToMake, type KeptFigures, keepFigures, type MadeFigures } from "@/data/register-figures";
import { takingTurns } from "@/data/turns";
import { chosenOption } from "@/exchange/deal-document";
import { amountText, searchText } from "@/exchange/text";
import type { FiguresMaker } from "./in-thread";

/** At most so many deals are taken at a time. */
const AT_A_TIME = 20;
/** After so long those that were changed meanwhile are looked at first. */
const LONGEST_TURN_MS = 200;

/** Makes all figures of the register that are to be made, and keeps them; the deals that were changed last come first. */
export async function makeFigures(database: Database, make: FiguresMaker): Promise<void> {
  for (let most = 1; ; ) {
    const ids = await dealsToMake(database, most);
    if (ids.length === 0) return;
    const rest = takingTurns();
    const records = await getDeals(database, ids);
    await rest();
    const made: MadeFigures[] = [];
    const began = performance.now();
    const isLate = () => performance.now() - began > LONGEST_TURN_MS;
    for (const record of records) {
      made.push(await figuresOfDeal(record, make));
      if (isLate()) break;
    }
    await keepFigures(database, made, CORE_VERSION);
    most = isLate() ? 1 : Math.min(2 * most, AT_A_TIME);
  }
}

async function figuresOfDeal(
  { id, version, document }: DealRecord,
  make: FiguresMaker,
): Promise<MadeFigures> {
  const figures = await make(chosenOption(document).inputs);
  return { dealId: id, dealVersion: version, figures, figuresText: textOf(figures) };
}

/** The figures as a search finds them, with or without their commas. */
function textOf({ payment, amountFinanced, currency }: KeptFigures): string {
  const texts = [payment, amountFinanced].map(minor =>
    minor === null ? "no answer" : amountText(minor, currency),
  );
  return searchText(texts.join(" "));
}
