import { useCallback, useEffect, useRef, useState } from "react";
import { isSame } from "@/exchange/deal-document";
import type { Dealer } from "@/exchange/dealer";
import { dealerApi } from "@/features/api/dealer";
import { DEALER_CHANGED } from "@/features/dealer-side/dealer-changed";
import { holdsSide } from "@/features/dealer-side/keep-side";
import { type Autosave, createAutosave, type Parts, type SaveStatus } from "@/features/saving/autosave";
import { browserStorage, openPage, openPages, pageName } from "@/features/saving/browser-pages";
import { onOthersSaved } from "@/features/saving/others-saved";
import type { OthersSaves } from "@/features/saving/others-saves";
import type { DealerReply } from "@/server/contract";

type Merging = typeof import("@/exchange/deal-document/merge-figures");
type Change = { dealer?: Dealer };

/** The dealer's part is saved whole; what two have changed of it is put together figure by figure. */
const PARTS: Parts<Dealer, Change, Merging> = {
  between: (before, after) => (isSame(before, after) ? {} : { dealer: after }),
  loadMerging: () => import("@/exchange/deal-document/merge-figures"),
  merge: ({ mergeMembers }, base, mine, theirs) => mergeMembers(base, mine, theirs),
  isUnseen: () => false,
};

const PREFIX = "kellux.dealer.";

/** What an earlier page could not save of the dealer's part of a deal. */
type LeftBehind = { before: Dealer; dealer: Dealer };

/** Where pages of a deal that are no longer open have left such changes. */
async function keysLeftBehind(dealId: string): Promise<string[]> {
  const keys = browserStorage.keys().filter(key => key.startsWith(`${PREFIX}${dealId}.`));
  if (keys.length === 0) return [];
  const open = new Set(await openPages());
  return keys.filter(key => !open.has(pageName(key.slice(PREFIX.length + dealId.length + 1))));
}

/** The dealer's part of a deal, loaded while it is looked at, and saved whenever it changes. */
export function useDealerPart(dealId: string) {
  const [dealer, setDealer] = useState<Dealer>();
  const [status, setStatus] = useState<SaveStatus<Dealer>>({ kind: "saving" });
  const autosave = useRef<Autosave<Dealer>>(undefined);
  const [round, setRound] = useState(0);

  useEffect(() => {
    // What the server itself has changed of it is loaded anew, once what was typed is sent.
    const changed = () => {
      autosave.current?.flush();
      setRound(now => now + 1);
    };
    window.addEventListener(DEALER_CHANGED, changed);
    return () => window.removeEventListener(DEALER_CHANGED, changed);
  }, []);

  useEffect(
    () =>
      onOthersSaved(version => {
        const ask = async (from: number): Promise<OthersSaves<Dealer>> => {
          const now = await dealerApi.open(dealId);
          if (now.kind !== "done") return { kind: "away" };
          return now.value.version === from ? { kind: "same" } : { kind: "saved", theirs: now.value };
        };
        void autosave.current?.learn(ask, version);
      }),
    [dealId],
  );

  // biome-ignore lint/correctness/useExhaustiveDependencies: a round more loads it anew
  useEffect(() => {
    let isGone = false;
    const page = openPage();
    const key = `${PREFIX}${dealId}.${page.pageId}`;
    const begin = async (kept: DealerReply) => {
      const saving = createAutosave({
        parts: PARTS,
        kept,
        pending: {
          keep: ({ change: { dealer: unsaved }, before: { dealer: base } }) =>
            unsaved && browserStorage.setItem(key, JSON.stringify({ before: base ?? {}, dealer: unsaved })),
          drop: () => browserStorage.removeItem(key),
        },
        send: async (version, change) => {
          const answer = await dealerApi.save(dealId, version, change.dealer ?? kept.document);
          // The deal has another version now: what is asked of it by that is to know.
          window.dispatchEvent(new Event("focus"));
          return answer;
        },
        onStatus: setStatus,
        onMerged: ({ dealer: merged }) => merged && setDealer(merged),
        holds: async () => true,
      });
      autosave.current = saving;
      setDealer(kept.document);
      setStatus({ kind: "saved", at: kept.changedAt });
      const [left] = await keysLeftBehind(dealId);
      const text = left === undefined ? null : browserStorage.getItem(left);
      if (left === undefined || text === null) return;
      const { before, dealer: unsaved } = JSON.parse(text) as LeftBehind;
      const both = PARTS.merge(await PARTS.loadMerging(), before, unsaved, kept.document) ?? unsaved;
      if (isGone) return;
      setDealer(both);
      saving.change(both);
      browserStorage.removeItem(left);
    };
    const load = async (): Promise<void> => {
      const answer = await dealerApi.open(dealId);
      if (isGone) return;
      if (answer.kind === "done") return begin(answer.value);
      setStatus(
        answer.kind === "refused" ? { kind: "refused", sentence: answer.sentence } : { kind: "away" },
      );
    };
    void load();
    const flush = () => autosave.current?.flush();
    window.addEventListener("pagehide", flush);
    window.addEventListener("online", flush);
    return () => {
      isGone = true;
      autosave.current?.stop();
      page.close();
      window.removeEventListener("pagehide", flush);
      window.removeEventListener("online", flush);
    };
  }, [dealId, round]);

  const isUnsaved = useRef(false);
  isUnsaved.current = status.kind === "saving";
  useEffect(() => holdsSide(() => isUnsaved.current), []);

  const change = useCallback((next: Dealer) => {
    setDealer(next);
    autosave.current?.change(next);
  }, []);
  return {
    dealer,
    status,
    change,
    keepMine: (theirs: DealerReply) => autosave.current?.continueFrom(theirs),
    takeTheirs: (theirs: DealerReply) => {
      autosave.current?.discard(theirs);
      setDealer(theirs.document);
    },
  };
}
