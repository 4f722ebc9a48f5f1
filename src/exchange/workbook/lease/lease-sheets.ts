import type { LeaseQuote } from "@/core";
import type { SentenceWriter } from "../../kinds/kind/segment";
import { leaseLine } from "../../kinds/lease/words/line";
import { CAN_CHANGE, sheetRows } from "../../workbook-parts/sheet-rows";
import type { Sheet, SheetNames } from "../../workbook-parts/workbook";
import { costRows } from "./cost-rows";
import { leaseColumn, leaseTableSheet } from "./lease-table";
import { isPaidAtOnce, leasePlanRows, leaseRoom } from "./payment-steps";

/**
 * The sheets of a lease: what was typed and what it comes to, and the lessor's table, by formulas. No rate of any kind is shown.
 *
 * @param quote an answered lease that formulas make
 * @param about whose it is, in lines that stand on top
 */
export function leaseSheets(
  quote: LeaseQuote,
  { deal, table, suffix }: SheetNames,
  about: readonly string[],
  write: SentenceWriter,
): Sheet[] {
  const scale = 10 ** quote.decimals;
  const { plan } = quote.filled;
  const rows = sheetRows(deal, suffix);
  rows.head(about, `As it was made: ${leaseLine(quote, write)}`, CAN_CHANGE);
  rows.skip();
  rows.text("From the price to the adjusted capitalized cost", "heading");
  const cost = costRows(quote, rows, scale);
  rows.skip();
  rows.text("Plan", "heading");
  const lease = leasePlanRows(quote, rows, cost, scale);
  rows.hidden(
    "Implicit_rate",
    `IRR(${leaseColumn(table, "flow", leaseRoom(quote))},${rows.named("Period_rate")}+0.0001)`,
  );
  rows.skip();
  rows.text("Answer", "heading");
  const there = (formula: string) => `IF(ISNUMBER(${lease.base}),${formula},"")`;
  const money = (label: string, name: string, formula: string, minor: number) =>
    rows.amount({ label, name }, there(formula), scale, minor);
  const payment = `(${lease.base}+${lease.tax})`;
  const { first, last, each } = cost.withPayments;
  const isAtOnce = isPaidAtOnce(quote);
  const charged =
    lease.atSigning > 0 ? `+${first}+${lease.atSigning}*(${each})${isAtOnce ? `+${last}` : ""}` : "";
  const due = `${cost.cash}+${lease.atSigning}*${payment}${charged}+${lease.security}+${cost.atSigning}`;
  const later = `${lease.later}*(${payment}+${each})${lease.atSigning > 0 ? "" : `+${first}`}${isAtOnce ? "" : `+${last}`}`;
  const spent = `${due}-${lease.security}+${cost.deposit}+${later}`;
  money("Payment before tax", "Base_payment_minor", lease.base, quote.basePayment);
  money("Payment", "Payment_minor", payment, quote.payment);
  rows.figure(
    { label: "Payments", name: "Payments_made", format: "count" },
    there(lease.rows),
    isAtOnce ? 1 : quote.payments,
  );
  money("Security deposit, given back", "Security_minor", lease.security, quote.securityDeposit);
  money("Due at signing", "Due_at_signing_minor", due, quote.dueAtSigning.total);
  money("Depreciation", "Depreciation_minor", `${cost.cost}-${lease.residual}`, quote.depreciation);
  money(
    "Rent charge",
    "Rent_charge_minor",
    `${lease.rows}*${lease.base}-(${cost.cost}-${lease.residual})`,
    quote.rentCharge,
  );
  money(
    "Total of payments",
    "Total_of_payments_minor",
    `${spent}+MAX(${cost.equity},0)+${cost.rebates}+${plan.dispositionFee}`,
    quote.totalOfPayments,
  );
  money(
    "All that is paid if it is handed back",
    "Total_if_returned_minor",
    `${spent}+${cost.equity}+${plan.dispositionFee}`,
    quote.totalIfReturned,
  );
  money(
    "To buy it at the end, before tax",
    "To_buy_minor",
    `${lease.residual}+${plan.purchaseFee}`,
    quote.residual + plan.purchaseFee,
  );
  return [rows.sheet(), leaseTableSheet({ quote, name: table, lease, cost: cost.cost, scale })];
}
