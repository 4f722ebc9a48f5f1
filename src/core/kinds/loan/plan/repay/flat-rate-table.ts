import { periodInterest } from "../../../../interest";
import type { Flat } from "../draft";
import type { Loan } from "./loan";
import type { PaymentRow, Repayment } from "./row";

/**
 * Repays a flat-rate loan. The payments come to the amount and its finance charge exactly; the last one takes
 * up the rounding. How much of each is interest follows from how the charge is earned.
 */
export function repayFlatRate(loan: Loan, flat: Flat, rows?: PaymentRow[]): Repayment {
  const { amount, solved: level, draft } = loan;
  const { calendar, payments } = draft;
  const charge = flat.charge(amount);
  const rate = flat.earning === "actuarial" ? flat.trueRate(amount) : undefined;
  let left = amount + charge;
  let balance = amount;
  let earned = 0;
  let number = 0;
  let payment = 0;
  while (left > 0) {
    number += 1;
    const last = number === payments || left <= level;
    payment = last ? left : level;
    const byRule = rate ? periodInterest(balance, rate) : flat.earnedByDigits(charge, number) - earned;
    // Never more than is left of the charge, so that the last payment's interest is not below zero; and as much as the
    // payment is above what is owed, where payments rounded up earn the charge later than they repay the loan.
    const atLeast = Math.max(byRule, payment - balance);
    const interest = last ? charge - earned : Math.min(atLeast, charge - earned);
    earned += interest;
    left -= payment;
    balance += interest - payment;
    const date = calendar.dateOf(number);
    rows?.push({ kind: "payment", number, date, payment, interest, principal: payment - interest, balance });
  }
  return {
    payments: number,
    paid: number,
    finalPayment: payment,
    balloonPaid: 0,
    totalOfPayments: amount + charge,
    totalInterest: charge,
    finalDate: calendar.dateOf(number),
    solved: level,
    unused: [],
  };
}
