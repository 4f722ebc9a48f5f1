/** Waits for the disk on behalf of all who save something. */
export type SharedSync = {
  /** Does a piece of work that saves something. */
  saving: <Answer>(work: () => Promise<Answer>) => Promise<Answer>;
  /** Ends when everything saved so far is on the disk; at once where it is. */
  synced: () => Promise<void>;
};

/** For so long a sync waits for saves that are under way; one alone does not wait. */
const GATHER_MS = 4;

/**
 * Has all who wait together share one sync of the disk.
 *
 * @param sync syncs what was saved until it calls its argument, which it does as it begins
 */
export function sharedSync(sync: (begins: () => void) => Promise<void>): SharedSync {
  let underWay = 0;
  let isSynced = true;
  /** Asked for, and not begun: whoever has saved by then is part of it. */
  let next: Promise<void> | undefined;
  let running: Promise<void> | undefined;

  const ask = async (): Promise<void> => {
    if (underWay > 0) await new Promise(resolve => setTimeout(resolve, GATHER_MS));
    const begins = () => {
      isSynced = true;
      running = next;
      next = undefined;
    };
    return sync(begins).catch(error => {
      // What did not come to the disk is still to come there.
      isSynced = false;
      next = undefined;
      throw error;
    });
  };
  return {
    saving: async work => {
      underWay++;
      try {
        return await work();
      } finally {
        underWay--;
        isSynced = false;
      }
    },
    synced: async () => {
      if (isSynced) return running;
      next ??= ask();
      return next;
    },
  };
}
