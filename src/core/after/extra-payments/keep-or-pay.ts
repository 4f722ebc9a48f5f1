import { periodsPerYear } from "../../calendar";
import {
  type EarlyMoney,
  earlyFeeOf,
  interestLeft,
  isFault,
  type PaymentRow,
  rateOfPeriod,
  repay,
} from "../../kinds/loan/plan";
import { type LoanQuote, machineOf, repaidOf } from "../../kinds/loan/quote";
import { roundWhenSure } from "../../money";
import { exponential, type Fixed, logarithm, ONE, times } from "../../precise";
import { failure, type Result, success } from "../../result";
import { bracketedRoot, lastWhole } from "../../solve";
import { earlyLoan } from "./early-loan";
import { type ReturnAfterTax, returnAfterTax, type YearlyReturn } from "./yearly-return";

/** Which leaves more on the day of the planned last payment: money in hand kept, or paid in. In minor units. */
export type KeepOrPay = {
  kept: number;
  paidIn: number;
  /** What paying it in leaves more; below zero where keeping it does. */
  difference: number;
  /** The yearly return at which neither leaves more, in percent before tax; null where there is none. */
  tieReturn: number | null;
  /** What of the money repays the loan, and the charge for it, which the money bears. */
  credited: number;
  earlyFee: number;
  /** What of the money is left, and grows. */
  rest: number;
  /** The number of the last payment of the loan as planned, and of the one that is paid in. */
  plannedEnd: number;
  paidInEnd: number;
};

/**
 * Sets money kept at a return against the same money paid into a loan right after a payment: which leaves more on the day
 * of the planned last payment.
 *
 * Kept it grows: `L × (1 + r (1 − t))^((n − k) ÷ p)`. Paid in it ends the loan sooner, and each planned payment less what is
 * then still paid grows from its payment to the planned end at the same return, as does what the money is beyond the
 * payoff. Time is payments ÷ p, whatever the days; growth is not rounded, each sum once, half up.
 *
 * @param quote an answered deal; the loan as planned
 * @param after number of the payment, from 1
 * @param amount the money in hand, in minor units
 * @param yearlyReturn percent a year and the tax on it in percent
 * @returns what is left either way, and where they tie; a failure where the plan takes no extra payments
 * @example keepOrPay(campervan, 24, 400_000, { rate: "4.2", tax: "0" }).value.difference // 43131
 */
export function keepOrPay(
  quote: LoanQuote,
  after: number,
  amount: number,
  yearlyReturn: YearlyReturn,
): Result<KeepOrPay> {
  const grows = returnAfterTax(yearlyReturn);
  if (!grows.ok) return grows;
  if (!Number.isInteger(after) || after < 1 || after > quote.payments)
    return failure(
      "early",
      `Payment ${after} is none of this loan's; the money can come after payment 1 to ${quote.payments}.`,
    );
  const { credited, earlyFee } = creditOf(quote, after, amount);
  const tried = earlyLoan(quote, { once: [{ after, amount: credited }] });
  if (!tried.ok) return tried;
  const rows: PaymentRow[] = [];
  const repaid = repay(tried.value.loan, rows);
  if (isFault(repaid)) return failure("early", "The loan cannot be repaid with that money.");
  const rest = amount - credited - earlyFee;
  const end = endOf(quote.schedule, after);
  const perYear = periodsPerYear(quote.filled.plan.frequency);
  const saved = savedAfter(quote.schedule, rows, after, end);
  const kept = grown(grows.value, perYear, [amount, ...saved.map(() => 0)]);
  const paidIn = grown(grows.value, perYear, [rest, ...saved]);
  return success({
    kept,
    paidIn,
    difference: paidIn - kept,
    tieReturn: tieOf(saved, amount - rest, perYear, grows.value.keeps),
    credited,
    earlyFee,
    rest,
    plannedEnd: end,
    paidInEnd: Math.max(endOf(rows, after), after),
  });
}

