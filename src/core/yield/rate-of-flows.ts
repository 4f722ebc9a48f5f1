import { rateWhereWorthless } from "./rate-where-worthless";

/**
 * Money at a time: above zero to the customer, below zero from the customer. Whole periods compound, the odd
 * part of one counts at simple interest.
 */
export type Flow = { amount: number; periods: number; part: number };

/**
 * The rate of one period at which money in and money out are worth the same:
 * `Σ amount ÷ ((1 + part × i) × (1 + i)^periods) = 0`.
 *
 * @param flows in the order of their times, `part` from 0 to below 1
 * @returns the rate as a fraction above −1, below zero where less comes back; the nearest to zero where there
 *   are several, which needs money in after money out; undefined where none fits
 * @example rateOfFlows([{ amount: 1000, periods: 0, part: 0 }, { amount: -1100, periods: 1, part: 0 }]) // 0.1
 */
export function rateOfFlows(flows: readonly Flow[]): number | undefined {
  const timed = flows.map(({ amount, periods, part }) => ({ amount, time: periods + part }));
  return rateWhereWorthless(timed, rate => worthOfFlows(flows, rate));
}

/** What flows are worth at a rate, and how that changes with the rate. */
function worthOfFlows(flows: readonly Flow[], rate: number): { value: number; slope: number } {
  const discount = 1 / (1 + rate);
  let value = 0;
  let slope = 0;
  let whole = 1;
  let at = 0;
  for (const { amount, periods, part } of flows) {
    if (periods === at + 1) whole *= discount;
    else if (periods !== at) whole = discount ** periods;
    at = periods;
    const odd = 1 / (1 + part * rate);
    const worth = amount * whole * odd;
    value += worth;
    slope -= worth * (periods * discount + part * odd);
  }
  return { value, slope };
}
