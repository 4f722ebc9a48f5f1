import { useEffect, useRef, useState } from "react";
import { type DealChange, type DealDocument, isSame } from "@/exchange/deal-document";
import { saveDeal } from "@/features/api/save-deal";
import type { DealReply } from "@/server/contract";
import {
  type Autosave,
  type AutosaveSetup,
  createAutosave,
  DEAL_PARTS,
  type Merging,
  type SaveStatus,
} from "./autosave";
import { browserStorage, openPage } from "./browser-pages";
import { useLookAgain } from "./look-again";
import { dropPending, leavePending, pendingKeys, pendingOf } from "./pending-changes";

export type Saving = {
  status: SaveStatus;
  /** Who else has the deal open, in words; empty where nobody has. */
  others: string;
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
  holds: AutosaveSetup<DealDocument, DealChange, Merging>["holds"];
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
    deal.deleted ? { kind: "deleted" } : { kind: "saved", at: deal.changedAt, version: deal.version },
  );
  const [others, setOthers] = useState("");
  const autosave = useRef<Autosave>(undefined);
  const kept = useRef(document);

  useEffect(() => {
    const page = openPage();
    const own = { dealId: deal.id, pageId: page.pageId };
    const saving = createAutosave({
      parts: DEAL_PARTS,
      kept: deal,
      pending: pendingOf(browserStorage, own),
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
      leavePending(browserStorage, own);
    };
    window.addEventListener("online", flush);
    window.addEventListener("pagehide", left);

    let isGone = false;
    void takenUp(deal).then(left => {
      if (isGone || !left) return;
      if ("changed" in left) {
        saving.takeUp(left.from, left.changed);
        kept.current = left.withTyped(kept.current);
        saving.change(kept.current);
      }
      dropPending(browserStorage, left.pending);
      if ("changed" in left) show(kept.current);
    });
    return () => {
      isGone = true;
      saving.stop();
      page.close();
      window.removeEventListener("online", flush);
      window.removeEventListener("pagehide", left);
    };
  }, [deal, show, merge, holds]);

  useLookAgain(
    `deal=${deal.id}`,
    async ({ version }) => {
      // What is asked every few seconds is not among what the screen starts with.
      const { othersSaves } = await import("./others-saves");
      await autosave.current?.learn(from => othersSaves(deal.id, from), version);
    },
    setOthers,
  );

  useEffect(() => {
    const before = kept.current;
    kept.current = document;
    if (!isSame(document, before)) autosave.current?.change(document);
  }, [document]);

  return {
    status,
    others,
    continueFrom: reply => autosave.current?.continueFrom(reply),
    settleOn: reply => {
      kept.current = reply.document;
      autosave.current?.discard(reply);
      show(reply.document);
    },
  };
}

const RETRY_AFTER = 2000;

/**
 * A change of this deal whose page was closed before the server confirmed it. The screen starts without the code for it:
 * where there is one, that is loaded once the server is there.
 */
async function takenUp(deal: DealReply): Promise<Awaited<ReturnType<LeftBehind["takeUp"]>>> {
  while (pendingKeys(browserStorage, deal.id).length > 0) {
    const there = await import("./left-behind").catch(() => undefined);
    if (there) return there.takeUp(deal);
    await new Promise(resolve => setTimeout(resolve, RETRY_AFTER));
  }
  return undefined;
}

type LeftBehind = typeof import("./left-behind");