/** The largest amount that with its charge comes to no more than the money, up to all that is owed. */
function creditOf(quote: LoanQuote, after: number, amount: number) {
  const owed =
    quote.schedule.findLast(({ number, kind }) => number <= after && kind !== "balloon")?.balance ?? 0;
  const money: Omit<EarlyMoney, "principal"> = {
    after,
    isOnDay: true,
    rate: rateOfPeriod(machineOf(quote).loan.draft, after + 1),
    interestLeft: interestLeft(repaidOf(quote), after),
    isPayoff: false,
  };
  const fees = quote.filled.plan.earlyFee ?? [];
  const feeOn = (principal: number) => earlyFeeOf(fees, { ...money, principal });
  const ofPayoff = earlyFeeOf(fees, { ...money, principal: owed, isPayoff: true });
  if (amount >= owed + ofPayoff) return { credited: owed, earlyFee: ofPayoff };
  const credited = lastWhole(principal => principal + feeOn(principal) - amount, 0, owed - 1, amount);
  return { credited, earlyFee: feeOn(credited) };
}

const endOf = (rows: readonly PaymentRow[], after: number): number => rows.at(-1)?.number ?? after;

/** By how much less is paid with each payment after one, up to the planned end. */
function savedAfter(
  planned: readonly PaymentRow[],
  paidIn: readonly PaymentRow[],
  after: number,
  end: number,
): number[] {
  const saved = Array.from({ length: end - after }, () => 0);
  const add = (rows: readonly PaymentRow[], sign: 1 | -1) => {
    for (const { number, payment } of rows)
      if (number > after && number <= end)
        saved[number - after - 1] = (saved[number - after - 1] ?? 0) + sign * payment;
  };
  add(planned, 1);
  add(paidIn, -1);
  return saved;
}

/** Of floats: each power is right to far less, and so is a sum of amounts above zero. */
const RELATIVE_ERROR = 1e-11;

/** What amounts, one each period, grow to by the last of them; rounded half up to the minor unit, once. */
function grown({ value, precise }: ReturnAfterTax, perYear: number, amounts: readonly number[]): number {
  const each = value ** (1 / perYear);
  let [sum, size] = [0, 0];
  for (const amount of amounts) {
    sum = sum * each + amount;
    size = size * each + Math.abs(amount);
  }
  return roundWhenSure(sum, RELATIVE_ERROR * size * amounts.length + 1e-9, "nearest", () => {
    const exactly = rootOf(precise(), perYear);
    return amounts.reduce<Fixed>((total, amount) => times(total, exactly) + BigInt(amount) * ONE, 0n);
  });
}

/** A growth of a year as one of a part of it. */
const rootOf = (growth: Fixed, perYear: number): Fixed =>
  perYear === 1 ? growth : exponential(logarithm(growth) / BigInt(perYear));

/** Where what is saved is worth nothing to speak of, there is no return to find. */
const HIGHEST = 2 ** 60;

/**
 * The return at which what is saved is worth what was paid in: `Σ saved × v^j = paid`, which rises with v.
 *
 * @param keeps what tax leaves of a return, from 0 to 1
 */
function tieOf(saved: readonly number[], paid: number, perYear: number, keeps: number): number | null {
  const total = saved.reduce((sum, amount) => sum + amount, 0);
  if (paid <= 0 || total <= 0 || keeps === 0) return null;
  const worth = (v: number) => {
    let [value, slope] = [0, 0];
    for (const amount of saved.toReversed()) {
      slope = slope * v + value;
      value = value * v + amount;
    }
    return { value: value * v - paid, slope: slope * v + value };
  };
  let high = 1;
  while (worth(high).value < 0 && high < HIGHEST) high *= 2;
  if (worth(high).value < 0) return null;
  const v = bracketedRoot(worth, { low: 0, high, guess: Math.min(1, high) });
  return (100 * Math.expm1(-perYear * Math.log(v))) / keeps;
}
