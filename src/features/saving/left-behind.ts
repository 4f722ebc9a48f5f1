import {
  applyChange,
  changeBetween,
  changeUpToDate,
  type DealChange,
  type DealDocument,
  isSame,
  nameOf,
  saveUpToDate,
} from "@/exchange/deal-document";
import { mergeFigures } from "@/exchange/deal-document/merge-figures";
import type { DealReply } from "@/server/contract";
import { browserStorage, openPages, pageName } from "./browser-pages";
import { type ChangeStorage, type PendingChange, pendingKeys } from "./pending-changes";

/** Every change that is kept, of one deal or of all. */
export const pendingChanges = (storage: ChangeStorage, dealId?: string): PendingChange[] =>
  pendingKeys(storage, dealId).flatMap(key => {
    try {
      return [pendingUpToDate(JSON.parse(storage.getItem(key) ?? ""))];
    } catch {
      return [];
    }
  });

/** A kept change as it is written today; before options the whole document was kept. */
function pendingUpToDate(kept: PendingChange): PendingChange {
  const current = saveUpToDate(kept) as PendingChange;
  const { heading } = current.change;
  const before = kept.before && (saveUpToDate({ change: kept.before }) as { change: DealChange }).change;
  return {
    ...current,
    customer: heading ? nameOf(heading.customer) : current.customer,
    ...(before && { before }),
  };
}

/** Changes whose pages are no longer open, of one deal or of all. */
export async function changesLeftBehind(dealId?: string): Promise<PendingChange[]> {
  const changes = pendingChanges(browserStorage, dealId);
  if (changes.length === 0) return [];
  const open = new Set(await openPages());
  return changes.filter(({ pageId, isLeft }) => isLeft || !open.has(pageName(pageId)));
}

/** A change that an earlier page could not save, as it goes on from the deal of this one. */
type TakenUp = {
  pending: PendingChange;
  /** What it was made from. */
  from: { version: number; document: DealDocument };
  /** What it made of the deal. */
  changed: DealDocument;
  /** That with what was typed here meanwhile, which is newer. */
  withTyped: (typed: DealDocument) => DealDocument;
};

/** A change of this deal whose page was closed before the server confirmed it; the deal has it where only its answer was lost. */
export async function takeUp(deal: DealReply): Promise<TakenUp | { pending: PendingChange } | undefined> {
  const [pending] = await changesLeftBehind(deal.id);
  if (!pending) return undefined;
  const { version, before = {} } = pending;
  const changed = applyChange(deal.document, changeUpToDate(deal.document, pending.change));
  if (isSame(changed, deal.document)) return { pending };
  return {
    pending,
    from: { version, document: applyChange(deal.document, changeUpToDate(deal.document, before)) },
    changed,
    withTyped: typed =>
      mergeFigures(deal.document, changed, typed) ??
      applyChange(changed, changeBetween(deal.document, typed)),
  };
}
