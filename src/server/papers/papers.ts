import { Readable } from "node:stream";
import { parseIsoDate } from "@/core";
import type { Store } from "@/data/store";
import { nameOf } from "@/exchange/deal-document";
import { forCustomers } from "@/exchange/for-customers";
import { isPaperName, PAPER_KINDS, type PaperName } from "@/exchange/papers/paper-kinds";
import { openDeal } from "../deals";
import { Refusal } from "../refusal";
import { openSettings } from "../settings";
import { inThread } from "./in-thread";

/** Which paper is asked for, of which options, of which saved version, with which day on it. */
type PaperAsked = { name: PaperName; options: readonly string[]; version: number; day: number };

const MOST_OPTIONS_ON_A_PAPER = 8;

/** Reads the address of a paper. */
export function readPaperAsked(request: Request, name: string, version: number): PaperAsked {
  const { searchParams } = new URL(request.url);
  const options = (searchParams.get("options") ?? "").split(",").filter(Boolean);
  const day = parseIsoDate(searchParams.get("day") ?? "");
  if (!isPaperName(name)) throw new Refusal(404, "There is no such paper.");
  if (day === undefined)
    throw new Refusal(400, "The address must name the day on the paper, such as ?day=2026-11-30.");
  if (options.length === 0 || options.length > MOST_OPTIONS_ON_A_PAPER)
    throw new Refusal(400, `The address must name 1 to ${MOST_OPTIONS_ON_A_PAPER} options by their ids.`);
  return { name, options, version, day };
}

/** Makes a paper of a deal as it is saved, and what its file is called. */
export async function paperOf(
  store: Store,
  dealId: string,
  { name, options, version, day }: PaperAsked,
): Promise<{ fileName: string; type: string; bytes: Readable }> {
  const deal = await openDeal(store, dealId);
  if (deal.version !== version)
    throw new Refusal(
      409,
      "The deal was changed since; look at it again before a paper is made of it.",
      deal,
    );
  const { settings } = await openSettings(store);
  const made = await inThread({
    name,
    dealId,
    version,
    deal: forCustomers(deal.document),
    options,
    signed: deal.signing?.quotes,
    house: settings.houseName,
    locale: settings.locale,
    day,
  });
  if (!made) throw new Refusal(422, "The paper took too much work to be made.");
  if ("sentence" in made) throw new Refusal(422, made.sentence);
  const { name: called, ending, type } = PAPER_KINDS[name];
  const fileName = `${nameOf(deal.document.customer) || "Deal"}, ${called.toLowerCase()}.${ending}`;
  return { fileName, type, bytes: Readable.from([made.bytes]) };
}
