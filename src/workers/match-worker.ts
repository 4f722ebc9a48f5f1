// Looks for the conventions that give another's figures beside the page; what was found so far is told on the way.
import { expose } from "comlink";
import { type Deal, evaluate, type Quote, type Result } from "@/core";
import { type Matched, type Stated, walkMatch } from "@/core/match";
import { newestWalk } from "./slices";

/** What another states of a deal of which every figure is given, and where the deal is. */
export type MatchQuestion = { deal: Deal; stated: Stated; place: string | undefined };

/** What was found, so far or in the end, and how long it took. */
export type MatchAnswer = { result: Result<Matched>; quote: Quote | null; isWhole: boolean; ms: number };

const walk = newestWalk(1);

/** The steps of a search with its end as the last of them. */
function* stepsTo(
  quote: Quote,
  { stated, place }: MatchQuestion,
): Generator<{ result: Result<Matched>; isWhole: boolean } | undefined, void, void> {
  const steps = walkMatch({ quote, stated, place });
  for (;;) {
    const { done, value } = steps.next();
    if (done) {
      yield { result: value, isWhole: true };
      return;
    }
    yield value && { result: value, isWhole: false };
  }
}

const worker = {
  /**
   * The whole answer, or null where something newer was asked for meanwhile.
   *
   * @param told is given what was found each time a number of departures is through
   */
  async match(question: MatchQuestion, told: (part: MatchAnswer) => void): Promise<MatchAnswer | null> {
    const began = performance.now();
    const answer = evaluate(question.deal);
    if (!answer.ok) return { result: answer, quote: null, isWhole: true, ms: 0 };
    const quote = answer.value as Quote;
    let last: MatchAnswer | null = null;
    const isNewest = await walk(stepsTo(quote, question), step => {
      if (!step) return;
      last = { ...step, quote, ms: performance.now() - began };
      if (!step.isWhole) told(last);
    });
    return isNewest ? last : null;
  },
};

export type MatchWorker = typeof worker;

expose(worker);
