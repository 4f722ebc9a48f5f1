import type { LoanQuote } from "@/core";
import type { SheetRows } from "../../workbook-parts/sheet-rows";
import { serialOf } from "../../workbook-parts/workbook";
import type { PlanCells } from "./plan-rows";
import type { StructureCells } from "./structure-rows";
import { columnOf, roomOf } from "./table-sheet";
import { yearlyRateRow } from "./yearly-rate-row";

type AnswerOf = {
  quote: LoanQuote;
  rows: SheetRows;
  structure: StructureCells;
  plan: PlanCells;
  table: string;
  scale: number;
};

/** Writes what the deal comes to: every figure of the answer, each from the table. */
export function answerRows({ quote, rows, structure, plan, table, scale }: AnswerOf): void {
  const room = roomOf(quote);
  const named = rows.named;
  const column = (name: Parameters<typeof columnOf>[1]) => columnOf(table, name, room);
  /** A figure that holds while there is a payment; of a plan whose payments are values, while nothing was changed. */
  const there = (formula: string) => `IF(ISNUMBER(${named("Solved")}),${formula},"")`;
  const money = (label: string, name: string, formula: string, minor: number, remark?: string) =>
    rows.amount(
      { label, name, ...(remark && { remark }) },
      there(plan.isKept ? String(minor) : formula),
      scale,
      minor,
      plan.isKept ? "kept" : "figure",
    );
  const isPrincipal = quote.kind === "equalPrincipal";
  const firstRegular = `INDEX(${column("interest")},${plan.interestOnly}+1)`;
  money(
    "Payment",
    "Payment_minor",
    isPrincipal ? `${plan.solved}+${firstRegular}` : plan.solved,
    quote.payment,
  );
  rows.figure(
    { label: "Payments made", name: "Payments_made", format: "count" },
    there(plan.isKept ? String(quote.payments) : `COUNTIF(${column("state")},1)`),
    quote.payments,
  );
  money(
    "Last payment",
    "Last_payment_minor",
    `INDEX(${column("payment")},${named("Payments_made")})`,
    quote.finalPayment,
  );
  money("Interest in all", "Interest_minor", `SUM(${column("interest")})`, quote.totalInterest);
  const inCharge = chargesOf(structure, "inCharge", column);
  money(
    "Finance charge",
    "Finance_charge_minor",
    `SUM(${column("interest")})+${structure.prepaid}+${inCharge}`,
    quote.financeCharge,
    "what the credit costs",
  );
  money(
    "Amount financed",
    "Amount_financed_minor",
    plan.financed,
    quote.amountFinanced,
    "the loan amount less prepaid finance charges",
  );
  money(
    "Total of payments",
    "Total_of_payments_minor",
    `SUM(${column("payment")})+${inCharge}`,
    quote.totalOfPayments,
  );
  money(
    "Total cost",
    "Total_cost_minor",
    `SUM(${column("payment")})+${chargesOf(structure, "all", column)}+${structure.ownCost}+${structure.atSigning}`,
    quote.totalCost,
    "everything that leaves the customer’s pocket",
  );
  const firstCharge = `${structure.withPayments.first.all}+${structure.withPayments.each.all}`;
  const atOnce = plan.isInAdvance
    ? `+INDEX(${column("payment")},1)+${firstCharge}${quote.payments === 1 ? `+${structure.withPayments.last.all}` : ""}`
    : "";
  money(
    "Due at signing",
    "Due_at_signing_minor",
    `${structure.down}+${structure.atSigning}${atOnce}`,
    quote.dueAtSigning.total,
  );
  if (structure.received !== undefined)
    money("Paid out to the customer", "Received_minor", structure.received, quote.cashReceived ?? 0);
  yearlyRateRow({ quote, rows, plan, table, there });
  if (quote.finalDate !== null)
    rows.figure(
      { label: "Last money on", name: "Last_date", format: "date" },
      there(plan.isKept ? String(serialOf(quote.finalDate)) : `MAX(${column("due")})`),
      serialOf(quote.finalDate),
    );
}

/** What falls with payments on which something is paid. */
function chargesOf(
  { withPayments: { first, last, each } }: StructureCells,
  part: "all" | "inCharge",
  column: (name: "payment" | "state") => string,
): string {
  return `IF(COUNTIF(${column("state")},1)>0,${first[part]}+${last[part]}+(${each[part]})*COUNTIFS(${column("state")},1,${column("payment")},">0"),0)`;
}
