import { randomUUID } from "node:crypto";
import type { NewDeal } from "@/data/new-deals";
import type { Store } from "@/data/store";
import { takingTurns } from "@/data/turns";
import type { DealDocument } from "@/exchange/deal-document";
import { tooLargeSentence } from "@/exchange/deal-file/largest";
import type { Dealer } from "@/exchange/dealer";
import { wholeDealOf } from "@/exchange/whole-deal";
import { parseDealDocument } from "@/exchange/whole-deal/parse-document";
import { dropArrival, showArrivals } from "./arrivals";
import { CUT_OFF, type Progress, tellingArrival } from "./deals-arriving";
import { Refusal } from "./refusal";
import { withSigning } from "./sign";

/** So few deals, and so many characters of them, are read or kept at a time that others are served in between. */
const AT_A_TIME = 25;
const LARGEST_PART = 500_000;

/**
 * All deals as one text: each a deal file of version 2, on a line of its own. Deleted ones are left out.
 *
 * @param withDealer whether the dealer's side of each is in it
 */
export async function* allDeals(store: Store, withDealer = false): AsyncGenerator<string> {
  let after: string | null = null;
  do {
    const { records, last } = await store.dealsAfter(after, AT_A_TIME);
    const live = records.filter(({ deleted }) => !deleted);
    const dealers = withDealer ? await store.keptDealers(live.map(({ id }) => id)) : undefined;
    const numbers = await store.stockNumbersOf(live.flatMap(({ document }) => document.vehicle?.id ?? []));
    yield live
      .map(({ id, document }) => {
        const stockNumber = numbers.get(document.vehicle?.id ?? "");
        return `${JSON.stringify(wholeDealOf(document, { dealer: dealers?.get(id), stockNumber }))}\n`;
      })
      .join("");
    after = last;
  } while (after !== null);
}

/** What goes with bringing in a file of deals. */
export type Bringing = {
  /** Gives a signed deal the quotes that it is signed with. */
  ready?: (deal: DealDocument) => Promise<NewDeal>;
  /** The id that its sender knows it by. */
  arrival?: string;
  /** Is told how far it is; what it throws ends it. */
  at?: Progress;
};

/**
 * Brings in every deal of such a text, each as a new one, or none of them.
 *
 * @returns how many there were
 * @throws Refusal with the line that cannot be read
 */
export async function bringInDeals(
  store: Store,
  text: string,
  { ready = withSigning, arrival = randomUUID(), at: heard = () => {} }: Bringing = {},
): Promise<{ deals: number }> {
  if (!(await store.startArrival(arrival)))
    throw new Refusal(409, "A file is being brought in under this id already.");
  const telling = tellingArrival(store, arrival);
  const at: Progress = async (...step) => {
    await heard(...step);
    await telling.at(...step);
  };
  try {
    // Read twice, and never all in memory: the first time it is only seen that each of them is a deal.
    let deals = 0;
    for await (const _ of readDeals(text)) await at("reading", ++deals, null);
    if (deals === 0) throw new Refusal(422, "This file holds no deal.");
    let kept = 0;
    for await (const part of partsOf(readDeals(text))) {
      await at("keeping", kept, deals);
      const signed = await Promise.all(
        part.map(
          async ({ document, size: _, ...beside }): Promise<NewDeal> => ({
            ...(await ready(document)),
            ...beside,
            arrival,
          }),
        ),
      );
      await store.insertPart(signed);
      kept += part.length;
    }
    await at("keeping", kept, deals);
    if (!(await store.completeArrival(arrival, deals))) throw new Refusal(409, CUT_OFF);
    await showArrivals(store, arrival);
    return { deals };
  } catch (error) {
    await dropArrival(store, arrival).catch(() => {});
    throw error;
  } finally {
    telling.end();
  }
}

type ReadDeal = { document: DealDocument; dealer: Dealer; stockNumber?: string; size: number };

async function* partsOf(deals: AsyncIterable<ReadDeal>): AsyncGenerator<ReadDeal[]> {
  let part: ReadDeal[] = [];
  let room = LARGEST_PART;
  for await (const deal of deals) {
    room -= deal.size;
    if (part.length > 0 && (room < 0 || part.length === AT_A_TIME)) {
      yield part;
      [part, room] = [[], LARGEST_PART - deal.size];
    }
    part.push(deal);
  }
  if (part.length > 0) yield part;
}

async function* readDeals(text: string): AsyncGenerator<ReadDeal> {
  const rest = takingTurns();
  for await (const { number, line } of linesOf(text)) {
    const tooLarge = tooLargeSentence(Buffer.byteLength(line));
    if (tooLarge) throw new Refusal(413, `Line ${number}: ${tooLarge}`);
    const deal = parseDealDocument(line, randomUUID);
    if (!deal.ok) throw new Refusal(422, `Line ${number}: ${deal.sentence}`);
    const { isUnnamed: _, ...read } = deal.value;
    yield { ...read, size: line.length };
    await rest();
  }
}

/** So many lines with nothing in them are passed over at a time. */
const EMPTY_AT_A_TIME = 10_000;

/** The lines of a text that hold something, by their numbers. A text can be a hundred million ends of lines and no more. */
async function* linesOf(text: string): AsyncGenerator<{ number: number; line: string }> {
  const rest = takingTurns();
  for (let [number, start] = [1, 0]; start <= text.length; number++) {
    const at = text.indexOf("\n", start);
    const end = at < 0 ? text.length : at;
    const line = end > start ? text.slice(start, end) : "";
    if (line.trim() !== "") yield { number, line };
    else if (number % EMPTY_AT_A_TIME === 0) await rest();
    start = end + 1;
  }
}
