import { type PeriodRate, parseDecimal, percentOf, periodInterest } from "../../../../interest";

/** A charge for money that comes early, as the plan agrees on it. */
export type EarlyFee = EarlyFeeAmount & {
  /** Up to and including the day of this payment; for good where left out. */
  until?: number;
  /** No more than the interest still to come by the plan. */
  most?: "interestLeft";
  /** For what ends the loan alone, where left out; or for all money that comes early. */
  on?: "payoff" | "anyEarlyMoney";
};

type EarlyFeeAmount =
  /** Minor units. */
  | { amount: number }
  /** Percent, as typed, of the principal paid early. */
  | { percent: string }
  /** So many times the next period's interest on what is paid early. */
  | { interestPeriods: number };

/** Money that comes early: where, how much of it, and what the plan still had to earn. */
export type EarlyMoney = {
  /** How many payment dates have passed. */
  after: number;
  /** Whether it comes on the day of the last of them. */
  isOnDay: boolean;
  /** What of it repays principal, in minor units. */
  principal: number;
  /** The rate of the next period. */
  rate: PeriodRate;
  /** Interest still to come by the plan, in minor units. */
  interestLeft: number;
  /** Whether it ends the loan. */
  isPayoff: boolean;
};

/**
 * What money that comes early costs besides. Of several charges the first counts that still holds on the day.
 *
 * @param fees as the plan agrees on them, in order
 * @param money what comes early
 * @returns minor units; a percent and interest are rounded half up, once
 * @example
 * // 1 % of 22,319.57
 * earlyFeeOf([{ percent: "1" }], { after: 36, isOnDay: true, principal: 2231957, rate: null, interestLeft: 150000, isPayoff: true }) // 22320
 */
export function earlyFeeOf(fees: readonly EarlyFee[], money: EarlyMoney): number {
  const { principal, interestLeft } = money;
  const fee = earlyFeeAt(fees, money);
  if (!fee || principal <= 0) return 0;
  const amount = amountOf(fee, money);
  return fee.most === "interestLeft" ? Math.min(amount, Math.max(interestLeft, 0)) : amount;
}

/**
 * Which of several charges counts for money that comes early, if any does.
 *
 * @example earlyFeeAt([{ percent: "1", until: 24 }], { after: 36, isOnDay: true, isPayoff: true }) // undefined
 */
export function earlyFeeAt(
  fees: readonly EarlyFee[],
  { after, isOnDay, isPayoff }: Pick<EarlyMoney, "after" | "isOnDay" | "isPayoff">,
): EarlyFee | undefined {
  const fee = fees.find(({ until = after + 1 }) => after < until || (after === until && isOnDay));
  return isPayoff || fee?.on === "anyEarlyMoney" ? fee : undefined;
}

function amountOf(fee: EarlyFeeAmount, { principal, rate }: EarlyMoney): number {
  if ("amount" in fee) return fee.amount;
  if ("interestPeriods" in fee) return periodInterest(principal * fee.interestPeriods, rate);
  const percent = parseDecimal(fee.percent);
  return percent ? percentOf(principal, percent) : 0;
}
