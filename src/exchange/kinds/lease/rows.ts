import { chargeColumn, type LeaseQuote, type LeaseRow } from "@/core";
import { type TableRows, withCharges } from "../kind/table-rows";

const KINDS: Record<LeaseRow["kind"], string> = {
  atSigning: "at signing",
  payment: "payment",
  closing: "residual due",
};

/** A lease's table, as it is filed. */
export function leaseRows(quote: LeaseQuote): TableRows {
  const { schedule, startDate, cost, residual } = quote;
  const sum = (part: "payment" | "rent" | "depreciation" | "tax") =>
    schedule.reduce((total, row) => total + row[part], 0);
  const rows = [
    { number: 0, date: startDate, amounts: [0, 0, 0, 0, cost], kind: "start" },
    ...schedule.map(({ number, date, payment, rent, depreciation, tax, balance, kind }) => ({
      number,
      date,
      amounts: [payment, rent, depreciation, tax, balance],
      kind: KINDS[kind],
    })),
    {
      number: "Total",
      date: null,
      amounts: [sum("payment"), sum("rent"), sum("depreciation"), sum("tax"), residual],
      kind: "",
    },
  ];
  return {
    headings: ["Payment", "Rent", "Depreciation", "Tax", "Balance"],
    rows: withCharges(rows, leaseCharges(quote)),
  };
}

/** What falls with each line of a lease's table, in minor units; undefined where nothing does. */
export function leaseCharges({ schedule, withPayments }: LeaseQuote): number[] | undefined {
  const { first, last, each } = withPayments;
  return first + last + each > 0 ? chargeColumn(schedule, withPayments) : undefined;
}
