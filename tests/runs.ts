/**
 * So many random cases a test draws. What runs each time is small enough for every change: some ten seconds a file.
 * KELLUX_TIMES=20 has all such tests draw twenty times as many; npm run test:long has them draw five times as many.
 */
export const runs = (count: number): number => Math.ceil(count * Number(process.env.KELLUX_TIMES ?? 1));

/**
 * The same where so many are too slow for every change: each time fewer, and the whole number times as many where more
 * are asked for.
 */
export const fewerRuns = (fewer: number, count: number): number =>
  process.env.KELLUX_TIMES === undefined ? fewer : runs(count);
