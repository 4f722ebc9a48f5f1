/** So many requests a minute are more than anybody's pages ask for. */
const MOST_A_MINUTE = { known: 6000, stranger: 600 };
const MINUTE_MS = 60_000;
const MOST_COUNTED = 10_000;

type Counted = { from: number; count: number };

/**
 * Counts who asks how often, by account and by address, for a minute each.
 *
 * @param now the moment that it is
 */
export function askingCounter(now: () => number = Date.now) {
  let counted = new Map<string, Counted>();
  /** How many seconds are to be waited; 0 where it may be asked. */
  return (key: string, kind: keyof typeof MOST_A_MINUTE): number => {
    const at = now();
    const known = counted.get(key);
    if (!known || at - known.from >= MINUTE_MS) {
      if (counted.size >= MOST_COUNTED) counted = new Map();
      counted.set(key, { from: at, count: 1 });
      return 0;
    }
    known.count++;
    if (known.count <= MOST_A_MINUTE[kind]) return 0;
    return Math.ceil((known.from + MINUTE_MS - at) / 1000);
  };
}
