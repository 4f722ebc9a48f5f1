import { randomUUID } from "node:crypto";
import type { DealRecord, SavedDeal, Saving } from "@/data/deals";
import type { NewDeal } from "@/data/new-deals";
import type { Store } from "@/data/store";
import { takingTurns } from "@/data/turns";
import {
  applyChange,
  asItsSenderReads,
  changeUpToDate,
  type DealChange,
  type DealDocument,
  headingOf,
  LONGEST_NAME,
  ownNamed,
} from "@/exchange/deal-document";
import { tooLargeSentence } from "@/exchange/deal-file/largest";
import { dealerOfCopy } from "@/exchange/dealer";
import type { Right } from "@/exchange/people";
import { firstCharacters } from "@/exchange/text";
import { parseDealDocument } from "@/exchange/whole-deal/parse-document";
import type { DealReply, SaveReply, VersionReply } from "./contract";
import { addToDealer } from "./dealer";
import { Refusal } from "./refusal";
import type { ImportRequest, SaveRequest } from "./requests";
import { sign, withSigning } from "./sign";

/** What is told of a deal: its document where it is there. */
const reply = <Deal extends SavedDeal>({ id, version, changedAt, deleted, document }: Deal) =>
  ({
    id,
    version,
    changedAt: changedAt.toISOString(),
    deleted,
    ...(document && { document }),
  }) as Deal extends DealRecord ? DealReply : SaveReply;

/** One deal, deleted or not; undefined where there is none. A signed one comes with what it was signed with. */
async function findDeal(store: Store, id: string): Promise<DealReply | undefined> {
  const record = await store.getDeal(id);
  if (!record) return undefined;
  const signing = record.document.status === "signed" ? await store.getSigning(id) : undefined;
  return { ...reply(record), ...(signing && { signing: { ...signing, at: signing.at.toISOString() } }) };
}

/** A {@link DealReply} as JSON, for whoever only passes it on, with what the page around it tells. */
type DealJson = { customer: string; deleted: boolean; json: string };

/** The same as JSON. */
export async function findDealJson(store: Store, dealId: string): Promise<DealJson | undefined> {
  const found = await store.getDealText(dealId);
  if (!found) return undefined;
  const { id, version, changedAt, deleted, customer, document, signing } = found;
  const others = JSON.stringify({ id, version, changedAt, deleted }).slice(1, -1);
  const json = `{${others},"document":${document}${signing ? `,"signing":${signing}` : ""}}`;
  return { customer, deleted, json };
}

/** One deal, or a refusal where there is none or it is deleted. */
export const openDeal = async (store: Store, id: string): Promise<DealReply> =>
  opened(await findDeal(store, id));

/** The same as JSON. */
export const openDealJson = async (store: Store, id: string): Promise<string> =>
  opened(await findDealJson(store, id)).json;

function opened<Deal extends { deleted: boolean }>(deal: Deal | undefined): Deal {
  if (!deal) throw new Refusal(404, "There is no deal at this address.");
  if (deal.deleted) throw new Refusal(410, "This deal was deleted.");
  return deal;
}

/** The version of a deal, deleted or not. */
export async function dealVersion(store: Store, id: string): Promise<VersionReply> {
  const found = await store.versionOf(id);
  if (!found) throw new Refusal(404, "There is no deal at this address.");
  return found;
}

/** Keeps a new deal, with what is known of its dealer's side and of its vehicle. */
export async function createDeal(
  store: Store,
  document: DealDocument,
  beside: Pick<NewDeal, "dealer" | "stockNumber"> = {},
): Promise<DealReply> {
  const deal: NewDeal = await withSigning(document, "arrives");
  const [id = ""] = await store.insertDeals([{ ...deal, ...beside }]);
  const rest = takingTurns();
  const kept = await openDeal(store, id);
  await rest();
  return kept;
}

/** Keeps the deal of a deal file; where it names no customer, the file's name does, without its endings. */
export async function importDeal(
  store: Store,
  { fileName, text }: ImportRequest,
  allow: (right: Right) => void = () => {},
): Promise<DealReply> {
  const tooLarge = tooLargeSentence(Buffer.byteLength(text));
  if (tooLarge) throw new Refusal(413, tooLarge);
  const rest = takingTurns();
  const deal = parseDealDocument(text, randomUUID);
  await rest();
  if (!deal.ok) throw new Refusal(422, deal.sentence);
  const named = fileName.replace(/(\.deal)?\.json$/i, "").replace(/\p{Cc}/gu, "");
  const nameOfFile = firstCharacters(named, LONGEST_NAME);
  const { document, isUnnamed, ...beside } = deal.value;
  if (Object.keys(beside.dealer ?? {}).length > 0) allow("changeDealersSide");
  if (document.status === "signed") allow("signDeals");
  const customer = isUnnamed ? ownNamed(nameOfFile.trim() && nameOfFile) : undefined;
  return createDeal(store, customer ? { ...document, customer } : document, beside);
}

