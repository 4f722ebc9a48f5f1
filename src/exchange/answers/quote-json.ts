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
  paymentsMade?: number;
  balloon?: string;
  firstDate: string | null;
  finalDate: string | null;
  /** Percent a year; null where the payments allow no rate. */
  apr: string | null;
  effectiveRate: string | null;
  /** Of a flat-rate loan. */
  trueYearlyRate?: string;
  /** What extra payments save. */
  saved?: { interest: string; payments: number; finalDateWithout: string | null };
  note?: string;
  schedule?: RowJson[];
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

/** Writes a quote for programs, with every payment where it has them. */
export function quoteJson(quote: Summary | Quote): QuoteJson {
  const { decimals } = quote;
  const money = (minor: number) => formatAmount(minor, decimals);
  const { saved } = quote;
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
    ...(quote.paymentsMade !== quote.payments && { paymentsMade: quote.paymentsMade }),
    ...(quote.balloon > 0 && { balloon: money(quote.balloon) }),
    firstDate: dateText(quote.firstDate),
    finalDate: dateText(quote.finalDate),
    ...creditJson(quote),
    ...(quote.trueYearlyRate !== undefined && { trueYearlyRate: rateText(quote.trueYearlyRate) }),
    ...(saved && {
      saved: {
        interest: money(saved.interest),
        payments: saved.payments,
        finalDateWithout: dateText(saved.finalDateWithout),
      },
    }),
    ...(quote.note && { note: quote.note }),
    ...("schedule" in quote && { schedule: quote.schedule.map(row => rowJson(row, decimals)) }),
  };
}

function creditJson(quote: Summary): Pick<QuoteJson, "apr" | "effectiveRate"> {
  const cost = costOfCredit(quote);
  if (!cost.ok) return { apr: null, effectiveRate: null };
  const { apr, effectiveRate } = cost.value;
  return { apr: rateText(apr), effectiveRate: rateText(effectiveRate) };
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
