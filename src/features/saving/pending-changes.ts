import { type DealChange, type DealDocument, nameOf } from "@/exchange/deal-document";
import type { Unsaved } from "./autosave";

/** A change that the server has not confirmed yet. */
export type PendingChange = {
  dealId: string;
  /** The page that made the change. */
  pageId: string;
  /** The version that the change was made from. */
  version: number;
  /** Whose deal it is, for a list of what waits. */
  customer: string;
  change: DealChange;
  /** What it was made from, as far as it is changed; left out by pages of before. */
  before?: DealChange;
  /** The page has been left, though the browser may not have let go of its name yet. */
  isLeft?: true;
};

/** Where pending changes are kept: the browser's local storage, or a stand-in with the same three calls. */
export type ChangeStorage = Pick<Storage, "getItem" | "setItem" | "removeItem"> & { keys: () => string[] };

const PREFIX = "kellux.pending.";
const keyOf = ({ dealId, pageId }: Pick<PendingChange, "dealId" | "pageId">) =>
  `${PREFIX}${dealId}.${pageId}`;

/** Keeps a page's newest unconfirmed change of a deal, over the one before. */
function keepPending(storage: ChangeStorage, change: PendingChange): void {
  storage.setItem(keyOf(change), JSON.stringify(change));
}

/** A page's place for its change of a deal. */
export const pendingOf = (storage: ChangeStorage, own: Pick<PendingChange, "dealId" | "pageId">) => ({
  keep: ({ document, ...unsaved }: Unsaved<DealDocument, DealChange>) =>
    keepPending(storage, { ...own, customer: nameOf(document.customer), ...unsaved }),
  drop: () => dropPending(storage, own),
});

/** Marks a page's change of a deal as one whose page has been left. */
export function leavePending(storage: ChangeStorage, own: Pick<PendingChange, "dealId" | "pageId">): void {
  const kept = storage.getItem(keyOf(own));
  if (kept !== null) keepPending(storage, { ...(JSON.parse(kept) as PendingChange), isLeft: true });
}

/** The keys of the changes that are kept, of one deal or of all. */
export const pendingKeys = (storage: ChangeStorage, dealId?: string): string[] =>
  storage.keys().filter(key => key.startsWith(dealId ? `${PREFIX}${dealId}.` : PREFIX));

/** Forgets a page's change of a deal. */
export function dropPending(storage: ChangeStorage, change: Pick<PendingChange, "dealId" | "pageId">): void {
  storage.removeItem(keyOf(change));
}
