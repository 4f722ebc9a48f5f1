import type { LeaseQuote } from "@/core";

/**
 * Why a lease goes into a workbook as values; nothing where formulas make it.
 *
 * @example whyLeaseKept(vanLease) // []
 */
export function whyLeaseKept({ filled }: LeaseQuote): string[] {
  const { structure, plan } = filled;
  const { fees = [], extras = [], down } = structure;
  const charges = [...fees, ...extras];
  const reasons: [boolean, string][] = [
    [
      charges.some(({ amount }) => "percent" in amount && amount.of !== "price"),
      "fees that are reckoned from the cost",
    ],
    [down !== null && "dueAtSigning" in down, "cash from a sum due at signing"],
    [plan.taxes.some(({ on }) => on.includes("sumOfPayments")), "taxes on the sum of payments"],
  ];
  return reasons.flatMap(([is, reason]) => (is ? [reason] : []));
}
