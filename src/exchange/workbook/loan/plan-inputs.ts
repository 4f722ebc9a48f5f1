import type { LoanQuote } from "@/core";
import { scaleOf } from "../../workbook-parts/rounding";
import type { SheetRows } from "../../workbook-parts/sheet-rows";
import { serialOf } from "../../workbook-parts/workbook";

/** Where what was typed of a plan stands; amounts in minor units. */
export type PlanInputs = {
  rate: string;
  /** By what the rate is multiplied so that it is a whole number. */
  by: string;
  count: string;
  /** Empty without dates. */
  signed: string;
  first: string;
  interestOnly: string;
  balloon: string;
  extraEach: string;
  rule: string;
  step: string;
};

/** Writes what was typed of the plan. */
export function planInputs(quote: LoanQuote, rows: SheetRows, scale: number): PlanInputs {
  const { plan } = quote.filled;
  const optional = (is: boolean, write: () => string) => (is ? write() : "0");
  const day = (label: string, name: string, value: number | null) =>
    value === null ? "" : rows.input({ label, name, format: "date" }, serialOf(value));
  const rate = rows.input(
    { label: "Yearly rate, percent", format: "rate", name: "Yearly_rate" },
    Number(quote.yearlyRate),
  );
  const by = rows.beside(scaleOf(rate));
  const count = rows.input(
    { label: "Number of payments", format: "count", name: "Payments" },
    quote.plannedPayments,
  );
  const signed = day("Contract date", "Contract_date", quote.startDate);
  return {
    rate,
    by,
    count,
    signed,
    first: plan.timing === "advance" ? signed : day("First payment", "First_payment", quote.firstDate),
    interestOnly: optional((plan.interestOnly ?? 0) > 0, () =>
      rows.input(
        { label: "First payments that are just the interest", format: "count", name: "Interest_only" },
        plan.interestOnly ?? 0,
      ),
    ),
    balloon: optional(quote.agreedBalloon > 0, () =>
      rows.input({ label: "Balloon", name: "Balloon" }, quote.agreedBalloon / scale, scale),
    ),
    extraEach: optional(quote.extraEach > 0, () =>
      rows.input({ label: "Extra with each payment", name: "Extra_payment" }, quote.extraEach / scale, scale),
    ),
    rule: rows.input(
      { label: "Payment rounded", format: "text", name: "Rounding", remark: "nearest, up or down" },
      plan.rounding,
    ),
    step: rows.input(
      { label: "to a step of", name: "Rounding_step" },
      (plan.roundingStep ?? 1) / scale,
      scale,
    ),
  };
}
