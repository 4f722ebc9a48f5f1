import { performance } from "node:perf_hooks";

/** So much work is no wait for anybody. */
const SHORT_MS = 3;
const LONGEST_REST_MS = 30;

/**
 * Takes turns with everybody else on this thread: what is given back is called after each step of a long piece of work,
 * and rests about as long as this thread has worked since the last rest; what it has waited for others is none of that. One
 * turn of the event loop is not enough, for a request takes several; and what the embedded database answers comes without
 * any.
 */
export function takingTurns(): () => Promise<void> {
  let rested = performance.eventLoopUtilization();
  return async () => {
    const worked = performance.eventLoopUtilization(rested).active;
    if (worked <= SHORT_MS) return;
    await new Promise(resolve => setTimeout(resolve, Math.min(worked, LONGEST_REST_MS)));
    rested = performance.eventLoopUtilization();
  };
}

/** Does long work part by part, until a part has nothing left to do; between them others are served. */
export async function inTurns(part: () => Promise<number>): Promise<void> {
  const rest = takingTurns();
  while ((await part()) > 0) await rest();
}
