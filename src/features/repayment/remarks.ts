import type { LoanQuote, PaymentRow } from "@/core";

const KINDS: Record<PaymentRow["kind"], string> = {
  payment: "",
  interestOnly: "just interest",
  noPayment: "no payment",
  extra: "extra",
  balloon: "balloon",
};

/** What of a loan says what is special about its lines. */
type Remarked = Pick<
  LoanQuote,
  "payments" | "finalPayment" | "payment" | "isListed" | "filled" | "oddFirstPeriod"
>;

/** What is special about a line: the last payment, or one of another kind. */
export function remarkOn(quote: Remarked, row: PaymentRow): string {
  const { payments, finalPayment, payment, isListed, filled, oddFirstPeriod } = quote;
  const isLast = row.number === payments && (row.kind === "payment" || row.kind === "interestOnly");
  if (isLast) return finalPayment === payment || isListed ? "last" : "last, adjusted";
  if (KINDS[row.kind] !== "" || row.kind !== "payment") return KINDS[row.kind];
  if (filled.plan.steps?.some(({ from }) => from === row.number)) return "step";
  return row.number === 1 && oddFirstPeriod ? "odd first period" : "";
}

/** "104 payments, 1 extra, balloon". */
export function paymentCount(rows: readonly PaymentRow[]): string {
  const counts = { payment: 0, interestOnly: 0, noPayment: 0, extra: 0, balloon: 0 };
  for (const { payment, kind } of rows) if (payment > 0) counts[kind] += 1;
  const payments = counts.payment + counts.interestOnly;
  const parts = [
    `${payments} ${payments === 1 ? "payment" : "payments"}`,
    ...(counts.extra > 0 ? [`${counts.extra} ${counts.extra === 1 ? "extra" : "extras"}`] : []),
    ...(counts.balloon > 0 ? ["balloon"] : []),
  ];
  return parts.join(", ");
}
