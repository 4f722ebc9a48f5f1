import {
  type DayNumber,
  endLeaseEarly,
  excessDistance,
  formatAmount,
  isoDate,
  LEASE_RATE_NOTICE,
  type LeaseQuote,
  type LeaseRow,
  leaseEffectiveRate,
  leaseWorking,
  type Result,
  success,
} from "@/core";
import { fileReader } from "../../reading";
import { factorText, rateText } from "../../text";
import type { LeaseQuestion } from ".";

/** Writes a lease's quote for programs: money and rates as decimal strings, dates as ISO 8601. */
export function leaseJson(quote: LeaseQuote) {
  const money = (minor: number) => formatAmount(minor, quote.decimals);
  const { deal, filled, dueAtSigning } = quote;
  const { residual } = filled.plan;
  const effective = leaseEffectiveRate(quote);
  return {
    lines: quote.lines
      .filter(({ amount, figure }) => amount > 0 || figure === "price")
      .map(line => ({ ...line, amount: money(line.amount), running: money(line.running) })),
    taxes: quote.taxes.map(({ name, base, amount, isFinanced }) => ({
      name,
      base: money(base),
      amount: money(amount),
      financed: isFinanced,
    })),
    grossCapitalizedCost: money(quote.gross),
    capitalizedCostReduction: money(quote.reduction),
    adjustedCapitalizedCost: money(quote.cost),
    loanAmount: money(quote.cost),
    amountFinanced: money(quote.cost),
    residual: money(quote.residual),
    residualPercent:
      deal.find === "residualPercent" && residual && "percent" in residual ? residual.percent : undefined,
    basePayment: money(quote.basePayment),
    paymentParts: { depreciation: money(quote.parts.depreciation), rent: money(quote.parts.rent) },
    paymentTax: money(quote.tax),
    payment: money(quote.payment),
    payments: quote.payments,
    depreciation: money(quote.depreciation),
    rentCharge: money(quote.rentCharge),
    financeCharge: money(quote.rentCharge),
    moneyFactor: factorText(quote.moneyFactor),
    yearlyRate: rateText(quote.yearlyRate),
    implicitYearlyRate: rateText(quote.implicitYearlyRate),
    effectiveRate: effective.ok ? rateText(effective.value) : null,
    rateNotice: LEASE_RATE_NOTICE,
    apr: null,
    dueAtSigning: {
      items: dueAtSigning.items.map(item => ({ ...item, amount: money(item.amount) })),
      total: money(dueAtSigning.total),
      beside: { tradeIn: money(Math.max(quote.equity, 0)), rebates: money(quote.rebates) },
    },
    securityDeposit: money(quote.securityDeposit),
    totalOfPayments: money(quote.totalOfPayments),
    totalIfReturned: money(quote.totalIfReturned),
    totalIfBought: money(quote.totalIfBought),
    totalCost: money(quote.totalIfReturned),
    price: money(quote.price),
    down: money(quote.down),
    allowance: deal.find === "allowance" ? money(quote.allowance) : undefined,
    firstDate: dateText(quote.firstDate),
    finalDate: dateText(quote.finalDate),
    note: quote.note,
    schedule: quote.schedule.map(row => rowJson(row, money)),
  };
}

function rowJson(row: LeaseRow, money: (minor: number) => string): object {
  const { number, date, kind, payment, rent, depreciation, tax, balance } = row;
  return {
    number,
    date: dateText(date),
    ...(kind !== "payment" && { kind }),
    payment: money(payment),
    rent: money(rent),
    depreciation: money(depreciation),
    tax: money(tax),
    balance: money(balance),
  };
}

/** Answers a question about an answered lease. */
export function answerLeaseQuestion(question: LeaseQuestion, quote: LeaseQuote): Result<object> {
  const money = (minor: number) => formatAmount(minor, quote.decimals);
  if (question.ask === "excessDistance") {
    const excess = excessDistance(quote);
    return excess.ok ? success({ excessDistance: money(excess.value) }) : excess;
  }
  if (question.ask === "working") return success({ working: leaseWorking(quote, question.figure) });
  const read = fileReader(quote.deal.currency);
  const value = read.amount("payoff", "value", question.value) ?? 0;
  const wrong = read.failure();
  if (wrong) return { ok: false, failure: wrong };
  const end = endLeaseEarly(quote, Number(question.after), value);
  if (!end.ok) return end;
  const { after, balance, paymentsLeft, costToBuy, costToReturn } = end.value;
  return success({
    after,
    balance: money(balance),
    paymentsLeft,
    costToBuy: money(costToBuy),
    costToReturn: money(costToReturn),
  });
}

function dateText(date: DayNumber | null): string | null {
  return date === null ? null : isoDate(date);
}
