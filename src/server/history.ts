import type { Store } from "@/data/store";
import { chosenOption } from "@/exchange/deal-document";
import type { HistoryReply, StateReply } from "./contract";
import { openDeal } from "./deals";
import { Refusal } from "./refusal";

/** The changes of a deal, the latest first; those of its dealer's part to whom that is open. */
export async function dealHistory(store: Store, id: string, withDealer: boolean): Promise<HistoryReply> {
  const { document } = await openDeal(store, id);
  const changes = await store.changesOf(id, withDealer);
  const papers = await store.givenPapers(id);
  const nameOf = await namesIn(store, [...changes, ...papers]);
  return {
    currency: chosenOption(document).inputs.currency,
    papers: papers.map(({ at, removedAt, who, ...paper }) => ({
      ...paper,
      who: nameOf(who),
      at: at.toISOString(),
      removedAt: removedAt?.toISOString() ?? null,
    })),
    changes: changes.map(({ at, who, ...change }) => ({
      ...change,
      who: nameOf(who),
      at: at.toISOString(),
    })),
  };
}

/** What those are called who have done something; asked for only where somebody has a name. */
async function namesIn(
  store: Store,
  all: readonly { who: string | null }[],
): Promise<(who: string | null) => string | null> {
  if (all.every(({ who }) => who === null)) return () => null;
  const names = new Map((await store.listPeople()).map(({ id, name }) => [id, name]));
  return who => (who === null ? null : (names.get(who) ?? null));
}

/** A deal as it was after one of its changes. */
export async function dealAfterChange(store: Store, id: string, number: string): Promise<StateReply> {
  const { document } = await openDeal(store, id);
  const state = /^\d{1,9}$/.test(number) ? await store.stateAfter(id, document, Number(number)) : undefined;
  if (!state) throw new Refusal(404, "There is no such change of this deal.");
  return { document: state };
}
