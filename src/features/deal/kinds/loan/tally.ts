import { type LoanDeal, type LoanQuote, prepaidCharges, settle, tally } from "@/core";
import type { DeskTally } from "../../option/desk-kind";

/** The tally of an answered loan, as the structure shows it. */
export function tallyOfLoan({
  lines,
  reckoned,
  loanAmount,
  amountFinanced,
  dueAtSigning,
}: LoanQuote): DeskTally {
  return { lines, reckoned, loanAmount, amountFinanced, due: dueAtSigning.total };
}

/** The same before there is an answer: it needs no plan, unless a line of it is being found. */
export function tallyOfLoanDraft({ structure, find, plan }: LoanDeal): DeskTally | undefined {
  if (structure.price === null || structure.down === null || find === "allowance") return undefined;
  const reckoned = settle(structure);
  const { loanAmount } = reckoned;
  const prepaid = plan.prepaidCharge ?? 0;
  return {
    lines: tally(structure, reckoned),
    reckoned,
    loanAmount,
    amountFinanced: loanAmount - prepaid - prepaidCharges(structure, reckoned),
    due: undefined,
  };
}
