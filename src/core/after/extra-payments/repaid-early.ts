import type { DayNumber } from "../../calendar";
import {
  type Extra,
  earlyFeesOf,
  earlyFeesOn,
  explainFault,
  isFault,
  type PaymentRow,
  repay,
} from "../../kinds/loan/plan";
import { type LoanQuote, machineOf, repaidOf, unusedExtras } from "../../kinds/loan/quote";
import { type Result, success } from "../../result";
import { earlyLoan } from "./early-loan";

/** What extra payments make of a loan, beside its plan. Money in minor units. */
export type RepaidEarly = {
  /** How many payment dates are left; the planned ones where nothing ends sooner. */
  payments: number;
  endDate: DayNumber | null;
  /** The last payment that is not a balloon. */
  lastPayment: number;
  /** What every payment is from the last money on that lowers them; the planned one where none does. */
  solved: number;
  balloon: number;
  interest: number;
  /** What the money that is tried is charged with. */
  earlyFee: number;
  /** Less interest than planned, less the charge for it; below zero where it costs more than it saves. */
  interestSaved: number;
  paymentsSaved: number;
  /** Extra payments that are not used, in sentences. */
  notes: readonly string[];
  schedule: readonly PaymentRow[];
};

/**
 * Repays a loan with extra payments that are tried beside its plan. Each one ends the loan sooner, or where it says so
 * lowers the payments to the same end.
 *
 * @param quote an answered deal
 * @param early minor units, day numbers and numbers of payments
 * @returns the table and what it comes to, or a failure where the plan takes no extra payments
 * @example repaidEarly(campervan, { once: [{ after: 24, amount: 400_000 }] }).value.interestSaved // 108625
 */
export function repaidEarly(quote: LoanQuote, early: Extra): Result<RepaidEarly> {
  const tried = earlyLoan(quote, early);
  if (!tried.ok) return tried;
  const { terms } = machineOf(quote);
  const { loan, late } = tried.value;
  const schedule: PaymentRow[] = [];
  const repaid = repay(loan, schedule);
  if (isFault(repaid)) return { ok: false, failure: explainFault(repaid, loan, terms) };
  const fees = quote.filled.plan.earlyFee ?? [];
  const charged = earlyFeesOn(fees, { loan, rows: schedule, solved: repaid.solved }, repaidOf(quote));
  const earlyFee = charged - earlyFeesOf(fees, machineOf(quote).loan);
  return success({
    payments: repaid.payments,
    endDate: repaid.finalDate,
    lastPayment: repaid.finalPayment,
    solved: repaid.solved,
    balloon: repaid.balloonPaid,
    interest: repaid.totalInterest,
    earlyFee,
    interestSaved: quote.totalInterest - repaid.totalInterest - earlyFee,
    paymentsSaved: quote.payments - repaid.payments,
    notes: unusedExtras({ ...repaid, unused: [...repaid.unused, ...late] }, terms),
    schedule,
  });
}
