import type { PaymentRow } from "../kinds/loan/plan";

/**
 * From which payment on more of each goes to principal than to interest, to the end.
 *
 * @param rows a repayment table
 * @returns the payment's number; "always" where that is so from the first one, "never" where it is not so of the last
 * @example principalLeads(campervan.schedule) // "always"
 */
export function principalLeads(rows: readonly PaymentRow[]): number | "always" | "never" {
  const paid = rows.filter(({ kind, payment }) => kind !== "extra" && kind !== "balloon" && payment > 0);
  const last = paid.findLastIndex(({ principal, interest }) => principal <= interest);
  if (last < 0) return "always";
  return paid[last + 1]?.number ?? "never";
}
