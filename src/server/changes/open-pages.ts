import { hear, type Message, tell } from "./hub";

/** A page on which a deal is open. */
export type OpenPage = {
  /** Of the page alone. */
  page: string;
  deal: string;
  /** Of the browser that it is in. */
  browser: string;
};

/** A page is told of so often, and taken to be gone when nothing was heard of it for so long. */
const AGAIN_MS = 4000;
const GONE_MS = 10_000;

type Heard = OpenPage & { until: number };

/** What is known of pages everywhere, and the pages that are here. */
type Pages = { heard: Map<string, Heard>; here: Map<string, OpenPage> };

// Kept on the process, because bundles of the server each have their own copy of this module.
const shared = globalThis as typeof globalThis & { kelluxPages?: Pages };

function pages(): Pages {
  if (shared.kelluxPages) return shared.kelluxPages;
  const known: Pages = { heard: new Map(), here: new Map() };
  shared.kelluxPages = known;
  hear(message => note(known, message));
  setInterval(() => tellHere(known), AGAIN_MS).unref();
  return known;
}

function note({ heard, here }: Pages, { open = [], left = [] }: Message): void {
  for (const page of open) heard.set(page.page, { ...page, until: Date.now() + GONE_MS });
  for (const page of left) if (!here.has(page)) heard.delete(page);
}

/** So few fit into one message. */
const TOGETHER = 50;

function tellHere({ heard, here }: Pages): void {
  const all = [...here.values()];
  for (let from = 0; from < all.length; from += TOGETHER) tell({ open: all.slice(from, from + TOGETHER) });
  for (const [page, { until }] of heard) if (until < Date.now()) heard.delete(page);
}

/** Hears of pages everywhere from now on, so that the first that is opened here knows of the others. */
export const hearOfPages = (): void => void pages();

/** Says that a page is open here; what is given back says that it was left. */
export function openPage(page: OpenPage): () => void {
  const known = pages();
  known.here.set(page.page, page);
  tell({ open: [page] });
  return () => {
    // It may have come back meanwhile, over another connection.
    if (known.here.get(page.page) !== page) return;
    known.here.delete(page.page);
    tell({ left: [page.page] });
  };
}

/** The other pages on which a deal is open, in whatever process. */
export function othersOn({ page, deal }: OpenPage): OpenPage[] {
  const now = Date.now();
  return [...pages().heard.values()].filter(
    other => other.deal === deal && other.page !== page && other.until > now,
  );
}
