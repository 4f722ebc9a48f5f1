import { randomUUID } from "node:crypto";
import type { NewDeal } from "@/data/deals";
import type { Store } from "@/data/store";
import { takingTurns } from "@/data/turns";
import type { DealDocument } from "@/exchange/deal-document";
import { tooLargeSentence } from "@/exchange/deal-file/largest";
import { wholeDealOf } from "@/exchange/whole-deal";
import { parseDealDocument } from "@/exchange/whole-deal/parse-document";
import { withSigning } from "./deals";
import { wakeFigures } from "./figures";
import { Refusal } from "./refusal";

/** So few that others are served in between. */
const AT_A_TIME = 50;

/** All deals as one text: each a deal file of version 2, on a line of its own. Deleted ones are left out. */
export async function* allDeals(store: Store): AsyncGenerator<string> {
  let after: string | null = null;
  do {
    const { records, last } = await store.dealsAfter(after, AT_A_TIME);
    const live = records.filter(({ deleted }) => !deleted);
    yield live.map(({ document }) => `${JSON.stringify(wholeDealOf(document))}\n`).join("");
    after = last;
  } while (after !== null);
}

/**
 * Brings in every deal of such a text, each as a new one, or none of them.
 *
 * @param ready gives a signed deal the quotes that it is signed with
 * @returns how many there were
 * @throws Refusal with the line that cannot be read
 */
export async function bringInDeals(
  store: Store,
  text: string,
  ready: (deal: DealDocument) => Promise<NewDeal> = withSigning,
): Promise<{ deals: number }> {
  const deals = await readDeals(text);
  if (deals.length === 0) throw new Refusal(422, "This file holds no deal.");
  const ids: string[] = [];
  for (let from = 0; from < deals.length; from += AT_A_TIME) {
    const signed = await Promise.all(deals.slice(from, from + AT_A_TIME).map(ready));
    ids.push(...(await store.insertDeals(signed.map((deal): NewDeal => ({ ...deal, isHidden: true })))));
  }
  await store.showDeals(ids);
  wakeFigures();
  return { deals: ids.length };
}

async function readDeals(text: string) {
  const rest = takingTurns();
  const deals = [];
  for (const [index, line] of text.split("\n").entries()) {
    if (line.trim() === "") continue;
    const tooLarge = tooLargeSentence(Buffer.byteLength(line));
    if (tooLarge) throw new Refusal(413, `Line ${index + 1}: ${tooLarge}`);
    const deal = parseDealDocument(line, randomUUID);
    if (!deal.ok) throw new Refusal(422, `Line ${index + 1}: ${deal.sentence}`);
    const { customer = "", ...document } = deal.value;
    deals.push({ ...document, customer });
    await rest();
  }
  return deals;
}
