// What each cost of a lease includes, in a few words; its working says all of it.
import { moneyWriter } from "../../working";
import type { Answered } from "../kind";
import type { LeaseQuote } from "./pricing";

type Lease = Answered<LeaseQuote>;

export function includedInPayment({ quote }: Lease): string {
  const { parts, tax } = quote;
  const money = moneyWriter(quote);
  const taxed = tax > 0 ? ` + ${money(tax)} tax` : "";
  return `${money(parts.depreciation)} value + ${money(parts.rent)} rent${taxed}`;
}

export const includedInRent = ({ quote: { implicitYearlyRate } }: Lease): string =>
  `implicit rate ${implicitYearlyRate.toFixed(2)} % a year *`;

export function includedInDepreciation({ quote }: Lease): string {
  const money = moneyWriter(quote);
  return `${money(quote.cost)} − ${money(quote.residual)}`;
}

/** What is due at signing beside fees and taxes; a security deposit comes back. */
const NOT_FEES = new Set(["down", "payment", "securityDeposit"]);

export function includedIfReturned({ quote }: Lease): string {
  const { equity, deposit, filled, dueAtSigning } = quote;
  const isAtSigning = dueAtSigning.items.some(({ figure }) => !NOT_FEES.has(figure));
  const { dispositionFee } = filled.plan;
  const parts = [
    "payments",
    ...(dueAtSigning.items.some(({ figure }) => figure === "down") ? ["cash"] : []),
    ...(isAtSigning ? ["fees at signing"] : []),
    ...(deposit > 0 ? ["deposit paid"] : []),
    ...(equity === 0 ? [] : ["trade-in less owed"]),
    ...(dispositionFee > 0 ? ["fee at the end"] : []),
  ];
  return parts.join(" + ");
}
