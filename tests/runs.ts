/**
 * So many random cases a test draws. What runs each time is small enough for every change: some ten seconds a file.
 * KELLUX_TIMES=20 has all such tests draw twenty times as many; npm run test:long has them draw five times as many.
 */
export const runs = (count: number): number => Math.ceil(count * Number(process.env.KELLUX_TIMES ?? 1));
