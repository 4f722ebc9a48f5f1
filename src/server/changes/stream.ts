import type { Change } from "@/data/changes";
import { hear } from "./hub";
import { type OpenPage, openPage, othersOn } from "./open-pages";

/** The lists that pages show. */
export const LISTS = ["deals", "stock", "rates", "settings"] as const;

type List = (typeof LISTS)[number];

/** What a page follows: a deal that is open on it, or one of the lists. */
export type Followed = OpenPage | List;

/** Who else has a deal open: so many windows of the same browser, and so many other browsers. */
export type Others = { windows: number; browsers: number };

/** What keeps a connection from being taken for a dead one. */
const SIGN_MS = 15_000;
/** Whoever takes so little of what is told is there no more, or asks again and is told all at once. */
const MOST_WAITING = 200;
/** Who is open elsewhere is looked at again so often: a process that was killed says nothing. */
const LOOK_MS = 2000;

// The program around the server ends what goes on for ever.
const shared = globalThis as typeof globalThis & { kelluxStreams?: Set<() => void> };

const streams = () => {
  shared.kelluxStreams ??= new Set();
  return shared.kelluxStreams;
};

/**
 * What becomes of what a page follows, as server-sent events: "changed" where somebody has saved, with the version where it
 * is known; "others" with who else has the deal open.
 *
 * @param isStillIn whether whoever listens is still signed in: where not, nothing more is told
 */
export function changesStream(
  followed: Followed,
  isStillIn: () => Promise<boolean> = async () => true,
): ReadableStream<Uint8Array> {
  let end = () => {};
  let hasBegun = false;
  const source: UnderlyingDefaultSource<Uint8Array> = {
    // Begun as somebody reads it: a page of which only the head is asked for is on no screen.
    pull: controller => {
      if (hasBegun) return;
      hasBegun = true;
      const encoder = new TextEncoder();
      let isOver = false;
      const write = (text: string) => {
        if (isOver) return;
        controller.enqueue(encoder.encode(text));
        if ((controller.desiredSize ?? 0) < -MOST_WAITING) close();
      };
      const send = (event: string, data: unknown) =>
        write(`event: ${event}\ndata: ${JSON.stringify(data)}\n\n`);
      const sign = () => write(":\n\n");
      const close = () => {
        isOver = true;
        end();
        controller.close();
      };
      sign();
      const look = async () => {
        if (!isOver && !(await isStillIn().catch(() => false)) && !isOver) close();
      };
      const unhear = hear(({ changes = [] }) => {
        if (changes.some(({ of }) => of === "people" || of === "everything")) void look();
        for (const version of versionsOf(changes, followed)) send("changed", { version });
      });
      const leave = typeof followed === "string" ? () => {} : openPage(followed);
      const unwatch = typeof followed === "string" ? () => {} : watchOthers(followed, send);
      const signs = setInterval(() => {
        sign();
        void look();
      }, SIGN_MS);
      end = () => {
        clearInterval(signs);
        unhear();
        unwatch();
        leave();
        streams().delete(close);
      };
      streams().add(close);
    },
    cancel: () => end(),
  };
  return new ReadableStream(source, { highWaterMark: 0 });
}

/** The versions that what is followed has come to, each once. */
function versionsOf(changes: readonly Change[], followed: Followed): Set<number | null> {
  const isMeant = (change: Change) =>
    change.of === "everything" ||
    (typeof followed === "string"
      ? change.of === followed
      : change.of === "names" || (change.of === "deal" && change.id === followed.deal));
  const meant = changes.filter(isMeant);
  return new Set(meant.map(change => (change.of === "deal" ? change.version : null)));
}

/** Tells who else has a deal open, whenever that is others than before. */
function watchOthers(page: OpenPage, send: (event: string, others: Others) => void): () => void {
  let said = JSON.stringify({ windows: 0, browsers: 0 });
  const look = () => {
    const all = othersOn(page);
    const browsers = new Set(all.map(({ browser }) => browser));
    const windows = all.filter(({ browser }) => browser === page.browser).length;
    browsers.delete(page.browser);
    const others = { windows, browsers: browsers.size };
    if (JSON.stringify(others) === said) return;
    said = JSON.stringify(others);
    send("others", others);
  };
  look();
  const unhear = hear(({ open, left }) => (open || left) && look());
  const timer = setInterval(look, LOOK_MS);
  return () => {
    unhear();
    clearInterval(timer);
  };
}

/** Ends all streams, so that the server can end: pages ask again, of whoever is there then. */
export function endStreams(): void {
  for (const close of [...streams()]) close();
}
