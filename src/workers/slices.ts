/** No slice of work is longer, so that a newer question is heard. */
const LONGEST_SLICE_MS = 8;

/** Gives way to what has arrived meanwhile. */
const nextTurn = () =>
  new Promise<void>(resolve => {
    const { port1, port2 } = new MessageChannel();
    port1.onmessage = () => {
      port1.close();
      resolve();
    };
    port2.postMessage(null);
  });

/**
 * A way to walk through work in slices, of which only the newest walk goes to its end.
 *
 * @param stepsALook the clock is looked at after so many steps
 * @returns a walk that is false where a newer one was begun meanwhile
 */
export function newestWalk(stepsALook: number) {
  let newest = 0;
  return async <Step>(steps: Iterable<Step>, take: (step: Step) => void): Promise<boolean> => {
    newest += 1;
    const mine = newest;
    let began = performance.now();
    let count = 0;
    for (const step of steps) {
      take(step);
      count += 1;
      if (count % stepsALook > 0 || performance.now() - began < LONGEST_SLICE_MS) continue;
      await nextTurn();
      if (mine !== newest) return false;
      began = performance.now();
    }
    return true;
  };
}
