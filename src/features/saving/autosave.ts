import {
  changeBetween,
  type DealChange,
  type DealDocument,
  isNoChange,
  isSame,
} from "@/exchange/deal-document";
import type { Answer } from "@/features/api/client";
import type { DealReply } from "@/server/contract";
import type { OthersSaves } from "./others-saves";

/** What is saved, as the server gives it: a deal, or a part of one that is saved by itself. */
type Reply<Saved> = Pick<DealReply, "id" | "version" | "changedAt" | "deleted"> & { document: Saved };

/** What the screen says about saving. */
export type SaveStatus<Saved = DealDocument> =
  /** Of a deal, in which version. */
  | { kind: "saved"; at: string; version?: number }
  | { kind: "saving" }
  /** No server: the change is kept in the browser and tried again. */
  | { kind: "away" }
  /** A server that could not keep it: the same, with what it says. */
  | { kind: "failing"; sentence: string }
  | { kind: "conflict"; theirs: Reply<Saved> }
  | { kind: "deleted" }
  | { kind: "refused"; sentence: string };

/** It as it was kept, from which changes are told. */
type Kept<Saved> = Pick<Reply<Saved>, "version" | "document" | "changedAt">;

/** How what is saved falls into parts, and how the changes of two are put together. */
export type Parts<Saved, Change, Merging> = {
  between: (before: Saved, after: Saved) => Change;
  /** Seldom asked, so that the screen starts without the code for it. */
  loadMerging: () => Promise<Merging>;
  merge: (merging: Merging, base: Saved, mine: Saved, theirs: Saved) => Saved | null;
  /** Whether somebody has said yes to what is another thing now. */
  isUnseen: (merging: Merging, both: Saved, mine: Saved, theirs: Saved, base: Saved) => boolean;
};

/** A change that the server has not confirmed, with what it was made from. */
export type Unsaved<Saved, Change> = { version: number; document: Saved; change: Change; before: Change };

export type AutosaveSetup<Saved, Change extends object, Merging> = {
  parts: Parts<Saved, Change, Merging>;
  kept: Kept<Saved>;
  /** Where a change waits that is not confirmed yet, also when the page is gone. */
  pending: { keep: (unsaved: Unsaved<Saved, Change>) => void; drop: () => void };
  send: (
    version: number,
    change: Change,
  ) => Promise<Answer<Omit<Reply<Saved>, "document"> & { document?: Saved }, Reply<Saved>>>;
  onStatus: (status: SaveStatus<Saved>) => void;
  /** What others have changed meanwhile in figures that were not being changed here. */
  onMerged: (change: Change, merging: Merging) => void;
  /** Whether the changes of both go together: the result is a deal that would be taken, and has an answer where they have. */
  holds: (merged: Saved, mine: Saved, theirs: Saved) => Promise<boolean>;
};

/** How the changes of two in a deal are put together. */
export type Merging = typeof import("@/exchange/deal-document/merge-figures");

const PAUSE_AFTER_TYPING = 300;
const FIRST_RETRY = 1000;
const SLOWEST_RETRY = 8000;

/** Saves by itself: one save at a time, always the newest state, nothing forgotten until confirmed. */
export type Autosave<Saved = DealDocument> = {
  /** Keeps a change and saves it after a short pause. */
  change: (document: Saved) => void;
  /** Goes on from what an earlier page made of a state of the deal, and may have sent: its answer was never heard. */
  takeUp: (from: Pick<Kept<Saved>, "version" | "document">, leftBehind: Saved) => void;
  /** Saves what waits without the pause, as when the page is left or the server may be back. */
  flush: () => void;
  /** After a conflict or a deletion: goes on from the deal as it is kept now. */
  continueFrom: (kept: Reply<Saved>) => void;
  /**
   * Goes on from what others have saved meanwhile, where nothing is unsaved here; a save learns of it by itself.
   *
   * @param told the version that it is said to have come to, where that is known
   */
  learn: (ask: (version: number) => Promise<OthersSaves<Saved>>, told?: number | null) => Promise<void>;
  /** Forgets this page's unsaved change. */
  discard: (reply: Reply<Saved>) => void;
  /** Saves what waits once more and then rests; what fails stays kept for the next page. */
  stop: () => void;
};

