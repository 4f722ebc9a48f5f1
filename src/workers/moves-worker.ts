// Finds what would have to move beside the page, so that typing never waits for it.
import { expose } from "comlink";
import type { Deal } from "@/core";
import {
  type CashOver,
  cashOverTerms,
  type Move,
  type RatesOfTerms,
  type Wanted,
  walkMoves,
} from "@/core/moves";
import { newestWalk } from "./slices";

/** What is wanted of a deal that asks for its payment. */
export type MovesQuestion = {
  deal: Deal;
  wanted: Wanted;
  /** Over which numbers of payments the rest as cash is asked for, too. */
  terms?: readonly number[] | undefined;
  /** At which rates the house has some numbers of payments. */
  rates: RatesOfTerms;
};

/** What would have to move; and over other terms, with the rest as cash. */
export type MovesAnswer = { moves: Move[]; overTerms: CashOver[] };

const walk = newestWalk(1);

function* everything({ deal, wanted, terms, rates }: MovesQuestion): Generator<Move | CashOver, void, void> {
  yield* walkMoves(deal, wanted, rates);
  if (terms) yield* cashOverTerms(deal, wanted, terms, rates);
}

const worker = {
  /** All candidates, or null where something newer was asked for meanwhile. */
  async moves(question: MovesQuestion): Promise<MovesAnswer | null> {
    const answer: MovesAnswer = { moves: [], overTerms: [] };
    const isWhole = await walk(everything(question), found => {
      if ("move" in found) answer.overTerms.push(found);
      else answer.moves.push(found);
    });
    return isWhole ? answer : null;
  },
};

export type MovesWorker = typeof worker;

expose(worker);
