import { type Lease, type LeaseQuote, leaseTally, type Result } from "@/core";
import type { Tally } from "./shown-tally";

type ShownTally = Omit<Tally, "stale">;

/** The tally of an answered lease down to its adjusted capitalized cost, as the structure shows it. */
export function tallyOfLease({
  lines,
  price,
  fees,
  extras,
  taxes,
  cost,
  dueAtSigning,
}: LeaseQuote): ShownTally {
  return {
    lines,
    reckoned: { price, fees, extras, taxes, total: totalOf(lines) },
    loanAmount: cost,
    amountFinanced: cost,
    due: dueAtSigning.total,
  };
}

/** The same before there is an answer, where no line hangs on one. */
export function tallyOfDraft(lease: Result<Lease>): ShownTally | undefined {
  const tally = lease.ok ? leaseTally(lease.value) : undefined;
  if (!tally) return undefined;
  const { lines, found } = tally;
  const { price, fees, extras, taxes, cost } = found;
  return {
    lines,
    reckoned: { price, fees, extras, taxes, total: totalOf(lines) },
    loanAmount: cost,
    amountFinanced: cost,
    due: undefined,
  };
}

/** The price with what is capitalised beside it. */
function totalOf(lines: Tally["lines"]): number {
  let total = 0;
  for (const { figure, sign, amount } of lines)
    if (sign > 0 && figure !== "down" && figure !== "equity") total += amount;
  return total;
}
