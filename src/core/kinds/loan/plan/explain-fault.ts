import { groupedAmount } from "../../../money";
import type { Failure } from "../../../result";
import { whenOfExtra } from "./extras";
import { type Fault, type Loan, mostBalloon } from "./repay";
import type { Terms } from "./terms";

/** What is left owing at the end, although nothing is paid beyond what is agreed, is less than the balloon. */
function balloonTooLarge(loan: Loan, most: number, money: (minor: number) => string): Failure {
  return {
    figure: "balloon",
    sentence: `A balloon of ${money(loan.balloon)} is more than what is then owed, although no more than the agreed payments is paid before it; it can be at most ${money(most)}.`,
    nearest: { figure: "balloon", minor: most },
  };
}

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
        sentence: `The extra of ${money(fault.event.amount)} ${whenOfExtra(fault.event)} is more than the ${money(fault.owed)} owed then; it can be at most that.`,
      };
    case "overpaid":
      return balloonTooLarge(loan, mostBalloon(loan, fault.short), money);
  }
}
