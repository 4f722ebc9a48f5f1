/** Does pieces of work in the order of who waits for them. */
type FirstThingsFirst = {
  /** What a person waits for: at once. */
  awaited: <Answer>(work: () => Promise<Answer>) => Promise<Answer>;
  /** What nobody waits for, or for long: one after another, each once nothing that is awaited is under way. */
  patient: <Answer>(work: () => Promise<Answer>) => Promise<Answer>;
};

/**
 * @param longestMs no piece is put off for longer: where there is always somebody, the others' work goes on all the same
 */
export function firstThingsFirst(longestMs: number): FirstThingsFirst {
  let underWay = 0;
  let free: (() => void)[] = [];
  let last: Promise<unknown> = Promise.resolve();
  const untilFree = () =>
    new Promise<void>(resolve => {
      const limit = setTimeout(resolve, longestMs);
      free.push(() => {
        clearTimeout(limit);
        resolve();
      });
    });
  return {
    awaited: async work => {
      underWay++;
      try {
        return await work();
      } finally {
        if (--underWay === 0) {
          for (const go of free) go();
          free = [];
        }
      }
    },
    patient: work => {
      const done = last.then(async () => {
        // Who has asked meanwhile is heard of first.
        await new Promise(resolve => setImmediate(resolve));
        if (underWay > 0) await untilFree();
        return work();
      });
      last = done.catch(() => {});
      return done;
    },
  };
}
