import { type PaymentSolver, paymentSolver, type Run } from "../../../../annuity";
import { NO_RATE } from "../../../../interest";
import { runsFrom } from "../draft";
import type { Loan } from "./loan";

/**
 * A loan with its payments lowered to what then repays the balance by the same end: the one for which the payments that
 * are left, agreed ones and the balloon among them, are worth what is owed. Steps keep their percents.
 *
 * @param loan as it was repaid so far
 * @param balance what is owed without interest since the last payment, in minor units
 * @param from the next payment date
 * @param interest what the next payment bears, where money has come since the last one; the whole period's where left out
 * @returns null where no payment is left to lower; 0 is solved for where agreed amounts are worth more than is owed
 */
export function recast(loan: Loan, balance: number, from: number, interest?: number): Loan | null {
  const { solver, owed } = whatIsLeft(loan, balance, from, interest);
  if (solver.worth.solved <= 0) return null;
  return { ...loan, solved: Math.max(solver.rounded(owed, loan.balloon), 0) };
}

/** What solves for a lower payment: of the payments that are left, and what is owed when they begin; as {@link recast} takes them. */
export function whatIsLeft(
  { draft, rounding }: Loan,
  balance: number,
  from: number,
  interest?: number,
): { solver: PaymentSolver; owed: number } {
  const left = runsFrom(draft.runs, from);
  const { runs, amount } =
    interest === undefined ? { runs: left, amount: balance } : onNextDate(left, balance, interest);
  return { solver: paymentSolver(runs, draft.balloonRate, rounding), owed: amount };
}

/** What is owed on the next payment date, before its payment, which then bears no more interest. */
function onNextDate(left: readonly Run[], balance: number, interest: number) {
  const [next, ...later] = left;
  if (!next) return { runs: left, amount: balance };
  const { count, pay } = next;
  const runs = [{ ...next, count: 1, rate: NO_RATE }, ...(count > 1 ? [{ ...next, count: count - 1 }] : [])];
  // A payment that has its interest on top leaves it out of what is repaid.
  const isOnTop = pay.kind === "principal" || pay.kind === "interest";
  return { runs: [...runs, ...later], amount: isOnTop ? balance : balance + interest };
}
