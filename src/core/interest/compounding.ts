/**
 * How often interest is added to what is owed. `payments` compounds at each payment and charges simple
 * interest between; the others are independent of the payments.
 */
export type Compounding =
  | "payments"
  | "daily"
  | "weekly"
  | "monthly"
  | "quarterly"
  | "halfYearly"
  | "yearly"
  | "continuous";

const TIMES_A_YEAR: Record<Exclude<Compounding, "payments" | "continuous">, number> = {
  daily: 365,
  weekly: 52,
  monthly: 12,
  quarterly: 4,
  halfYearly: 2,
  yearly: 1,
};

/** How often a year a compounding adds interest. Example: `compoundingsPerYear("quarterly")` is 4. */
export function compoundingsPerYear(compounding: Exclude<Compounding, "payments" | "continuous">): number {
  return TIMES_A_YEAR[compounding];
}
