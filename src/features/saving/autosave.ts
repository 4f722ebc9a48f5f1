import type { DealDocument } from "@/exchange/deal-document";
import type { Answer } from "@/features/api/client";
import type { DealReply } from "@/server/contract";
import { type ChangeStorage, dropPending, keepPending } from "./pending-changes";

/** What the screen says about saving. */
export type SaveStatus =
  | { kind: "saved"; at: string }
  | { kind: "saving" }
  /** No server: the change is kept in the browser and tried again. */
  | { kind: "away" }
  | { kind: "conflict"; theirs: DealReply }
  | { kind: "deleted" }
  | { kind: "refused"; sentence: string };

export type AutosaveSetup = {
  dealId: string;
  pageId: string;
  version: number;
  storage: ChangeStorage;
  send: (version: number, document: DealDocument) => Promise<Answer<DealReply>>;
  onStatus: (status: SaveStatus) => void;
};

const PAUSE_AFTER_TYPING = 300;
const FIRST_RETRY = 1000;
const SLOWEST_RETRY = 8000;

/** Saves a deal by itself: one save at a time, always the newest state, nothing forgotten until confirmed. */
export type Autosave = {
  /** Keeps a change and saves it after a short pause. */
  change: (document: DealDocument) => void;
  /** Saves what waits without the pause, as when the page is left or the server may be back. */
  flush: () => void;
  /** After a conflict or a deletion: goes on from the deal as it is kept now. */
  continueFrom: (kept: DealReply) => void;
  /** Forgets this page's unsaved change. */
  discard: (reply: DealReply) => void;
  /** Saves what waits once more and then rests; what fails stays kept for the next page. */
  stop: () => void;
};

/** Makes the autosave of one deal on one page. */
export function createAutosave(setup: AutosaveSetup): Autosave {
  const { dealId, pageId, storage, send, onStatus } = setup;
  let version = setup.version;
  let waiting: DealDocument | undefined;
  let sending = false;
  let halted = false;
  let stopped = false;
  let retryAfter = FIRST_RETRY;
  let timer: ReturnType<typeof setTimeout> | undefined;

  const schedule = (delay: number) => {
    clearTimeout(timer);
    timer = setTimeout(() => void sendWaiting(), delay);
  };

  const keep = (document: DealDocument) => keepPending(storage, { dealId, pageId, version, document });

  async function sendWaiting(): Promise<void> {
    clearTimeout(timer);
    if (sending || halted || !waiting) return;
    const document = waiting;
    waiting = undefined;
    sending = true;
    const answer = await send(version, document);
    sending = false;
    settle(document, answer);
  }

  function settle(document: DealDocument, answer: Answer<DealReply>): void {
    if (answer.kind === "done") {
      confirmed(answer.value);
      return;
    }
    waiting ??= document;
    if (answer.kind === "away") {
      onStatus({ kind: "away" });
      if (stopped) return;
      schedule(retryAfter);
      retryAfter = Math.min(retryAfter * 2, SLOWEST_RETRY);
    } else if (answer.status === 409 && answer.current) {
      halted = true;
      onStatus({ kind: "conflict", theirs: answer.current });
    } else if (answer.status === 410 || answer.status === 404) {
      halted = true;
      onStatus({ kind: "deleted" });
    } else {
      onStatus({ kind: "refused", sentence: answer.sentence });
    }
  }

  function confirmed(reply: DealReply): void {
    version = reply.version;
    retryAfter = FIRST_RETRY;
    if (waiting) {
      keep(waiting);
      schedule(0);
      return;
    }
    dropPending(storage, { dealId, pageId });
    onStatus({ kind: "saved", at: reply.changedAt });
  }

  return {
    change: document => {
      waiting = document;
      keep(document);
      if (halted) return;
      onStatus({ kind: "saving" });
      schedule(PAUSE_AFTER_TYPING);
    },
    flush: () => void sendWaiting(),
    continueFrom: kept => {
      version = kept.version;
      halted = false;
      if (!waiting) {
        onStatus({ kind: "saved", at: kept.changedAt });
        return;
      }
      keep(waiting);
      void sendWaiting();
    },
    discard: reply => {
      waiting = undefined;
      halted = false;
      version = reply.version;
      dropPending(storage, { dealId, pageId });
      onStatus({ kind: "saved", at: reply.changedAt });
    },
    stop: () => {
      stopped = true;
      void sendWaiting();
    },
  };
}
