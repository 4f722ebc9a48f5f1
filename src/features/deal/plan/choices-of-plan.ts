import { FREQUENCIES, FREQUENCY_NAMES, type Frequency } from "@/core";
import type { LoanFile } from "@/exchange/kinds/loan";

type PlanFile = LoanFile["plan"];

/** How payments are rounded. */
export const ROUNDINGS = [
  ["nearest", "to the nearest"],
  ["up", "up"],
  ["down", "down"],
] as const;

/** How often it is paid. */
export const FREQUENCY_CHOICES = FREQUENCIES.map((frequency): [Frequency, string] => [
  frequency,
  FREQUENCY_NAMES[frequency].every,
]);

/** How days are counted, where periods are not equal parts of a year. */
export const DAY_COUNTS: readonly [NonNullable<PlanFile["dayCount"]>, string][] = [
  ["30/360", "30/360"],
  ["actual/365", "actual/365"],
  ["actual/360", "actual/360"],
  ["actual/actual", "actual/actual"],
];
