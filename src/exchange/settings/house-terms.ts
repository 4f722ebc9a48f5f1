import { type Frequency, periodsPerYear } from "@/core";
import type { RatesOfTerms } from "@/core/moves";
import type { ReachTerm } from "@/core/reach";
import type { Settings } from "./settings.schema";

/**
 * The terms that a house shows its customers, counted as a deal is paid: 48 months are 208 weeks.
 *
 * @param house whose terms count as its usual deal is paid
 */
export function houseTerms({ terms = [], plan }: Settings, frequency: Frequency): ReachTerm[] {
  const times = periodsPerYear(frequency) / periodsPerYear(plan.frequency);
  return terms.map(({ payments, yearlyRate }) => ({
    payments: Math.max(1, Math.round(payments * times)),
    yearlyRate: String(yearlyRate),
  }));
}

/** The yearly rate of each of the house's terms, by its number of payments. */
export const houseRates = (house: Settings, frequency: Frequency): RatesOfTerms =>
  new Map(houseTerms(house, frequency).map(({ payments, yearlyRate }) => [payments, yearlyRate]));
