import {
  chargeColumn,
  costOfCredit,
  type DayNumber,
  formatAmount,
  isoDate,
  type LoanQuote,
  type LoanSummary,
  type PaymentRow,
} from "@/core";
import { rateText } from "../../text";

/** A quote as plain JSON for programs: money and rates as decimal strings, dates as ISO 8601. */
type QuoteJson = {
  /** From the price to the loan amount, in order; a line that comes to nothing is left out. */
  lines: LineJson[];
  taxes: { name: string; base: string; amount: string }[];
  taxTotal: string;
  /** What the note says. */
  loanAmount: string;
  /** The loan amount less what of the finance charge is paid at the start. */
  amountFinanced: string;
  dueAtSigning: { items: { figure: string; name: string; amount: string }[]; total: string };
  /** Of a personal loan. */
  cashReceived?: string | undefined;
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
  /** The percent of the price, where that was found. */
  downPercent?: string | undefined;
  /** With every payment, where that was found. */
  extra?: string | undefined;
  /** Once on a date, where that was found. */
  lump?: string | undefined;
  /** How many payment dates something is paid on, where it is not all of them. */
  paymentsMade?: number | undefined;
  balloon?: string | undefined;
  /** What extras leave of a balloon that was found, where it is not all of it. */
  balloonPaid?: string | undefined;
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

type LineJson = { figure: string; name: string; sign: 1 | -1; amount: string; running: string };

type RowJson = {
  number: number;
  date: string | null;
  /** Left out on a plain payment. */
  kind?: PaymentRow["kind"];
  payment: string;
  interest: string;
  principal: string;
  balance: string;
  /** Fees and extras that fall with the payment, where the deal has such. */
  charges?: string;
};

/** Writes a quote for programs, with every payment where it has them. What it does not have is undefined. */
export function quoteJson(quote: LoanSummary | LoanQuote): QuoteJson {
  const { decimals, saved, trueYearlyRate } = quote;
  const money = (minor: number) => formatAmount(minor, decimals);
  const cost = costOfCredit(quote);
  const { find } = quote.deal;
  // What was found stands under its own name, whatever extras make of it.
  const payments = find === "payments" ? (quote.filled.plan.payments ?? quote.payments) : quote.payments;
  const balloon = find === "balloon" ? quote.agreedBalloon : quote.balloon;
  const { reckoned, dueAtSigning } = quote;
  return {
    lines: linesJson(quote, money),
    taxes: reckoned.taxes.map(({ name, base, amount }) => ({
      name,
      base: money(base),
      amount: money(amount),
    })),
    taxTotal: money(reckoned.taxTotal),
    loanAmount: money(quote.loanAmount),
    amountFinanced: money(quote.amountFinanced),
    dueAtSigning: {
      items: dueAtSigning.items.map(({ figure, name, amount }) => ({ figure, name, amount: money(amount) })),
      total: money(dueAtSigning.total),
    },
    cashReceived: quote.cashReceived === undefined ? undefined : money(quote.cashReceived),
    payment: money(quote.payment),
    payments,
    finalPayment: money(quote.finalPayment),
    totalOfPayments: money(quote.totalOfPayments),
    financeCharge: money(quote.financeCharge),
    totalCost: money(quote.totalCost),
    price: money(quote.price),
    allowance: money(quote.allowance),
    down: money(quote.down),
    yearlyRate: quote.yearlyRate,
    downPercent: foundPercentDown(quote),
    extra: find === "extra" ? money(quote.extraEach) : undefined,
    lump: find === "lump" ? money(foundLump(quote)) : undefined,
    paymentsMade: quote.paymentsMade === payments ? undefined : quote.paymentsMade,
    balloon: find === "balloon" || balloon > 0 ? money(balloon) : undefined,
    balloonPaid: balloon === quote.balloon ? undefined : money(quote.balloon),
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
    schedule: "schedule" in quote ? scheduleJson(quote) : undefined,
  };
}

function linesJson({ lines }: LoanSummary, money: (minor: number) => string): LineJson[] {
  const json: LineJson[] = [];
  for (const { figure, name, sign, amount, running } of lines)
    if (amount > 0 || figure === "price")
      json.push({ figure, name, sign, amount: money(amount), running: money(running) });
  return json;
}

function scheduleJson({ schedule, charges, decimals }: LoanQuote): RowJson[] {
  if (charges === undefined) return schedule.map(row => rowJson(row, decimals));
  const column = chargeColumn(schedule, charges.all);
  return schedule.map((row, index) => ({
    ...rowJson(row, decimals),
    charges: formatAmount(column[index] ?? 0, decimals),
  }));
}

function foundPercentDown({ deal, filled }: LoanSummary): string | undefined {
  const { down } = filled.structure;
  return deal.find === "downPercent" && down && "percent" in down ? down.percent : undefined;
}

/** The extra on a date that was left open, in minor units. */
function foundLump({ deal, filled }: LoanSummary): number {
  const open = deal.plan.extra?.once?.findIndex(({ amount }) => amount === null) ?? -1;
  return filled.plan.extra?.once?.[open]?.amount ?? 0;
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
