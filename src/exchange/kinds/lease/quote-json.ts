import {
  type DayNumber,
  endLeaseEarly,
  excessDistance,
  formatAmount,
  isoDate,
  type LeaseQuote,
  type LeaseRow,
  leaseWorking,
  type Result,
  success,
} from "@/core";
import { LEASE_FIGURES } from "@/core/kinds/lease/figures";
import { fileReader } from "../../reading";
import { figuresJson } from "../kind/figures-json";
import type { LeaseQuestion } from ".";

/** A lease's quote as plain JSON for programs: its lines and taxes, every figure of the answer by its name, and its table. */
export function leaseJson(quote: LeaseQuote) {
  const money = (minor: number) => formatAmount(minor, quote.decimals);
  const { dueAtSigning } = quote;
  const before = {
    lines: quote.lines
      .filter(({ amount, figure }) => amount > 0 || figure === "price")
      .map(line => ({ ...line, amount: money(line.amount), running: money(line.running) })),
    taxes: quote.taxes.map(({ name, base, amount, isFinanced }) => ({
      name,
      base: money(base),
      amount: money(amount),
      financed: isFinanced,
    })),
  };
  const after = (figures: { dueAtSigning?: unknown }) => ({
    dueAtSigning: {
      items: dueAtSigning.items.map(item => ({ ...item, amount: money(item.amount) })),
      total: figures.dueAtSigning,
      beside: { tradeIn: money(Math.max(quote.equity, 0)), rebates: money(quote.rebates) },
    },
    note: quote.note,
    schedule: quote.schedule.map(row => rowJson(row, money)),
  });
  return figuresJson(LEASE_FIGURES, { quote, rates: undefined }, { before, after });
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
