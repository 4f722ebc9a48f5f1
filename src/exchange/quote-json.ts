import { formatAmount, isoDate, type Quote } from "@/core";

/** A quote as plain JSON for programs: money as decimal strings, dates as ISO 8601. */
export type QuoteJson = {
  amountFinanced: string;
  payment: string;
  payments: number;
  finalPayment: string;
  totalOfPayments: string;
  financeCharge: string;
  totalCost: string;
  price: string;
  down: string;
  note?: string;
  schedule?: {
    number: number;
    date: string | null;
    payment: string;
    interest: string;
    principal: string;
    balance: string;
  }[];
};

/**
 * Writes a quote for programs.
 *
 * @param quote an answered deal
 * @param withSchedule whether to list every payment
 */
export function quoteJson(quote: Quote, withSchedule: boolean): QuoteJson {
  const money = (minor: number) => formatAmount(minor, quote.terms.decimals);
  return {
    amountFinanced: money(quote.amountFinanced),
    payment: money(quote.payment),
    payments: quote.payments,
    finalPayment: money(quote.finalPayment),
    totalOfPayments: money(quote.totalOfPayments),
    financeCharge: money(quote.financeCharge),
    totalCost: money(quote.totalCost),
    price: money(quote.price),
    down: money(quote.down),
    ...(quote.note && { note: quote.note }),
    ...(withSchedule && {
      schedule: quote.schedule.map(row => ({
        number: row.number,
        date: row.date === null ? null : isoDate(row.date),
        payment: money(row.payment),
        interest: money(row.interest),
        principal: money(row.principal),
        balance: money(row.balance),
      })),
    }),
  };
}