/** The parts of a deal. */
export const DEAL_PARTS: Parts<DealDocument, DealChange, Merging> = {
  between: changeBetween,
  loadMerging: () => import("@/exchange/deal-document/merge-figures"),
  merge: ({ mergeFigures }, ...all) => mergeFigures(...all),
  isUnseen: ({ isAgreedUnseen }, ...all) => isAgreedUnseen(...all),
};

/** Makes the autosave of one deal, or of a part of it, on one page. */
export function createAutosave<Saved, Change extends object, Merger>(
  setup: AutosaveSetup<Saved, Change, Merger>,
): Autosave<Saved> {
  const { parts, pending, send, onStatus, onMerged, holds } = setup;
  let { kept } = setup;
  /** What was sent and never answered: it may have been kept all the same. */
  const unanswered: Saved[] = [];
  let waiting: Saved | undefined;
  let sending = false;
  let halted = false;
  let isDeleted = false;
  let stopped = false;
  let retryAfter = FIRST_RETRY;
  let timer: ReturnType<typeof setTimeout> | undefined;

  const schedule = (delay: number) => {
    clearTimeout(timer);
    timer = setTimeout(() => void sendWaiting(), delay);
  };

  const keep = (document: Saved) =>
    pending.keep({
      version: kept.version,
      document,
      change: parts.between(kept.document, document),
      before: parts.between(document, kept.document),
    });

  async function sendWaiting(): Promise<void> {
    clearTimeout(timer);
    if (sending || halted || !waiting) return;
    const document = waiting;
    waiting = undefined;
    const change = parts.between(kept.document, document);
    if (isNoChange(change)) return rest();
    sending = true;
    const answer = await send(kept.version, change);
    sending = false;
    await settle(document, answer);
  }

  async function settle(document: Saved, answer: Awaited<ReturnType<typeof send>>): Promise<void> {
    if (answer.kind === "done") {
      await confirmed(document, { document, ...answer.value });
      return;
    }
    if (answer.kind !== "refused") unanswered.push(document);
    waiting ??= document;
    if (answer.kind === "away" || answer.kind === "failing") tryAgain(answer);
    else if (answer.status === 409 && answer.current) await meet(answer.current);
    else if (answer.status === 410 || answer.status === 404) deleted();
    else {
      onStatus({ kind: "refused", sentence: answer.sentence });
    }
  }

  function tryAgain(status: SaveStatus<Saved>): void {
    onStatus(status);
    if (stopped) return;
    schedule(retryAfter);
    retryAfter = Math.min(retryAfter * 2, SLOWEST_RETRY);
  }

  /** Goes on with what somebody else has kept. */
  async function meet(theirs: Reply<Saved>): Promise<void> {
    const merging = await loaded();
    if (merging) await putTogether(merging, baseOf(merging, theirs.document), theirs);
    else tryAgain({ kind: "away" });
  }

  /** What the kept deal was changed from by somebody else: of what came from here, the newest that is in it. */
  function baseOf(merging: Merger, theirs: Saved): Saved {
    const own = unanswered.findLast(sent => {
      const both = parts.merge(merging, kept.document, sent, theirs);
      return both !== null && isSame(both, theirs);
    });
    return own ?? kept.document;
  }

  /** Goes on with the changes of both, where they go together; else the officer decides. */
  async function putTogether(merging: Merger, base: Saved, theirs: Reply<Saved>): Promise<void> {
    const mine = waiting;
    halted = true;
    const both = mine && parts.merge(merging, base, mine, theirs.document);
    const isGood = mine && both && (await bothHold(both, mine, theirs.document));
    const isUnseen = isGood && parts.isUnseen(merging, both, mine, theirs.document, base);
    if (!isGood || isUnseen) {
      onStatus({ kind: "conflict", theirs });
      return;
    }
    if (waiting !== mine) return putTogether(merging, base, theirs);
    kept = theirs;
    halted = false;
    unanswered.length = 0;
    const others = parts.between(mine, both);
    if (!isNoChange(others)) onMerged(others, merging);
    waiting = both;
    keep(both);
    schedule(0);
  }

  /** Where only one of them has changed anything, there is nothing to be put together. */
  const bothHold = async (both: Saved, mine: Saved, theirs: Saved) =>
    isSame(both, mine) || isSame(both, theirs) || holds(both, mine, theirs);

  async function confirmed(sent: Saved, reply: Reply<Saved>): Promise<void> {
    retryAfter = FIRST_RETRY;
    if (!isSame(sent, reply.document)) return confirmedWithTheirs(sent, reply);
    unanswered.length = 0;
    kept = reply;
    if (waiting) {
      keep(waiting);
      schedule(0);
      return;
    }
    rest();
  }

  /** It was kept, together with what somebody else has changed. */
  async function confirmedWithTheirs(sent: Saved, reply: Reply<Saved>): Promise<void> {
    const merging = await loaded();
    if (!merging) {
      unanswered.push(sent);
      waiting ??= sent;
      return tryAgain({ kind: "away" });
    }
    unanswered.length = 0;
    if (waiting) return putTogether(merging, sent, reply);
    kept = reply;
    onMerged(parts.between(sent, reply.document), merging);
    rest();
  }

  /** How changes are put together, where the server is there to load it from; nothing is sent meanwhile. */
  async function loaded(): Promise<Merger | undefined> {
    halted = true;
    const merging = await parts.loadMerging().catch(() => undefined);
    halted = false;
    return merging;
  }

  const isBusy = () => sending || stopped || waiting !== undefined;

  async function learn(
    ask: (version: number) => Promise<OthersSaves<Saved>>,
    told: number | null = null,
  ): Promise<void> {
    const isReady = () => !isBusy() && (!halted || isDeleted);
    // What is told may be this page's own save.
    if (!isReady() || (told !== null && told <= kept.version)) return;
    const { version } = kept;
    const others = await ask(version);
    if (!isReady() || kept.version !== version || others.kind === "away") return;
    if (others.kind === "deleted") return deleted();
    // It was brought back, too.
    if (isDeleted) halted = isDeleted = false;
    else if (others.kind === "same") return;
    if (others.kind === "saved") await takeOver(others.theirs);
    else rest();
  }

  function deleted(): void {
    if (!isDeleted) onStatus({ kind: "deleted" });
    halted = isDeleted = true;
  }

  async function takeOver(theirs: Reply<Saved>): Promise<void> {
    const merging = await loaded();
    // What was typed meanwhile meets it as it is saved.
    if (waiting) return schedule(0);
    if (!merging) return;
    const change = parts.between(kept.document, theirs.document);
    kept = theirs;
    // A part that is not of this page may be what was saved.
    if (!isNoChange(change)) onMerged(change, merging);
    rest();
  }

  /** Nothing is unsaved. */
  function rest(): void {
    pending.drop();
    onStatus({ kind: "saved", at: kept.changedAt, version: kept.version });
  }

  return {
    change: document => {
      waiting = document;
      keep(document);
      if (halted) return;
      onStatus({ kind: "saving" });
      schedule(PAUSE_AFTER_TYPING);
    },
    takeUp: (from, leftBehind) => {
      kept = { ...kept, ...from };
      unanswered.push(leftBehind);
    },
    flush: () => void sendWaiting(),
    learn,
    continueFrom: reply => {
      kept = reply;
      halted = isDeleted = false;
      if (!waiting) {
        onStatus({ kind: "saved", at: kept.changedAt, version: kept.version });
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
