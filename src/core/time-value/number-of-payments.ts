import type { PeriodRate } from "../interest";
import { MOST_TIME_VALUE_PAYMENTS, wholeText } from "../limits";
import { ONE, over } from "../precise";
import { failure, type Result, success } from "../result";
import type { LastPayment } from "./time-value";
import { roundedBalance, termWorth } from "./worth";

/** The three amounts in minor units, above zero where money comes to the customer. */
export type Amounts = { presentValue: number; payment: number; futureValue: number };

/**
 * How many payments take the present value to the future value, and what the last one is.
 *
 * With p the payment (times 1 + i in advance): `n = ln(1 − i (PV + FV) ÷ (p + i PV)) ÷ ln(1 + i)`, amounts having
 * the signs of money received and paid; without interest `n = −(PV + FV) ÷ p`. How many payments are full is then
 * tried on the balances themselves.
 *
 * @returns the number, no whole one where the last payment is smaller; or a failure where it never ends
 */
export function numberOfPayments(
  amounts: Amounts,
  rate: PeriodRate,
  inAdvance: boolean,
  money: (minor: number) => string,
): Result<{ payments: number; last: LastPayment }> {
  const exact = unroundedNumber(amounts, rate.value, inAdvance);
  if (!(exact > 0 && exact <= MOST_TIME_VALUE_PAYMENTS)) return neverEnds(amounts, rate.value, money);
  const goal = -amounts.futureValue;
  const balance = (after: number) => balanceAfter(amounts, rate, inAdvance, after);
  const heading = Math.sign(amounts.presentValue - goal);
  const isPast = (after: number) => (balance(after) - goal) * heading < 0;
  let full = Math.floor(exact);
  while (full > 0 && isPast(full)) full -= 1;
  while (balance(full) !== goal && !isPast(full + 1)) full += 1;
  if (balance(full) === goal) {
    const before = inAdvance ? balance(full) : goal - amounts.payment;
    const last = {
      fullPayments: full,
      amount: 0,
      balanceBefore: Math.abs(before),
      balanceAfter: Math.abs(goal),
    };
    return success({ payments: full, last });
  }
  // In arrears the last payment comes with one more period's interest. In advance it comes at once, and leaves what grows
  // to the money at the end in the period after it.
  const before = inAdvance ? balance(full) : balance(full + 1) - amounts.payment;
  const amount = Math.max(heading * (inAdvance ? lastInAdvance(amounts, rate, full) : before - goal), 0);
  const last = {
    fullPayments: full,
    amount,
    balanceBefore: Math.abs(before),
    balanceAfter: Math.abs(before - heading * amount),
  };
  return success({ payments: Math.min(Math.max(exact, full), full + 1), last });
}

function unroundedNumber(
  { presentValue, payment, futureValue }: Amounts,
  i: number,
  inAdvance: boolean,
): number {
  if (i === 0) return -(presentValue + futureValue) / payment;
  const paid = inAdvance ? payment * (1 + i) : payment;
  return Math.log1p((-i * (presentValue + futureValue)) / (paid + i * presentValue)) / Math.log1p(i);
}

/** What is owed after some payments, below zero where it is saved: in advance at the end of their last period. */
function balanceAfter(amounts: Amounts, rate: PeriodRate, inAdvance: boolean, after: number): number {
  const { presentValue, payment } = amounts;
  if (after === 0) return presentValue;
  const { float, precise } = termWorth(after, rate, inAdvance);
  return -roundedBalance([presentValue, payment], [1, float.solved, float.atEnd], () => {
    const { solved, atEnd } = precise();
    return [ONE, solved, atEnd];
  });
}

/** What is owed after some payments in advance above what grows to the money at the end in one period. */
function lastInAdvance(amounts: Amounts, rate: PeriodRate, full: number): number {
  const { presentValue, payment, futureValue } = amounts;
  const start = termWorth(full, rate, true);
  const { value } = rate;
  return -roundedBalance(
    [presentValue, payment, futureValue],
    [1, start.float.solved, start.float.atEnd / (1 + value), start.float.atEnd],
    () => {
      const { solved, atEnd } = start.precise();
      return [ONE, solved, over(atEnd, ONE + rate.precise()), atEnd];
    },
  );
}

function neverEnds(
  { presentValue, payment, futureValue }: Amounts,
  i: number,
  money: (minor: number) => string,
): Result<never> {
  if (presentValue === -futureValue) {
    return failure("payment", "The money now is the money at the end already; no payment is needed.");
  }
  const interest = Math.round(Math.abs(presentValue) * i);
  if (presentValue * payment < 0 && Math.abs(payment) <= Math.abs(presentValue) * i) {
    return failure(
      "payment",
      `A payment of ${money(Math.abs(payment))} does not cover the interest of ${money(interest)} a period, so that it never ends; it must be above ${money(interest)}.`,
    );
  }
  return failure(
    "payment",
    `Payments of ${money(Math.abs(payment))} do not lead to ${money(Math.abs(futureValue))} at the end within ${wholeText(MOST_TIME_VALUE_PAYMENTS)} payments; turn one of the amounts around, or make them larger.`,
  );
}
