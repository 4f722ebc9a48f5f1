import type { DealerRecord } from "@/data/dealer";
import type { Store } from "@/data/store";
import type { Dealer } from "@/exchange/dealer";
import type { DealerReply } from "./contract";
import { Refusal } from "./refusal";
import type { DealerRequest } from "./requests";

const reply = ({ id, version, changedAt, deleted, dealer }: DealerRecord): DealerReply => ({
  id,
  version,
  changedAt: changedAt.toISOString(),
  deleted,
  document: dealer,
});

/** The dealer's part of a deal, for whom it is open. */
export async function openDealer(store: Store, id: string): Promise<DealerReply> {
  const kept = await store.getDealer(id);
  if (!kept) throw new Refusal(404, "There is no deal at this address.");
  if (kept.deleted) throw new Refusal(410, "This deal was deleted.");
  return reply(kept);
}

/** Saves the dealer's part of a deal; a save that was kept already, whose answer never arrived, is confirmed. */
export async function saveDealer(
  store: Store,
  id: string,
  { version, dealer }: DealerRequest,
): Promise<DealerReply> {
  const saved = await store.updateDealer(id, version, dealer);
  if (saved) return reply(saved);
  const current = await openDealer(store, id);
  throw new Refusal(
    409,
    "The dealer's side was changed and saved somewhere else since you opened it.",
    current,
  );
}

/** Puts what a page of before sends of the dealer's side with the deal to what is known. */
export async function addToDealer(store: Store, id: string, sent: Dealer): Promise<void> {
  const { version, document: known } = await openDealer(store, id);
  const options = { ...known.options };
  for (const [option, { costs, ...others }] of Object.entries(sent.options ?? {}))
    options[option] = { ...options[option], ...others, costs: { ...options[option]?.costs, ...costs } };
  // Where somebody else was quicker, it is put to what they have saved.
  if (!(await store.updateDealer(id, version, { ...known, options }))) await addToDealer(store, id, sent);
}
