import { periodsPerYear } from "../calendar";
import { flatCharge, flatTrueRate, isFault, type Loan, type PaymentRow, repay } from "../loan";
import { type Result, success } from "../result";
import type { Deal } from "./deal";
import { type Answer, answer } from "./find";
import type { Quote, Saved, Summary } from "./quote";
import { structureLines } from "./structure";

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
  const schedule: PaymentRow[] = [];
  const found = answer(deal, schedule);
  return found.ok ? success({ ...summaryOf(deal, found.value), schedule }) : found;
}

/** The same as {@link evaluate} without the repayment table, for many deals. */
export function summarize(deal: Deal): Result<Summary> {
  const found = answer(deal);
  return found.ok ? success(summaryOf(deal, found.value)) : found;
}

/**
 * Fills in the figure that a deal asks for.
 *
 * @returns the deal with everything given, its payment too, or a failure with the reason and the nearest
 *   figure that works
 * @example
 * // 10,000.00 at 0 % over 10 payments
 * find(deal) // { ok: true, value: { …deal, plan: { …deal.plan, payment: 100000 } } }
 */
export function find(deal: Deal): Result<Deal> {
  const found = answer(deal);
  if (!found.ok) return found;
  const { filled, priced } = found.value;
  return success({ ...filled, find: deal.find, plan: { ...filled.plan, payment: priced.loan.payment } });
}

function summaryOf(deal: Deal, found: Answer): Summary {
  const { filled, terms, priced, note } = found;
  const { price, down, allowance, amountFinanced, loan, repayment, financeCharge, totalCost } = priced;
  const saved = savedByExtra(found);
  return {
    deal,
    terms,
    loan,
    lines: structureLines(price, filled.structure.tradeIn, down),
    price,
    down,
    allowance,
    amountFinanced,
    yearlyRate: filled.plan.yearlyRate ?? "0",
    ...(terms.draft.flat && { trueYearlyRate: trueRateOf(loan) }),
    payment: loan.payment,
    payments: repayment.payments,
    paymentsMade: repayment.paid,
    finalPayment: repayment.finalPayment,
    balloon: repayment.balloonPaid,
    totalOfPayments: repayment.totalOfPayments,
    financeCharge,
    totalCost,
    firstDate: terms.draft.calendar.dateOf(1),
    finalDate: repayment.finalDate,
    ...(saved && { saved }),
    ...(note && { note }),
  };
}

/** What the extras of an answer save against the same loan without them. */
function savedByExtra({ priced: { loan, repayment } }: Answer): Saved | undefined {
  if (loan.extraEach === 0 && loan.extras.length === 0) return undefined;
  const without = repay({ ...loan, extraEach: 0, extras: [] });
  if (isFault(without)) return undefined;
  return {
    interest: without.totalInterest - repayment.totalInterest,
    payments: without.payments - repayment.payments,
    finalDateWithout: without.finalDate,
  };
}

/** The nominal percent a year at which a flat-rate loan's payments are worth its amount. */
function trueRateOf({ amount, draft: { calendar, payments } }: Loan): number {
  const { value } = flatTrueRate(amount, flatCharge(amount, calendar), payments);
  return 100 * value * periodsPerYear(calendar.frequency);
}
