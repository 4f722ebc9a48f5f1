import { plainName } from "@/core/programs";
import type { Store } from "@/data/store";
import { LOCALES, type Locale } from "@/exchange/notation";
import { MOST_LENDERS } from "@/exchange/rates/limits";
import { withLenders } from "@/exchange/rates/rates-changes";
import { readRatesFile } from "./ask-programs";
import type { MarkReply, RatesDealerReply, RatesLookReply, RatesReply } from "./contract";
import type { ReadFile } from "./programs/questions";
import { Refusal } from "./refusal";
import type { GoneRatesRequest } from "./requests";
import { dayOf } from "./today";

/** The largest file of rates: a hundred lenders with fifty programs each. */
export const LARGEST_RATES = 12_000_000;

/** What lenders offer, without what is the dealer's: no rates and no limits. */
export async function openRates(store: Store): Promise<RatesReply> {
  const { lenders, mark } = await store.keptRates();
  return {
    mark,
    lenders: lenders.map(({ name, programs }) => ({
      name,
      programs: programs.map(({ name: called, kind, currency, valid, condition }) => ({
        name: called,
        kind,
        currency,
        ...(valid && { valid }),
        ...(condition && { condition }),
      })),
    })),
  };
}

/** All that lenders offer, for whom the dealer's side is open. */
export const openRatesDealer = (store: Store): Promise<RatesDealerReply> => store.keptRates();

/** What tells this state of the rates from another: pages that show them ask, to learn of what others change. */
export const ratesMark = async (store: Store): Promise<MarkReply> => ({ mark: await store.ratesMark() });

/** A file of rates, what it is called, and how its figures are written. */
type RatesSent = { text: string; name: string; locale: string | null };

/** What taking in a file would change; nothing is taken in yet. */
export async function lookAtRates(store: Store, sent: RatesSent): Promise<RatesLookReply> {
  const { changes, mark } = await readSent(store, sent);
  return { changes, mark };
}

/**
 * Takes in a file: its lenders' programs take the place of those that are there, other lenders' stay.
 *
 * @param mark of the rates that the look was of
 */
export async function takeRates(store: Store, sent: RatesSent, mark: string | null): Promise<MarkReply> {
  const { lenders } = await readSent(store, sent);
  return changed(await store.changeRates(mark ?? "", { put: lenders, gone: [] }));
}

async function readSent(
  store: Store,
  { text, name, locale }: RatesSent,
): Promise<Extract<ReadFile, { ok: true }> & MarkReply> {
  const { lenders: present, mark } = await store.keptRates();
  const today = dayOf(new Date());
  const read = await readRatesFile({ text, name, locale: localeOf(locale), today, present });
  if (!read.ok) throw new Refusal(422, read.sentences.join("\n"));
  const all = withLenders(present, read.lenders).length;
  if (all > MOST_LENDERS)
    throw new Refusal(422, `There would be ${all} lenders; at most ${MOST_LENDERS} are kept.`);
  return { ...read, mark };
}

const localeOf = (asked: string | null): Locale => LOCALES.find(each => each === asked) ?? "en-US";

/** Takes out a lender, or one of its programs. */
export async function removeRates(
  store: Store,
  { mark, lender, program }: GoneRatesRequest,
): Promise<MarkReply> {
  const { lenders } = await store.keptRates();
  const of = lenders.find(({ name }) => plainName(name) === plainName(lender));
  if (!of) throw new Refusal(404, `${lender} is not there any more.`);
  const rest = of.programs.filter(({ name }) => program !== undefined && name !== program);
  const change =
    rest.length > 0 ? { put: [{ ...of, programs: rest }], gone: [] } : { put: [], gone: [of.name] };
  return changed(await store.changeRates(mark, change));
}

function changed(mark: string | undefined): MarkReply {
  if (mark === undefined)
    throw new Refusal(409, "The rates were changed somewhere else since; look at them again.");
  return { mark };
}
