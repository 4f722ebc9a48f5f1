import type { Store } from "@/data/store";
import { applyChange, changeUpToDate, chosenOption, type DealChange } from "@/exchange/deal-document";
import type { NeedsRelease } from "@/exchange/releases";
import { DEFAULT_SETTINGS } from "@/exchange/settings";
import { askOfRelease } from "../ask-programs";
import type { Asker } from "../asker";
import type { ReleaseReply, ReleasesReply } from "../contract";
import { openDeal } from "../deals";
import { allow } from "../door";
import { Refusal } from "../refusal";
import type { ReleaseRequest } from "../requests";

const REOPENING: NeedsRelease = { kind: "reopen", detail: "the signed deal is reopened" };

/**
 * Sees that a deal may be signed by whoever asks: where people have names, a manager has released what is beyond the usual.
 *
 * @throws Refusal with what is to be released first
 */
export async function allowSigning(
  store: Store,
  asker: Asker,
  id: string,
  change: DealChange,
): Promise<void> {
  allow(asker, "signDeals");
  if (asker.person) refuseOpen(await openBeforeSigning(store, id, change), "signed");
}

/** What is still to be released before a deal is signed, as a change would leave it. */
async function openBeforeSigning(store: Store, id: string, change: DealChange): Promise<NeedsRelease[]> {
  const kept = await store.getDeal(id);
  if (!kept || kept.document.status === "signed") return [];
  const document = applyChange(kept.document, changeUpToDate(kept.document, change));
  const option = chosenOption(document);
  const [dealer, settings, ofDealer] = await Promise.all([
    store.getDealer(id),
    store.getSettings(),
    store.getSettingsDealer(),
  ]);
  const needed = await askOfRelease({
    inputs: option.inputs,
    known: dealer?.dealer.options?.[option.id] ?? {},
    place: document.place,
    house: settings?.settings ?? DEFAULT_SETTINGS,
    usualSpread: ofDealer?.dealer.usualSpread,
  });
  if (needed.length === 0) return [];
  const released = await store.releasesOf(id);
  return needed.filter(
    ({ kind, detail }) => !released.some(each => each.kind === kind && each.detail === detail),
  );
}

/**
 * Sees that a signed deal may be reopened: where people have names, a manager has released it since it was signed.
 *
 * @throws Refusal with what is to be released first
 */
export async function allowReopening(store: Store, asker: Asker, id: string): Promise<void> {
  if (asker.person) refuseOpen(await openBeforeReopening(store, id), "reopened");
}

async function openBeforeReopening(store: Store, id: string): Promise<NeedsRelease[]> {
  const signing = await store.getSigning(id);
  if (!signing) return [];
  const isReleased = (await store.releasesOf(id, "reopen")).some(({ at }) => at > signing.at);
  return isReleased ? [] : [REOPENING];
}

function refuseOpen(open: NeedsRelease[], what: string): void {
  if (open.length === 0) return;
  const words = open.map(({ detail }) => detail).join("; ");
  throw new Refusal(
    403,
    `Before it is ${what} a manager has to release this: ${words}.`,
    undefined,
    undefined,
    open,
  );
}

/** Keeps a manager's release, with the reason. */
export async function release(
  store: Store,
  id: string,
  { version, ...released }: ReleaseRequest,
): Promise<ReleaseReply> {
  const kept = await store.keepRelease(id, version, released);
  if (kept === "changed")
    throw new Refusal(409, "This deal was changed somewhere else since; look at it again.");
  if (!kept) throw new Refusal(404, "There is no deal at this address.");
  return withName(store, kept);
}

/** What was released of a deal, by whom and why, the latest first; and what is still to be. */
export async function openReleases(store: Store, { person }: Asker, id: string): Promise<ReleasesReply> {
  const deal = await openDeal(store, id);
  const releases = [];
  for (const each of await store.releasesOf(id)) releases.push(await withName(store, each));
  if (!person) return { releases, open: [] };
  const isSigned = deal.document.status === "signed";
  return {
    releases,
    open: await (isSigned ? openBeforeReopening(store, id) : openBeforeSigning(store, id, {})),
  };
}

async function withName(
  store: Store,
  { who, at, ...release }: NonNullable<Exclude<Awaited<ReturnType<Store["keepRelease"]>>, "changed">>,
): Promise<ReleaseReply> {
  return { ...release, at: at.toISOString(), who: (await store.personOf(who))?.name ?? "" };
}
