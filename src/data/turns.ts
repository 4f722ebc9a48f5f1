/** A step up to here is no wait for anybody. */
const SHORT_MS = 3;
const LONGEST_REST_MS = 30;

/**
 * Takes turns with everybody else on this thread: what is given back is called after each step of a long piece of work,
 * and rests about as long as the step took. One turn of the event loop is not enough, for a request takes several; and
 * what the embedded database answers comes without any.
 */
export function takingTurns(): () => Promise<void> {
  let began = performance.now();
  return async () => {
    const took = performance.now() - began;
    if (took > SHORT_MS) {
      await new Promise(resolve => setTimeout(resolve, Math.min(took, LONGEST_REST_MS)));
    }
    began = performance.now();
  };
}

/** Does long work part by part, until a part has nothing left to do; between them others are served. */
export async function inTurns(part: () => Promise<number>): Promise<void> {
  const rest = takingTurns();
  while ((await part()) > 0) await rest();
}
