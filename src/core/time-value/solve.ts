import { FREQUENCY_NAMES, periodsPerYear } from "../calendar";
import { type PeriodRate, parseDecimal, periodRate } from "../interest";
import { HIGHEST_YEARLY_RATE, MOST_TIME_VALUE_PAYMENTS, wholeText } from "../limits";
import { groupedAmount, readCurrency } from "../money";
import { ONE } from "../precise";
import { failure, type Result, success } from "../result";
import { type Amounts, numberOfPayments } from "./number-of-payments";
import type { Money, TimeValue, TimeValueAnswer } from "./time-value";
import { moneyOf, roundedBalance, signed, termWorth } from "./worth";
import { yearlyRateOf } from "./yearly-rate";

/**
 * Solves the five-figure time value of money: any one of present value, payment, future value, number of payments and
 * yearly rate from the other four.
 *
 * `PV + payment × annuity + FV × (1 + i)^−n = 0`, each amount having the sign of money received or paid, which is said
 * in words. A found amount is rounded half up to the minor unit as if computed exactly.
 *
 * @param plan amounts in minor units with their directions, percent a year, a whole number of payments
 * @returns all five figures and the answer as a sentence, or a failure naming the figure to blame
 * @example
 * // 10,000.00 received now, repaid over 60 months at 6 %
 * const plan = {
 *   find: "payment", currency: "USD", frequency: "monthly", yearlyRate: "6", payments: 60, payment: null,
 *   presentValue: { amount: 1_000_000, direction: "received" }, futureValue: { amount: 0, direction: "paid" },
 * };
 * solveTimeValue(plan).value.payment // { amount: 19333, direction: "paid" }
 */
export function solveTimeValue(plan: TimeValue): Result<TimeValueAnswer> {
  const decimals = readCurrency(plan.currency);
  if (!decimals.ok) return decimals;
  const missing = NAMES.find(([figure]) => figure !== plan.find && plan[figure] === null);
  if (missing) return failure(missing[0], `The ${missing[1]} is missing.`);
  const money = (minor: number) => groupedAmount(minor, decimals.value);
  const solved = solve(plan, money);
  return solved.ok ? success({ ...solved.value, sentence: sentenceOf(plan, solved.value, money) }) : solved;
}

type Solved = Omit<TimeValueAnswer, "sentence">;

const NAMES = [
  ["presentValue", "money now"],
  ["payment", "payment"],
  ["futureValue", "money at the end"],
  ["payments", "number of payments"],
  ["yearlyRate", "yearly rate"],
] as const;

function solve(plan: TimeValue, money: (minor: number) => string): Result<Solved> {
  const none: Money = { amount: 0, direction: "paid" };
  const { presentValue, payment, futureValue } = plan;
  const amounts = {
    presentValue: signed(presentValue ?? none),
    payment: signed(payment ?? none),
    futureValue: signed(futureValue ?? none),
  };
  const inAdvance = plan.timing === "advance";
  if (plan.find === "yearlyRate") {
    const payments = readPayments(plan);
    if (!payments.ok) return payments;
    const rate = yearlyRateOf(amounts, payments.value, plan);
    return rate.ok ? success(answerOf(plan, amounts, payments.value, rate.value)) : rate;
  }
  const rate = readRate(plan);
  if (!rate.ok) return rate;
  if (plan.find === "payments") {
    const found = numberOfPayments(amounts, rate.value, inAdvance, money);
    if (!found.ok) return found;
    const { payments, last } = found.value;
    return success({ ...answerOf(plan, amounts, payments, Number(plan.yearlyRate)), last });
  }
  const payments = readPayments(plan);
  if (!payments.ok) return payments;
  const found = foundAmount(plan.find, amounts, termWorth(payments.value, rate.value, inAdvance));
  if (!(Math.abs(found) < Number.MAX_SAFE_INTEGER)) {
    return failure(
      plan.find,
      "So many payments at this rate grow beyond what can be counted; lower one of them.",
    );
  }
  return success(answerOf(plan, { ...amounts, [plan.find]: found }, payments.value, Number(plan.yearlyRate)));
}

/** The amount that makes all three worth nothing together. */
function foundAmount(
  find: keyof Amounts,
  { presentValue, payment, futureValue }: Amounts,
  { float: { solved, atEnd }, precise }: ReturnType<typeof termWorth>,
): number {
  switch (find) {
    case "presentValue":
      return roundedBalance([payment, futureValue], [solved, atEnd, 1], () => {
        const worth = precise();
        return [worth.solved, worth.atEnd, ONE];
      });
    case "payment":
      return roundedBalance([presentValue, futureValue], [1, atEnd, solved], () => {
        const worth = precise();
        return [ONE, worth.atEnd, worth.solved];
      });
    case "futureValue":
      return roundedBalance([presentValue, payment], [1, solved, atEnd], () => {
        const worth = precise();
        return [ONE, worth.solved, worth.atEnd];
      });
  }
}

function answerOf(plan: TimeValue, amounts: Amounts, payments: number, yearlyRate: number): Solved {
  return {
    presentValue: plan.presentValue ?? moneyOf(amounts.presentValue),
    payment: plan.payment ?? moneyOf(amounts.payment),
    futureValue: plan.futureValue ?? moneyOf(amounts.futureValue),
    payments,
    yearlyRate,
  };
}

function readPayments({ payments }: TimeValue): Result<number> {
  const count = payments ?? 0;
  return Number.isInteger(count) && count >= 1 && count <= MOST_TIME_VALUE_PAYMENTS
    ? success(count)
    : failure(
        "payments",
        `The number of payments is ${count}; it must be a whole number from 1 to ${wholeText(MOST_TIME_VALUE_PAYMENTS)}.`,
      );
}

function readRate({ yearlyRate, frequency, compounding = "payments" }: TimeValue): Result<PeriodRate> {
  const rate = parseDecimal(yearlyRate ?? "");
  if (!rate || rate.digits / rate.scale > HIGHEST_YEARLY_RATE) {
    return failure(
      "yearlyRate",
      `The yearly rate ${yearlyRate} is not possible; type a percent from 0 to ${wholeText(HIGHEST_YEARLY_RATE)}, such as 6.49.`,
    );
  }
  const year = { numerator: 1, denominator: periodsPerYear(frequency) };
  return success(periodRate(rate, year, compounding));
}

/** "Receive 10,000.00 now, pay 193.33 every month in arrears, 60 times, and pay 0.00 at the end, at 6 % a year." */
function sentenceOf(plan: TimeValue, solved: Solved, money: (minor: number) => string): string {
  const { presentValue, payment, futureValue, payments, yearlyRate, last } = solved;
  const said = ({ direction, amount }: Money) =>
    `${direction === "received" ? "receive" : "pay"} ${money(amount)}`;
  const count = last ? last.fullPayments : payments;
  const times = `${count} ${count === 1 ? "time" : "times"}`;
  const odd = last && last.amount > 0 ? ` and a last time ${money(last.amount)}` : "";
  const rate = Number(yearlyRate.toFixed(6));
  const sentence =
    `${said(presentValue)} now, ${said(payment)} ${FREQUENCY_NAMES[plan.frequency].every} ` +
    `in ${plan.timing ?? "arrears"}, ${times}${odd}, and ${said(futureValue)} at the end, at ${rate} % a year.`;
  return sentence.charAt(0).toUpperCase() + sentence.slice(1);
}
