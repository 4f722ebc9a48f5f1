import { type DealChange, saveUpToDate } from "@/exchange/deal-document";

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
export function keepPending(storage: ChangeStorage, change: PendingChange): void {
  storage.setItem(keyOf(change), JSON.stringify(change));
}

/** Marks a page's change of a deal as one whose page has been left. */
export function leavePending(
  storage: ChangeStorage,
  { dealId, pageId }: Pick<PendingChange, "dealId" | "pageId">,
): void {
  const pending = pendingChanges(storage, dealId).find(change => change.pageId === pageId);
  if (pending) keepPending(storage, { ...pending, isLeft: true });
}

/** Forgets a page's change of a deal. */
export function dropPending(storage: ChangeStorage, change: Pick<PendingChange, "dealId" | "pageId">): void {
  storage.removeItem(keyOf(change));
}

/** Every change that is kept, of one deal or of all. */
export function pendingChanges(storage: ChangeStorage, dealId?: string): PendingChange[] {
  return storage
    .keys()
    .filter(key => key.startsWith(dealId ? `${PREFIX}${dealId}.` : PREFIX))
    .flatMap(key => {
      try {
        return [pendingUpToDate(JSON.parse(storage.getItem(key) ?? ""))];
      } catch {
        return [];
      }
    });
}

/** A kept change as it is written today; before options the whole document was kept. */
function pendingUpToDate(kept: PendingChange): PendingChange {
  const current = saveUpToDate(kept) as PendingChange;
  return { ...current, customer: current.change.heading?.customer ?? current.customer };
}
