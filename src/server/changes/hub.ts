import type { Change } from "@/data/changes";
import type { OpenPage } from "./open-pages";

/** What processes tell each other: what was changed, and which pages are open where. */
export type Message = { changes?: Change[]; open?: OpenPage[]; left?: string[] };

type Hub = {
  listeners: Set<(message: Message) => void>;
  /** Carries a message to every process, this one too; without others it is simply heard. */
  carry: (message: Message) => void;
  waiting: Change[];
};

// Kept on the process, because bundles of the server each have their own copy of this module.
const shared = globalThis as typeof globalThis & { kelluxHub?: Hub };

const hub = (): Hub => {
  shared.kelluxHub ??= { listeners: new Set(), carry: deliver, waiting: [] };
  return shared.kelluxHub;
};

/** Has a message heard in this process. */
export function deliver(message: Message): void {
  for (const listener of hub().listeners) {
    try {
      listener(message);
    } catch (error) {
      // The others are to hear it all the same.
      console.error(error);
    }
  }
}

/** Has messages carried to other processes, too, from now on. */
export function carryBy(carry: Hub["carry"]): void {
  hub().carry = carry;
}

/** Tells every process. */
export const tell = (message: Message): void => hub().carry(message);

/** Hears what is told from now on; what is given back ends it. */
export function hear(listener: (message: Message) => void): () => void {
  hub().listeners.add(listener);
  return () => void hub().listeners.delete(listener);
}

/** What is changed within so little time is told together. */
const TOGETHER_MS = 15;

/** Tells what was changed. */
export function tellChanges(changes: readonly Change[]): void {
  if (changes.length === 0) return;
  const { waiting } = hub();
  if (waiting.length === 0) setTimeout(tellWaiting, TOGETHER_MS);
  waiting.push(...changes);
}

function tellWaiting(): void {
  const once = new Map(hub().waiting.map(change => [JSON.stringify(change), change]));
  hub().waiting = [];
  tell({ changes: [...once.values()] });
}

/** Whoever may have missed something looks at everything again. */
export const EVERYTHING: Message = { changes: [{ of: "everything" }] };
