import {
  costOfCredit,
  type DayNumber,
  formatAmount,
  isoDate,
  type PaymentRow,
  type Quote,
  type Summary,
} from "@/core";
import { rateText } from "../text";

/** A quote as plain JSON for programs: money and rates as decimal strings, dates as ISO 8601. */
export type QuoteJson = {
  amountFinanced: string;
  payment: string;
  payments: number;
  finalPayment: string;
  totalOfPayments: string;
  financeCharge: string;
  totalCost: string;
  price: string;
  allowance: string;
  down: string;
  yearlyRate: string;
  /** How many payment dates something is paid on, where it is not all of them. */
  paymentsMade?: number | undefined;
  balloon?: string | undefined;
  firstDate: string | null;
  finalDate: string | null;
  /** Percent a year; null where the payments allow no rate. */
  apr: string | null;
  effectiveRate: string | null;
  /** Of a flat-rate loan. */
  trueYearlyRate?: string | undefined;
  /** What extra payments save. */
  saved?: { interest: string; payments: number; finalDateWithout: string | null } | undefined;
  note?: string | undefined;
  schedule?: RowJson[] | undefined;
  /** To the questions that the file asks, in their order. */
  answers?: object[];
};

type RowJson = {
  number: number;
  date: string | null;
  /** Left out on a plain payment. */
  kind?: PaymentRow["kind"];
  payment: string;
  interest: string;
  principal: string;
  balance: string;
};

/** Writes a quote for programs, with every payment where it has them. What it does not have is undefined. */
export function quoteJson(quote: Summary | Quote): QuoteJson {
  const { decimals, saved, trueYearlyRate } = quote;
  const money = (minor: number) => formatAmount(minor, decimals);
  const cost = costOfCredit(quote);
  return {
    amountFinanced: money(quote.amountFinanced),
    payment: money(quote.payment),
    payments: quote.payments,
    finalPayment: money(quote.finalPayment),
    totalOfPayments: money(quote.totalOfPayments),
    financeCharge: money(quote.financeCharge),
    totalCost: money(quote.totalCost),
    price: money(quote.price),
    allowance: money(quote.allowance),
    down: money(quote.down),
    yearlyRate: quote.yearlyRate,
    paymentsMade: quote.paymentsMade === quote.payments ? undefined : quote.paymentsMade,
    balloon: quote.balloon > 0 ? money(quote.balloon) : undefined,
    firstDate: dateText(quote.firstDate),
    finalDate: dateText(quote.finalDate),
    apr: cost.ok ? rateText(cost.value.apr) : null,
    effectiveRate: cost.ok ? rateText(cost.value.effectiveRate) : null,
    trueYearlyRate: trueYearlyRate === undefined ? undefined : rateText(trueYearlyRate),
    saved: saved && {
      interest: money(saved.interest),
      payments: saved.payments,
      finalDateWithout: dateText(saved.finalDateWithout),
    },
    note: quote.note,
    schedule: "schedule" in quote ? quote.schedule.map(row => rowJson(row, decimals)) : undefined,
  };
}

function rowJson(row: PaymentRow, decimals: number): RowJson {
  return {
    number: row.number,
    date: dateText(row.date),
    ...(row.kind !== "payment" && { kind: row.kind }),
    payment: formatAmount(row.payment, decimals),
    interest: formatAmount(row.interest, decimals),
    principal: formatAmount(row.principal, decimals),
    balance: formatAmount(row.balance, decimals),
  };
}

function dateText(date: DayNumber | null): string | null {
  return date === null ? null : isoDate(date);
}
