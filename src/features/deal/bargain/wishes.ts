import type { WantedFigure } from "@/core/moves";
import type { OptionState } from "../option";

/** The figures that can be wanted of a loan, as the screen names them. */
const WISHES_OF_LOAN: readonly (readonly [WantedFigure, string])[] = [
  ["payment", "payment"],
  ["totalCost", "total cost"],
  ["financeCharge", "finance charge"],
  ["dueAtSigning", "sum due at signing"],
  ["endDate", "end date"],
];

/** The same of a lease. */
const WISHES_OF_LEASE: readonly (readonly [WantedFigure, string])[] = [
  ["payment", "payment with tax"],
  ["basePayment", "payment before tax"],
  ["dueAtSigning", "sum due at signing"],
  ["totalIfReturned", "total if handed back"],
  ["totalIfBought", "total if bought"],
  ["endDate", "end date"],
];

/** What can be wanted of an option. */
export const wishesOf = ({ kind }: OptionState) => (kind === "lease" ? WISHES_OF_LEASE : WISHES_OF_LOAN);
