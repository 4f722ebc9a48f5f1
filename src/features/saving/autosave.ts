import {
  applyChange,
  changeBetween,
  type DealChange,
  type DealDocument,
  isNoChange,
} from "@/exchange/deal-document";
import type { Answer } from "@/features/api/client";
import type { DealReply, SaveReply } from "@/server/contract";
import { type ChangeStorage, dropPending, keepPending } from "./pending-changes";

/** What the screen says about saving. */
export type SaveStatus =
  | { kind: "saved"; at: string }
  | { kind: "saving" }
  /** No server: the change is kept in the browser and tried again. */
  | { kind: "away" }
  /** A server that could not keep it: the same, with what it says. */
  | { kind: "failing"; sentence: string }
  | { kind: "conflict"; theirs: DealReply }
  | { kind: "deleted" }
  | { kind: "refused"; sentence: string };

/** A deal as it was kept, from which changes are told. */
type Kept = Pick<DealReply, "version" | "document" | "changedAt">;

export type AutosaveSetup = {
  dealId: string;
  pageId: string;
  kept: Kept;
  storage: ChangeStorage;
  send: (version: number, change: DealChange) => Promise<Answer<SaveReply>>;
  onStatus: (status: SaveStatus) => void;
  /** What others have changed meanwhile in parts that were not being changed here. */
  onMerged: (change: DealChange) => void;
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
  const { dealId, pageId, storage, send, onStatus, onMerged } = setup;
  let { kept } = setup;
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

  const keep = (document: DealDocument) =>
    keepPending(storage, {
      dealId,
      pageId,
      version: kept.version,
      customer: document.customer,
      change: changeBetween(kept.document, document),
    });

  async function sendWaiting(): Promise<void> {
    clearTimeout(timer);
    if (sending || halted || !waiting) return;
    const document = waiting;
    waiting = undefined;
    const change = changeBetween(kept.document, document);
    if (isNoChange(change)) return rest();
    sending = true;
    const answer = await send(kept.version, change);
    sending = false;
    settle(document, answer);
  }

  function settle(document: DealDocument, answer: Answer<SaveReply>): void {
    if (answer.kind === "done") {
      confirmed(document, { document, ...answer.value });
      return;
    }
    waiting ??= document;
    if (answer.kind === "away" || answer.kind === "failing") {
      onStatus(answer);
      if (stopped) return;
      schedule(retryAfter);
      retryAfter = Math.min(retryAfter * 2, SLOWEST_RETRY);
    } else if (answer.status === 409 && answer.current) {
      conflict(answer.current);
    } else if (answer.status === 410 || answer.status === 404) {
      halted = true;
      onStatus({ kind: "deleted" });
    } else {
      onStatus({ kind: "refused", sentence: answer.sentence });
    }
  }

  function conflict(theirs: DealReply): void {
    halted = true;
    onStatus({ kind: "conflict", theirs });
  }

  function confirmed(sent: DealDocument, reply: DealReply): void {
    retryAfter = FIRST_RETRY;
    const theirs = changeBetween(sent, reply.document);
    const mine = waiting ? changeBetween(sent, waiting) : {};
    if (touch(theirs, mine)) {
      conflict(reply);
      return;
    }
    kept = reply;
    if (!isNoChange(theirs)) onMerged(theirs);
    if (waiting) {
      waiting = applyChange(waiting, theirs);
      keep(waiting);
      schedule(0);
      return;
    }
    rest();
  }

  /** Nothing is unsaved. */
  function rest(): void {
    dropPending(storage, { dealId, pageId });
    onStatus({ kind: "saved", at: kept.changedAt });
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
    continueFrom: reply => {
      kept = reply;
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
      kept = reply;
      rest();
    },
    stop: () => {
      stopped = true;
      void sendWaiting();
    },
  };
}

/** Whether two changes have a part in common. */
function touch(one: DealChange, other: DealChange): boolean {
  const options = new Set(one.options?.map(({ id }) => id));
  return (
    (one.heading !== undefined && other.heading !== undefined) ||
    (one.order !== undefined && other.order !== undefined) ||
    (other.options?.some(({ id }) => options.has(id)) ?? false)
  );
}
