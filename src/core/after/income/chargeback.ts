import { monthsAndDaysBetween, periodsPerYear } from "../../calendar";
import type { Quote } from "../../kinds";
import { roundFraction } from "../../money";
import { failure, type Result, success } from "../../result";
import type { Chargeback, DealerSide, ExtraChargeback } from "./dealer-side";
import type { Income } from "./income";
import { boughtOf } from "./reserve";

/** What comes back from the dealer where a loan is paid off early, in minor units. */
export type ChargedBack = {
  /** Paid off with this payment. */
  after: number;
  reserve: number;
  /** Of each extra that earned something and of which some comes back. */
  extras: readonly { name: string; amount: number }[];
  total: number;
};

/** When a payment falls, from signing. */
type When = { after: number; payments: number; months: number; term: number; days: number };

/**
 * What comes back from the dealer where a loan is paid off with one of its payments: of the reserve all up to a payment or a
 * day, then nothing, a part by time or a part by the interest still to come by the table; of each extra by time. Nothing comes
 * back with the last payment, nor of what earned nothing.
 *
 * @param quote an answered deal
 * @param side what the dealer knows of it
 * @param earned what the deal earns
 * @param after number of the payment; 0 for the start
 * @returns minor units, or a failure for a payment that the deal does not have
 * @example
 * const reserve = { method: "interestShare", share: "75", chargeback: { until: 6, then: "byTime" } };
 * const side = { ...NO_SIDE, buyRate: "5.25", reserve };
 * chargebackAfter(campervan, side, income(campervan, side), 10).value.reserve // 104350
 */
export function chargebackAfter(
  quote: Quote,
  side: DealerSide,
  earned: Income,
  after: number,
): Result<ChargedBack> {
  const { payments } = quote;
  if (!Number.isInteger(after) || after < 0 || after > payments)
    return failure(
      "income",
      `Payment ${after} is none of this deal’s; it can be 0, for the start, to ${payments}.`,
    );
  const when = whenPaid(quote, after);
  const reserve = reserveBack(quote, earned, side.reserve?.chargeback, when);
  const extras = earned.back.lines.flatMap(({ of, name, amount, index }) => {
    const terms = of === "extra" && index !== undefined ? side.extraChargebacks[index] : null;
    return terms ? [{ name, amount: extraBack(amount, terms, when) }] : [];
  });
  return success({
    after,
    reserve,
    extras,
    total: extras.reduce((sum, { amount }) => sum + amount, reserve),
  });
}

function whenPaid(quote: Quote, after: number): When {
  const { startDate, payments, schedule, filled } = quote;
  const perYear = periodsPerYear(filled.plan.frequency);
  const rows: readonly { number: number; kind: string; date: number | null }[] = schedule;
  const dateOf = (payment: number) =>
    payment === 0
      ? startDate
      : (rows.find(({ number, kind }) => number === payment && kind !== "extra")?.date ?? null);
  const months = (payment: number): number => {
    const date = dateOf(payment);
    return startDate === null || date === null
      ? Math.floor((payment * 12) / perYear)
      : monthsAndDaysBetween(startDate, date).months;
  };
  const date = dateOf(after);
  const days =
    startDate === null || date === null ? Math.floor((after * DAYS_A_YEAR) / perYear) : date - startDate;
  return { after, payments, months: months(after), term: months(payments), days };
}

/** Without dates a year has so many. */
const DAYS_A_YEAR = 365;

const isWithin = (until: number | undefined, passed: number) => until !== undefined && passed <= until;

function reserveBack(
  quote: Quote,
  { reserve }: Income,
  terms: Chargeback | undefined,
  { after, payments, days }: When,
): number {
  const amount = reserve?.amount ?? 0;
  if (!terms || amount <= 0 || after === payments) return 0;
  if (isWithin(terms.until, after) || isWithin(terms.untilDays, days)) return amount;
  if (terms.then === "byTime") return partOf(amount, payments - after, payments);
  if (terms.then !== "byInterest") return 0;
  const bought = boughtOf(quote);
  return partOf(amount, bought.interestAfter(after), bought.interest);
}

function extraBack(earned: number, { term, untilDays }: ExtraChargeback, when: When): number {
  if (earned <= 0) return 0;
  if (isWithin(untilDays, when.days)) return earned;
  const inAll = term ?? when.term;
  return partOf(earned, inAll - when.months, inAll);
}

/** A part of an amount, from none to all of it, rounded half up. */
function partOf(amount: number, part: number, whole: number): number {
  if (whole <= 0) return 0;
  const within = Math.min(Math.max(part, 0), whole);
  return roundFraction({ numerator: BigInt(amount) * BigInt(within), denominator: BigInt(whole) }, "nearest");
}