/**
 * Saves a change of a deal, together with what others have changed in its other parts since. A save that was kept
 * already, whose answer never arrived, is simply confirmed.
 */
export async function saveDeal(
  store: Store,
  id: string,
  { version, change, brief, dealer }: SaveRequest,
): Promise<SaveReply> {
  const saved = await savedOrSigned(store, id, version, change, { ...(brief && { brief }) });
  if (saved && dealer) await addToDealer(store, id, dealer);
  if (!saved) {
    const deal = await openDeal(store, id);
    const current = { ...deal, document: asItsSenderReads(deal.document, change) };
    throw new Refusal(409, "This deal was changed and saved somewhere else since you opened it.", current);
  }
  const answer = reply(saved);
  return answer.document ? { ...answer, document: asItsSenderReads(answer.document, change) } : answer;
}

/** Saves a change; one that signs the deal is saved with what it is signed with. */
async function savedOrSigned(
  store: Store,
  id: string,
  version: number,
  change: DealChange,
  saving: Saving,
): Promise<SavedDeal | undefined> {
  const saved = await store.updateDeal(id, version, change, saving);
  if (saved === "signed") throw new Refusal(409, "This deal is signed; reopen it to change it.");
  if (saved === "currencies") throw new Refusal(422, "The options of a deal are in one currency.");
  if (saved !== "withoutQuotes") return saved;
  const deal = await store.getDeal(id);
  if (!deal) return undefined;
  const document = applyChange(deal.document, changeUpToDate(deal.document, change));
  // Where somebody else has saved meanwhile, it is signed once more.
  const signing = { document, quotes: await sign(document, "signed") };
  return savedOrSigned(store, id, version, change, { ...saving, signing });
}

/** Said where what is asked for was asked in view of another state of the deal. */
const CHANGED_SINCE = "This deal was changed somewhere else since; look at it again.";

/**
 * Takes a signed deal up again; its history says so. What it was signed with is kept until it is signed anew.
 *
 * @param version of the deal in view; asked again, because the answer was lost, it is confirmed
 */
export async function reopenDeal(store: Store, id: string, version: number): Promise<DealReply> {
  const deal = await openDeal(store, id);
  if (deal.document.status !== "signed") {
    // Nothing but reopening it changes a signed deal.
    if (deal.version === version + 1) return deal;
    throw new Refusal(409, "This deal is not signed, so it is open already.", deal);
  }
  const heading = { ...headingOf(deal.document), status: "quoting" as const };
  const saved = await store.updateDeal(id, version, { heading }, { reopens: true });
  if (!saved || typeof saved === "string") {
    throw new Refusal(409, CHANGED_SINCE, await openDeal(store, id));
  }
  return openDeal(store, id);
}

/** Copies a deal; the copy is being quoted again. */
export async function duplicateDeal(store: Store, id: string): Promise<DealReply> {
  const { document } = await openDeal(store, id);
  const dealer = (await store.getDealer(id))?.dealer;
  return createDeal(store, { ...document, status: "quoting" }, dealer && { dealer: dealerOfCopy(dealer) });
}

/**
 * Deletes a deal in a way that {@link restoreDeal} undoes.
 *
 * @param version of the deal in view; asked again, because the answer was lost, it is confirmed
 */
export async function deleteDeal(store: Store, id: string, version: number): Promise<{ id: string }> {
  const deleted = await store.setDeleted(id, true, version);
  if (deleted === "changed") throw new Refusal(409, CHANGED_SINCE, await openDeal(store, id));
  if (deleted === "signed") throw new Refusal(409, "This deal is signed and stays; reopen it to delete it.");
  if (!deleted) throw new Refusal(404, "There is no deal at this address.");
  return { id };
}

/** Brings a deleted deal back as it was. */
export async function restoreDeal(store: Store, id: string): Promise<DealReply> {
  if (!(await store.setDeleted(id, false))) throw new Refusal(404, "There is no deal at this address.");
  return openDeal(store, id);
}
