import { monthsAfter } from "@/core";

/** A row of the same shape as the core's, in floating point. */
export type FloatRow = {
  number: number;
  date: number;
  payment: number;
  interest: number;
  principal: number;
  balance: number;
};

/** The yardstick: a bare loop over doubles that makes the same row objects, dates and all, exact to nothing. */
export function floatTable(amount: number, yearlyPercent: number, payments: number): FloatRow[] {
  const rate = yearlyPercent / 1200;
  const payment = floatPayment(amount, rate, payments);
  const start = { year: 2026, month: 11, day: 24 };
  const rows: FloatRow[] = [];
  let balance = amount;
  for (let number = 1; number <= payments; number++) {
    const interest = balance * rate;
    const principal = payment - interest;
    balance -= principal;
    rows.push({ number, date: monthsAfter(start, number), payment, interest, principal, balance });
  }
  return rows;
}

/** One closed-form payment in floating point. */
export function floatPayment(amount: number, rate: number, payments: number): number {
  return (amount * rate) / (1 - (1 + rate) ** -payments);
}
