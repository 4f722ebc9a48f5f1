import { useEffect, useRef, useState } from "react";
import {
  applyChange,
  changeBetween,
  type DealChange,
  type DealDocument,
  isSame,
} from "@/exchange/deal-document";
import { saveDeal } from "@/features/api/save-deal";
import type { DealReply } from "@/server/contract";
import {
  type Autosave,
  type AutosaveSetup,
  createAutosave,
  loadMerging,
  type Merging,
  type SaveStatus,
} from "./autosave";
import { browserStorage, ofClosedPages, openPage } from "./browser-pages";
import { useLookAgain } from "./look-again";
import { dropPending, leavePending, type PendingChange, pendingChanges } from "./pending-changes";

export type Saving = {
  status: SaveStatus;
  /** Goes on from the deal as it is kept now, saving what is unsaved over it. */
  continueFrom: (kept: DealReply) => void;
  /** Takes the saved deal for this page's own, forgetting what was unsaved. */
  settleOn: (reply: DealReply) => void;
};

/** The ways to put on the screen what comes from elsewhere. */
type OnScreen = {
  show: (document: DealDocument) => void;
  merge: (change: DealChange, merging: Merging) => void;
  /** Whether the changes of two go together. */
  holds: AutosaveSetup["holds"];
};

/**
 * Saves a deal's document whenever it changes, and takes up a change that an earlier page could not save.
 *
 * @param deal as the server gave it when the page was opened
 * @param document as it is on the screen
 * @param screen another document, or somebody else's change, is put on it
 */
export function useAutosave(
  deal: DealReply,
  document: DealDocument,
  { show, merge, holds }: OnScreen,
): Saving {
  const [status, setStatus] = useState<SaveStatus>(() =>
    deal.deleted ? { kind: "deleted" } : { kind: "saved", at: deal.changedAt },
  );
  const autosave = useRef<Autosave>(undefined);
  const kept = useRef(document);

  useEffect(() => {
    const page = openPage();
    const saving = createAutosave({
      dealId: deal.id,
      pageId: page.pageId,
      kept: deal,
      storage: browserStorage,
      send: (from, change) => saveDeal(deal.id, from, change),
      onMerged: merge,
      holds,
      // Many keys say "saving" in a row; one of them is enough to draw.
      onStatus: next => setStatus(now => (now.kind === "saving" && next.kind === "saving" ? now : next)),
    });
    autosave.current = saving;
    const flush = () => saving.flush();
    const left = () => {
      flush();
      leavePending(browserStorage, { dealId: deal.id, pageId: page.pageId });
    };
    window.addEventListener("online", flush);
    window.addEventListener("pagehide", left);

    let isGone = false;
    void leftBehind(deal.id).then(async pending => {
      if (isGone || !pending) return;
      const { mergeFigures } = await mergingThere();
      if (isGone) return;
      const { version, change, before = {} } = pending;
      const changed = applyChange(deal.document, change);
      // It arrived, though its answer did not.
      if (isSame(changed, deal.document)) return dropPending(browserStorage, pending);
      saving.takeUp({ version, document: applyChange(deal.document, before) }, changed);
      // What has been typed here meanwhile is newer.
      const typed = kept.current;
      const next =
        mergeFigures(deal.document, changed, typed) ??
        applyChange(changed, changeBetween(deal.document, typed));
      kept.current = next;
      saving.change(next);
      dropPending(browserStorage, pending);
      show(next);
    });
    return () => {
      isGone = true;
      saving.stop();
      page.close();
      window.removeEventListener("online", flush);
      window.removeEventListener("pagehide", left);
    };
  }, [deal, show, merge, holds]);

  useLookAgain(async () => {
    // What is asked every few seconds is not among what the screen starts with.
    const { othersSaves } = await import("./others-saves");
    await autosave.current?.learn(version => othersSaves(deal.id, version));
  });

  useEffect(() => {
    const before = kept.current;
    kept.current = document;
    if (!isSame(document, before)) autosave.current?.change(document);
  }, [document]);

  return {
    status,
    continueFrom: reply => autosave.current?.continueFrom(reply),
    settleOn: reply => {
      kept.current = reply.document;
      autosave.current?.discard(reply);
      show(reply.document);
    },
  };
}

const RETRY_AFTER = 2000;

/** How changes are put together, once the server is there to load it from. */
async function mergingThere(): Promise<Merging> {
  for (;;) {
    const merging = await loadMerging().catch(() => undefined);
    if (merging) return merging;
    await new Promise(resolve => setTimeout(resolve, RETRY_AFTER));
  }
}

/** A change of this deal whose page was closed before the server confirmed it. */
async function leftBehind(dealId: string): Promise<PendingChange | undefined> {
  return (await ofClosedPages(pendingChanges(browserStorage, dealId)))[0];
}
