import { Readable } from "node:stream";
import { CORE_VERSION, parseIsoDate } from "@/core";
import type { Store } from "@/data/store";
import { nameOf } from "@/exchange/deal-document";
import { forCustomers } from "@/exchange/for-customers";
import type { PaperHouse } from "@/exchange/papers/about";
import { paperFileName } from "@/exchange/papers/file-name";
import type { PaperQuestion } from "@/exchange/papers/make-paper";
import type { PaperDetails } from "@/exchange/papers/paper-details";
import { isPaperName, PAPER_FACTS, PAPER_KINDS, type PaperName } from "@/exchange/papers/paper-kinds";
import type { Settings } from "@/exchange/settings";
import type { DealReply, PapersReply } from "../contract";
import { openDealer } from "../dealer";
import { openDeal } from "../deals";
import { Refusal } from "../refusal";
import { openSettings } from "../settings";
import { type DrawnPaper, inThread, type ThreadQuestion } from "./in-thread";
import { packed, unpacked } from "./kept-bytes";
import { logoOf } from "./logo";
import { type DetailsAsked, readDetails } from "./read-details";

/** Which paper is asked for, of which options, of which saved version, with which day on it. */
type PaperAsked = Pick<PaperQuestion, "options" | "version" | "day"> & {
  name: PaperName;
  details: DetailsAsked;
};

const MOST_OPTIONS_ON_A_PAPER = 8;

/** Reads the address of a paper. */
export function readPaperAsked(request: Request, name: string, version: number): PaperAsked {
  if (!isPaperName(name)) throw new Refusal(404, "There is no such paper.");
  return { name, ...readOptionsAsked(request, version) };
}

/** Reads which options papers are asked of, and of which day. */
export function readOptionsAsked(request: Request, version: number): Omit<PaperAsked, "name"> {
  const { searchParams } = new URL(request.url);
  const options = (searchParams.get("options") ?? "").split(",").filter(Boolean);
  const day = parseIsoDate(searchParams.get("day") ?? "");
  if (day === undefined)
    throw new Refusal(400, "The address must name the day on the paper, such as ?day=2026-11-30.");
  if (options.length === 0 || options.length > MOST_OPTIONS_ON_A_PAPER)
    throw new Refusal(400, `The address must name 1 to ${MOST_OPTIONS_ON_A_PAPER} options by their ids.`);
  return { options, version, day, details: readDetails(searchParams) };
}

/** A file with what it is called. */
type NamedFile = { fileName: string; type: string; bytes: Readable };

/** What is written across a paper that is only looked at. */
const PREVIEW = "Preview";

/** A paper that is only looked at: marked so, and not kept. */
export async function previewOf(
  store: Store,
  dealId: string,
  { name, ...asked }: PaperAsked,
): Promise<NamedFile> {
  const { deal, question } = await questionOf(store, dealId, asked);
  if (PAPER_KINDS[name].ending !== "pdf") throw new Refusal(404, "There is a preview of PDF papers alone.");
  const { bytes } = await drawn({ kind: "paper", question: { ...question, name }, mark: PREVIEW });
  return fileOf({ name, bytes }, deal);
}

/** Makes a paper of a deal as it is saved and keeps it, for it leaves the desk; those that are enclosed in a letter, too. */
export async function givePaper(
  store: Store,
  dealId: string,
  { name, ...asked }: PaperAsked,
): Promise<NamedFile> {
  const { deal, question } = await questionOf(store, dealId, asked);
  const { bytes, enclosed } = await drawn({ kind: "paper", question: { ...question, name } });
  for (const paper of [...enclosed, { name, bytes }]) await keep(store, deal, asked, paper);
  return fileOf({ name, bytes }, deal);
}

async function keep(
  store: Store,
  { id, version, document }: DealReply,
  { options }: Pick<PaperAsked, "options">,
  { name, bytes }: DrawnPaper,
): Promise<void> {
  if (PAPER_FACTS[name].isForDesk) return;
  await store.keepGivenPaper({
    dealId: id,
    optionId: options.length === 1 ? (options[0] ?? null) : null,
    kind: name,
    fileName: paperFileName(name, nameOf(document.customer)),
    at: new Date(),
    dealVersion: version,
    coreVersion: CORE_VERSION,
    ...(await packed(bytes)),
  });
}

/** A paper that was given, the same bytes again. */
export async function givenPaperOf(store: Store, dealId: string, id: string): Promise<NamedFile> {
  const paper = await store.givenPaper(dealId, id);
  if (!paper) throw new Refusal(404, "There is no such paper of this deal.");
  const { bytes, fileName, kind } = paper;
  if (!bytes)
    throw new Refusal(410, "The paper was kept for as long as the house has settled, and was removed.");
  const type = isPaperName(kind) ? PAPER_KINDS[kind].type : "application/octet-stream";
  return { fileName, type, bytes: Readable.from([await unpacked(bytes)]) };
}

/** Which papers there are not of some options, and why; and what no font has. */
export async function papersOf(
  store: Store,
  dealId: string,
  asked: Omit<PaperAsked, "name">,
): Promise<PapersReply> {
  const { question } = await questionOf(store, dealId, asked);
  const seen = await inThread({ kind: "look", question });
  if (!seen || !("none" in seen)) throw new Refusal(422, "The papers took too much work to be looked at.");
  return seen;
}

async function drawn(question: ThreadQuestion) {
  const made = await inThread(question);
  if (!made) throw new Refusal(422, "The paper took too much work to be made.");
  if ("sentence" in made) throw new Refusal(422, made.sentence);
  if (!("bytes" in made)) throw new Error("A paper was asked for.");
  return made;
}

const fileOf = ({ name, bytes }: DrawnPaper, { document }: DealReply): NamedFile => ({
  fileName: paperFileName(name, nameOf(document.customer)),
  type: PAPER_KINDS[name].type,
  bytes: Readable.from([bytes]),
});

/** What papers are made of: the deal as its customer may see it and the house, nothing else. */
async function questionOf(
  store: Store,
  dealId: string,
  { options, version, day, details }: Omit<PaperAsked, "name">,
): Promise<{ deal: DealReply; question: Omit<PaperQuestion, "name"> }> {
  const deal = await openDeal(store, dealId);
  if (deal.version !== version)
    throw new Refusal(
      409,
      "The deal was changed since; look at it again before a paper is made of it.",
      deal,
    );
  const { settings } = await openSettings(store);
  return {
    deal,
    question: {
      dealId,
      version,
      deal: forCustomers(deal.document),
      options,
      signed: deal.signing?.quotes,
      house: await houseOf(store, settings),
      locale: settings.locale,
      day,
      details: await withCommission(store, dealId, options, details),
    },
  };
}

/** The one figure of the dealer's that may stand on a customer's paper: by an express choice, for that paper alone. */
async function withCommission(
  store: Store,
  dealId: string,
  [optionId = ""]: readonly string[],
  details: DetailsAsked,
): Promise<PaperDetails> {
  const { isCommissionAsked, ...others } = details;
  if (!isCommissionAsked) return others;
  const { document } = await openDealer(store, dealId);
  const reserve = document.options?.[optionId]?.reserve;
  return { ...others, commission: reserve ?? null };
}

/** Whose papers they are. */
export async function houseOf(store: Store, { houseName, papers = {} }: Settings): Promise<PaperHouse> {
  const { logo, ...settled } = papers;
  const picture = logo && "sha256" in logo ? await logoOf(store, logo.sha256) : undefined;
  return { name: houseName, settled, ...(picture && { logo: picture }) };
}
