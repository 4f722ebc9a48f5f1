import { chargeColumn, type LoanQuote, type PaymentRow } from "@/core";
import { type TableRows, withCharges } from "../kind/table-rows";

const KINDS: Record<PaymentRow["kind"], string> = {
  payment: "payment",
  interestOnly: "interest only",
  noPayment: "no payment",
  extra: "extra",
  balloon: "balloon",
};

/** A loan's repayment table, as it is filed. */
export function loanRows({ schedule, charges, startDate, loanAmount, totalInterest }: LoanQuote): TableRows {
  const rows = [
    { number: 0, date: startDate, amounts: [0, 0, 0, loanAmount], kind: "start" },
    ...schedule.map(({ number, date, payment, interest, principal, balance, kind }) => ({
      number,
      date,
      amounts: [payment, interest, principal, balance],
      kind: KINDS[kind],
    })),
    {
      number: "Total",
      date: null,
      amounts: [loanAmount + totalInterest, totalInterest, loanAmount, 0],
      kind: "",
    },
  ];
  return {
    headings: ["Payment", "Interest", "Principal", "Balance"],
    rows: withCharges(rows, charges && chargeColumn(schedule, charges.all)),
  };
}
