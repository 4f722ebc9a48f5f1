import { periodsPerYear } from "../../../calendar";
import { roundFraction } from "../../../money";
import { failure, type Result, success } from "../../../result";
import type { LeasePlan } from "../pricing/lease";
import type { LeaseQuote } from "../pricing/quote";
import { purchaseTax } from "../pricing/taxes";

/** What ending a lease early comes to, in minor units. */
export type EarlyEnd = {
  /** After how many payments. */
  after: number;
  /** What the vehicle then still stands for in the lessor's table. */
  balance: number;
  paymentsLeft: number;
  /** The balance, the fee for buying and the tax on both. */
  costToBuy: number;
  /** The balance and the fee for ending early, less what the vehicle brings; below zero where it brings more. */
  costToReturn: number;
};

/**
 * Ending a lease after some payments: the balance of the table, and with it what it costs to buy the vehicle or to hand
 * it back. Payments that are due are taken for paid.
 *
 * @param quote an answered lease
 * @param after how many payments were made
 * @param value what the vehicle brings when it is handed back, in minor units; nothing where it is left out
 * @returns the costs, or a failure where there are not so many payments
 * @example endLeaseEarly(vanLeaseQuote, 24).value.paymentsLeft // 12
 */
export function endLeaseEarly(quote: LeaseQuote, after: number, value = 0): Result<EarlyEnd> {
  const { schedule, filled } = quote;
  const row = schedule.findLast(({ number, kind }) => number === after && kind !== "closing");
  const last = schedule.filter(({ kind }) => kind !== "closing").length;
  const atSigning = schedule.filter(({ kind }) => kind === "atSigning").length;
  if (!row || after < atSigning) return failure("payments", whenItCanEnd(filled.plan, atSigning, last));
  const { earlyFee, purchaseFee, taxes } = filled.plan;
  const price = row.balance + purchaseFee;
  return success({
    after,
    balance: row.balance,
    paymentsLeft: last - after,
    costToBuy: price + purchaseTax(taxes, price),
    costToReturn: row.balance + earlyFee - value,
  });
}

/** Payments at signing were made before it could end. */
function whenItCanEnd({ payments, inAdvance }: LeasePlan, atSigning: number, last: number): string {
  if (inAdvance === payments)
    return "The lease is paid at once; it can end early after that payment, number 1.";
  const first = Math.max(atSigning, 1);
  const made = first > 1 ? `, ${first} of them at signing` : "";
  return `The lease has ${last} payments${made}; it can end early after ${first} to ${last} of them.`;
}

/**
 * What is expected to be driven beyond the allowance over the whole term, at its price.
 *
 * @param quote an answered lease
 * @returns minor units, 0 where nothing is beyond, or a failure where the lease says no distance
 * @example excessDistance(vanLeaseQuote).value // 198000
 */
export function excessDistance({ filled, decimals }: LeaseQuote): Result<number> {
  const { distance, payments, frequency } = filled.plan;
  if (!distance || distance.expected === null)
    return failure("distance", "The lease says no distance, or none that is expected; type both.");
  const beyond = Math.max(distance.expected - distance.perYear, 0);
  const [whole = "0", fraction = ""] = distance.beyond.split(".");
  const price = BigInt(whole + fraction) * 10n ** BigInt(decimals);
  const numerator = BigInt(beyond) * BigInt(payments ?? 0) * price;
  const denominator = 10n ** BigInt(fraction.length) * BigInt(periodsPerYear(frequency));
  return success(roundFraction({ numerator, denominator }, "nearest"));
}
