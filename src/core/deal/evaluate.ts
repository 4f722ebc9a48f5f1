import { repaymentTable } from "../loan";
import { groupedAmount } from "../money";
import { failure, type Result, success } from "../result";
import type { Deal } from "./deal";
import { type Answer, findAnswer } from "./find";
import type { Quote } from "./quote";
import { structureLines } from "./structure";
import { readTerms, type Terms } from "./terms";

/**
 * Answers a deal: finds its figure, then the repayment table and what it all costs.
 *
 * @param deal money in minor units, rate in percent a year, dates as day numbers
 * @returns the quote, or a failure with the figure to blame and a plain sentence
 * @example
 * const quote = evaluate({
 *   currency: "USD",
 *   structure: { price: 4185000, tradeIn: { allowance: 920000, owed: 1105000 }, down: { amount: 300000 } },
 *   plan: { kind: "loan", yearlyRate: "6.49", payments: 72, frequency: "monthly", rounding: "nearest",
 *           signed: null, firstPayment: null, payment: null },
 *   find: "payment",
 * });
 * quote.ok && quote.value.payment // 68397
 */
export function evaluate(deal: Deal): Result<Quote> {
  const terms = readTerms(deal);
  if (!terms.ok) return terms;
  const answer = findAnswer(deal, terms.value);
  return answer.ok ? quoteOf(deal, terms.value, answer.value) : answer;
}

function quoteOf(deal: Deal, terms: Terms, answer: Answer): Result<Quote> {
  const { price, down, amountFinanced, payment, note } = answer;
  const { allowance, owed } = deal.structure.tradeIn;
  const { rate, payments, firstRate, dateOf } = terms;
  const schedule = repaymentTable({ amount: amountFinanced, rate, payments, payment, firstRate, dateOf });
  const last = schedule?.at(-1);
  if (!schedule || !last) {
    const rounded = groupedAmount(payment, terms.decimals);
    return failure(
      "payments",
      `At this rate a payment rounded to ${rounded} does not cover the interest of so many payments; plan fewer of them.`,
    );
  }
  const totalOfPayments = payment * (schedule.length - 1) + last.payment;
  return success({
    deal,
    terms,
    lines: structureLines(price, deal.structure.tradeIn, down),
    price,
    down,
    amountFinanced,
    payment,
    payments: schedule.length,
    finalPayment: last.payment,
    totalOfPayments,
    financeCharge: totalOfPayments - amountFinanced,
    totalCost: totalOfPayments + down + allowance - owed,
    firstDate: dateOf(1),
    finalDate: last.date,
    schedule,
    ...(note && { note }),
  });
}
