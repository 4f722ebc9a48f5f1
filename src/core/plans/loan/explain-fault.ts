import { isoDate } from "../../calendar";
import { groupedAmount } from "../../money";
import type { Failure } from "../../result";
import type { Fault, Loan } from "./repay";
import type { Terms } from "./terms";

/** Why a loan cannot be repaid as planned, in a sentence. */
export function explainFault(fault: Fault, loan: Loan, { decimals }: Terms): Failure {
  const money = (minor: number) => groupedAmount(minor, decimals);
  switch (fault.fault) {
    case "grows":
      return {
        figure: "payments",
        sentence: `At this rate a payment rounded to ${money(loan.solved)} does not cover the interest of so many payments; plan fewer of them.`,
      };
    case "extra":
      return {
        figure: "extra",
        sentence: `The extra of ${money(fault.event.amount)} on ${isoDate(fault.event.date)} is more than the ${money(fault.owed)} owed then; it can be at most that.`,
      };
    case "overpaid":
      return {
        figure: loan.balloon > 0 ? "balloon" : "steps",
        sentence: `The payments before it repay ${money(fault.short)} too much for the last payment; agree smaller ones, or round them down.`,
      };
  }
}
