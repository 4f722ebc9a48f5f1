import { setTimeout as wait } from "node:timers/promises";
import { DatabaseAway } from "../away";
import type { Database } from "../database";
import { done } from "../done-by";
import { failureOf, hasMetAnother } from "../failure";
import { isSave, type Store, WORK } from "../store";
import { isAway, whyAway } from "./failures";

/** A save that met another is done once more, after up to so long. */
const MOST_TIMES = 6;
const APART_MS = 60;

/**
 * The store of a server that many use at once: each piece of work goes there as it is asked for.
 *
 * @param heard is told after each whether the server has answered
 */
export function storeOnServer(database: Database, heard: (answers: boolean) => void = () => {}): Store {
  const entries = (Object.keys(WORK) as (keyof Store)[]).map(name => [
    name,
    async (...args: unknown[]) => {
      const ask = () => done(database, name, args);
      try {
        const answer = await (isSave(name) ? meeting(ask) : ask());
        heard(true);
        return answer;
      } catch (error) {
        const failure = failureOf(error);
        heard(!isAway(error));
        if (isAway(error)) throw new DatabaseAway(`The database server does not answer: ${whyAway(error)}.`);
        // Without what was asked and is kept, which the driver's own would say in the log.
        throw Object.assign(new Error(failure.message), failure);
      }
    },
  ]);
  return Object.fromEntries(entries) as Store;
}

/** Does what is undone as a whole where it meets what others do at the same moment: then once more. */
async function meeting<Answer>(ask: () => Promise<Answer>): Promise<Answer> {
  for (let times = 1; ; times++) {
    try {
      return await ask();
    } catch (error) {
      if (times === MOST_TIMES || !hasMetAnother(error)) throw error;
      await wait(Math.random() * APART_MS * times);
    }
  }
}
