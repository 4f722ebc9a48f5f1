import type { LeaseRow, PaymentRow } from "@/core";
import type { ChartLine } from "./repayment-chart";

/** What a chart shows of a loan's table. */
export const loanChart = (rows: readonly PaymentRow[]): ChartLine[] =>
  rows.map(({ number, date, balance, interest, principal, kind }) => ({
    period: number,
    date,
    balance,
    cost: interest,
    principal,
    isPayment: kind !== "extra" && kind !== "balloon",
  }));

/** What a chart shows of a lease's table. */
export const leaseChart = (rows: readonly LeaseRow[]): ChartLine[] =>
  rows.map(({ period, date, balance, rent, depreciation, kind }) => ({
    period,
    date,
    balance,
    cost: rent,
    principal: depreciation,
    isPayment: kind === "payment",
  }));
