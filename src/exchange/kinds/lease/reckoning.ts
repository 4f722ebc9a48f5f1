import { PERCENT_OF_FACTOR } from "@/core";
import type { LeasePlanFile } from "@/exchange/kinds/lease";
import { factorText, rateText } from "@/exchange/text";

const FACTOR_PLACES = 8;
const MOST_RATE_PLACES = 8;

/** The money factor that goes with a yearly rate, as it is typed. */
export function factorOfRate(yearlyRate: string | number): string {
  return factorText(Number((Number(yearlyRate) / PERCENT_OF_FACTOR).toFixed(FACTOR_PLACES)));
}

/** The yearly rate that goes with a money factor: of those that make it, the one with the fewest decimals. */
export function rateOfFactor(factor: string | number): string {
  const rate = Number(factor) * PERCENT_OF_FACTOR;
  const same = factorText(Number(factor));
  for (let places = 0; places < MOST_RATE_PLACES; places++) {
    const rounded = rate.toFixed(places);
    if (factorOfRate(rounded) === same) return rateText(Number(rounded));
  }
  return rateText(rate);
}

/** The plan reckoned the other way, at the rate that goes with its own. */
export function reckonedBy(
  { moneyFactor, yearlyRate, ...plan }: LeasePlanFile,
  reckoning: LeasePlanFile["reckoning"],
): LeasePlanFile {
  if (reckoning === "moneyFactor") {
    const factor = moneyFactor ?? (yearlyRate === undefined ? undefined : factorOfRate(yearlyRate));
    return { ...plan, reckoning, ...(factor !== undefined && { moneyFactor: factor }) };
  }
  const rate = yearlyRate ?? (moneyFactor === undefined ? undefined : rateOfFactor(moneyFactor));
  return { ...plan, reckoning, ...(rate !== undefined && { yearlyRate: rate }) };
}
