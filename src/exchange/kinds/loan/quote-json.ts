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
import { LOAN_FIGURES } from "@/core/kinds/loan/figures";
import { figuresJson } from "../kind/figures-json";

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

/**
 * A quote as plain JSON for programs, with every payment where it has them: what stands between price and loan amount, every
 * figure of the answer by its name, and what the file asked. What it does not have is undefined.
 */
export function quoteJson(quote: LoanSummary | LoanQuote) {
  const { decimals, saved, reckoned, dueAtSigning } = quote;
  const money = (minor: number) => formatAmount(minor, decimals);
  const before = {
    /** From the price to the loan amount, in order; a line that comes to nothing is left out. */
    lines: linesJson(quote, money),
    taxes: reckoned.taxes.map(({ name, base, amount }) => ({
      name,
      base: money(base),
      amount: money(amount),
    })),
    taxTotal: money(reckoned.taxTotal),
  };
  const after = (figures: { dueAtSigning?: unknown }) => ({
    dueAtSigning: {
      items: dueAtSigning.items.map(({ figure, name, amount }) => ({ figure, name, amount: money(amount) })),
      total: figures.dueAtSigning,
    },
    /** What extra payments save. */
    saved: saved && {
      interest: money(saved.interest),
      ...(saved.earlyFee !== undefined && { earlyFee: money(saved.earlyFee) }),
      payments: saved.payments,
      finalDateWithout: dateText(saved.finalDateWithout),
    },
    note: quote.note,
    schedule: "schedule" in quote ? scheduleJson(quote) : undefined,
  });
  return figuresJson(LOAN_FIGURES, { quote, rates: costOfCredit(quote) }, { before, after });
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
