import { type Frequency, periodsPerYear } from "@/core";

const MONTHS = 12;

/** What of a budget a month falls to each payment, in whole minor units: 600.00 a month is 276.92 every two weeks. */
export function budgetEachTime(aMonth: number, frequency: Frequency): number {
  return Math.floor((aMonth * MONTHS) / periodsPerYear(frequency));
}
