import {
  affordability,
  failure,
  formatAmount,
  isoDate,
  type LoanQuote,
  type Payoff,
  paymentPerThousand,
  payoffAfter,
  payoffOn,
  type Result,
  success,
  type Totals,
  totalsBetweenDates,
  totalsBetweenPayments,
  totalsByYear,
  working,
} from "@/core";
import type { Beside } from "../../extra-payments/beside";
import type { DealQuestion } from "../../questions/questions.schema";
import { fileReader } from "../../reading";
import { fineAmount } from "../../text";
import { repaidEarlyJson } from "./early-json";
import { askKeepOrPay, askPaidOffBy, keepOrPayJson } from "./early-questions";

type Asked<Word extends DealQuestion["ask"]> = Extract<DealQuestion, { ask: Word }>;

/** Answers a question about an answered deal, as plain JSON: amounts as decimal strings, dates as ISO 8601. */
export function answerDealQuestion(question: DealQuestion, quote: LoanQuote, beside: Beside): Result<object> {
  const money = (minor: number) => formatAmount(minor, quote.decimals);
  switch (question.ask) {
    case "payoff":
      return mapped(askPayoff(question, quote, beside), payoff => payoffJson(payoff, quote));
    case "paidOffBy":
      return mapped(askPaidOffBy(question, quote, beside), ({ amount, repaid }) => ({
        amount: money(amount),
        ...repaidEarlyJson(repaid, quote),
      }));
    case "keepOrPay":
      return mapped(askKeepOrPay(question, quote, beside), told => keepOrPayJson(told, money));
    case "totals":
      return mapped(askTotals(question, quote), totals => totalsJson(totals, money));
    case "totalsByYear":
      return mapped(totalsByYear(quote), years => ({
        years: years.map(({ year, ...totals }) => ({ year, ...totalsJson(totals, money) })),
      }));
    case "affordability":
      return askAffordability(question, quote, money);
    case "perThousand":
      return success(askPerThousand(question, quote, money));
    case "working":
      return success({ working: working(quote, question.figure) });
  }
}

function mapped<Value>(result: Result<Value>, map: (value: Value) => object): Result<object> {
  return result.ok ? success(map(result.value)) : result;
}

function askPayoff(
  { after, on, goodThrough: typed }: Asked<"payoff">,
  quote: LoanQuote,
  { place }: Beside,
): Result<Payoff> {
  if ((after === undefined) === (on === undefined)) {
    return failure("payoff", "A payoff is after a payment or on a date; give one of after and on.");
  }
  const read = fileReader(quote.deal.currency);
  const date = read.date("payoff", "payoff date", on);
  const goodThrough = read.date("payoff", "date up to which the sum is good", typed) ?? undefined;
  const wrong = read.failure();
  if (wrong) return { ok: false, failure: wrong };
  const terms = { goodThrough, place };
  return after === undefined ? payoffOn(quote, date ?? 0, terms) : payoffAfter(quote, Number(after), terms);
}

function payoffJson(payoff: Payoff, { decimals }: LoanQuote): object {
  const money = (minor: number) => formatAmount(minor, decimals);
  const { afterPayment, date, balance, interest, perDay, refunds, goodThrough, settleThrough } = payoff;
  return {
    afterPayment,
    date: date === null ? null : isoDate(date),
    balance: money(balance),
    interest: money(interest),
    payoff: money(payoff.payoff),
    perDay: perDay === null ? null : fineAmount(perDay, decimals),
    earlyFee: money(payoff.earlyFee),
    settle: money(payoff.settle),
    goodThrough: goodThrough === null ? null : isoDate(goodThrough),
    settleThrough: settleThrough === null ? null : money(settleThrough),
    ...(refunds && {
      refunds: refunds.map(each => ({
        method: each.method,
        refund: money(each.refund),
        payoff: money(each.payoff),
      })),
    }),
    ...(payoff.note !== undefined && { note: payoff.note }),
  };
}

function askTotals({ payments, dates }: Asked<"totals">, quote: LoanQuote): Result<Totals> {
  if ((payments === undefined) === (dates === undefined)) {
    return failure("totals", "Totals are between two payments or two dates; give one of payments and dates.");
  }
  if (payments) return totalsBetweenPayments(quote, Number(payments.from), Number(payments.to));
  const read = fileReader(quote.deal.currency);
  const from = read.date("totals", "first date", dates?.from) ?? 0;
  const to = read.date("totals", "last date", dates?.to) ?? 0;
  const wrong = read.failure();
  return wrong ? { ok: false, failure: wrong } : totalsBetweenDates(quote, from, to);
}

function totalsJson(totals: Totals, money: (minor: number) => string): object {
  const { count, payment, interest, principal, balance } = totals;
  return {
    count,
    payment: money(payment),
    interest: money(interest),
    principal: money(principal),
    balance: money(balance),
  };
}

function askAffordability(
  { budget, terms }: Asked<"affordability">,
  quote: LoanQuote,
  money: (minor: number) => string,
): Result<object> {
  const read = fileReader(quote.deal.currency);
  const amount = read.amount("budget", "budget", budget) ?? 0;
  const wrong = read.failure();
  if (wrong) return { ok: false, failure: wrong };
  return mapped(affordability(quote.deal, amount, terms.map(Number)), rows => ({
    terms: rows.map(row =>
      "sentence" in row
        ? { payments: row.payments, error: row.sentence }
        : {
            payments: row.payments,
            loanAmount: money(row.loanAmount),
            amountFinanced: money(row.amountFinanced),
            price: money(row.price),
            payment: money(row.payment),
          },
    ),
  }));
}

function askPerThousand(
  { rates, terms }: Asked<"perThousand">,
  quote: LoanQuote,
  money: (minor: number) => string,
): object {
  const rows = paymentPerThousand(quote.filled, rates.map(String), terms.map(Number));
  return {
    rows: rows.map(({ yearlyRate, payments, ...row }) =>
      "sentence" in row
        ? { yearlyRate, payments, error: row.sentence }
        : {
            yearlyRate,
            payments,
            payment: money(row.payment),
            unrounded: fineAmount(row.unrounded, quote.decimals),
          },
    ),
  };
}
