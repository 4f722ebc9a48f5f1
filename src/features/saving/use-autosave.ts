import { useEffect, useRef, useState } from "react";
import { applyChange, type DealChange, type DealDocument, isSame } from "@/exchange/deal-document";
import { api } from "@/features/api/client";
import type { DealReply } from "@/server/contract";
import { type Autosave, createAutosave, type SaveStatus } from "./autosave";
import { browserStorage, closedPages, openPage } from "./browser-pages";
import { dropPending, type PendingChange, pendingChanges } from "./pending-changes";

export type Saving = {
  status: SaveStatus;
  /** Goes on from the deal as it is kept now, saving what is unsaved over it. */
  continueFrom: (kept: DealReply) => void;
  /** Takes the saved deal for this page's own, forgetting what was unsaved. */
  settleOn: (reply: DealReply) => void;
};

/**
 * Saves a deal's document whenever it changes, and takes up a change that an earlier page could not save.
 *
 * @param deal as the server gave it when the page was opened
 * @param document as it is on the screen
 * @param screen the ways to put on it what comes from elsewhere: another document, or somebody else's change
 */
export function useAutosave(
  deal: DealReply,
  document: DealDocument,
  { show, merge }: { show: (document: DealDocument) => void; merge: (change: DealChange) => void },
): Saving {
  const [status, setStatus] = useState<SaveStatus>(() =>
    deal.deleted ? { kind: "deleted" } : { kind: "saved", at: deal.changedAt },
  );
  const autosave = useRef<Autosave>(undefined);
  const kept = useRef(document);

  useEffect(() => {
    const page = openPage();
    const start = (version: number) =>
      createAutosave({
        dealId: deal.id,
        pageId: page.pageId,
        kept: { ...deal, version },
        storage: browserStorage,
        send: (from, change) => api.save(deal.id, from, change),
        onMerged: merge,
        // Many keys say "saving" in a row; one of them is enough to draw.
        onStatus: next => setStatus(now => (now.kind === "saving" && next.kind === "saving" ? now : next)),
      });
    autosave.current = start(deal.version);
    const flush = () => autosave.current?.flush();
    window.addEventListener("online", flush);
    window.addEventListener("pagehide", flush);

    void leftBehind(deal.id).then(change => {
      if (!change) return;
      const changed = applyChange(deal.document, change.change);
      autosave.current = start(change.version);
      kept.current = changed;
      autosave.current.change(changed);
      dropPending(browserStorage, change);
      show(changed);
    });
    return () => {
      autosave.current?.stop();
      page.close();
      window.removeEventListener("online", flush);
      window.removeEventListener("pagehide", flush);
    };
  }, [deal, show, merge]);

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

/** A change of this deal whose page was closed before the server confirmed it. */
async function leftBehind(dealId: string): Promise<PendingChange | undefined> {
  const changes = pendingChanges(browserStorage, dealId);
  const closed = await closedPages(changes.map(change => change.pageId));
  return changes.find(change => closed.has(change.pageId));
}
