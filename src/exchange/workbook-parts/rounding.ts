/** How a formula rounds, by the rule of a plan or of a tax. */
const ROUNDED = {
  nearest: (text: string) => `ROUND(${text},0)`,
  // What floats leave beside a whole number is none.
  up: (text: string) => `ROUNDUP(ROUND(${text},6),0)`,
  down: (text: string) => `ROUNDDOWN(ROUND(${text},6),0)`,
} as const;

export type Rounding = keyof typeof ROUNDED;

export const rounded = (text: string, rule: Rounding): string => ROUNDED[rule](text);

/**
 * By what a typed percent is multiplied so that it is a whole number: sums of whole numbers have no error that a rounding could
 * turn over.
 */
export const scaleOf = (cell: string): string =>
  `IF(ROUND(${cell},2)=${cell},100,IF(ROUND(${cell},4)=${cell},10000,100000000))`;

/** A percent of an amount in minor units, rounded. */
export const percentOf = (base: string, percent: string, scale: string, rule: Rounding = "nearest"): string =>
  rounded(`(${base})*ROUND(${percent}*${scale},0)/(100*${scale})`, rule);
