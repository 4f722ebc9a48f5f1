import { areLevel } from "../../../annuity";
import { periodsPerYear } from "../../../calendar";
import { type Result, success } from "../../../result";
import { cashReceived, chargesOf, chargesWithPayments, fallsWithPayments, tally } from "../../../structure";
import { dueAtSigning, type LoanDeal } from "../deal";
import type { Answer } from "../find";
import { amountWithEach, isFault, type PaymentRow, regularPayment, repay } from "../plan";
import { rememberMachine } from "./kept-machine";
import { notesOf } from "./notes";
import type { LoanQuote, LoanSummary, Saved } from "./quote";

/** Answers a deal, with the repayment table. */
export type Answering = (deal: LoanDeal, rows?: PaymentRow[]) => Result<Answer>;

/**
 * Answers a deal with its repayment table, with the search for figures handed in: a screen that starts with a deal that asks for its
 * payment needs no more than what answers that.
 */
export function quoteBy(answering: Answering, deal: LoanDeal): Result<LoanQuote> {
  const schedule: PaymentRow[] = [];
  const found = answering(deal, schedule);
  if (!found.ok) return found;
  const quote: LoanQuote = Object.assign(summaryOf(deal, found.value), { schedule });
  const { terms, priced } = found.value;
  rememberMachine(quote, { terms, loan: priced.loan });
  return success(quote);
}

/** The figures and facts of an answer. */
export function summaryOf(deal: LoanDeal, found: Answer): LoanSummary {
  const { filled, terms, priced } = found;
  const { structure, reckoned, loanAmount, amountFinanced, loan, repayment } = priced;
  const { draft, firstSpan } = terms;
  const saved = savedByExtra(found);
  const summary: LoanSummary = {
    kind: filled.plan.kind,
    deal,
    filled,
    decimals: terms.decimals,
    price: reckoned.price,
    down: reckoned.down,
    allowance: allowanceOf(found, deal),
    lines: tally(structure, reckoned),
    reckoned,
    dueAtSigning: dueAtSigning(priced),
    loanAmount,
    amountFinanced,
    yearlyRate: filled.plan.yearlyRate ?? "0",
    payment: regularPayment(loan),
    solved: loan.solved,
    isLevel: areLevel(draft.runs),
    isListed: terms.isListed,
    plannedPayments: terms.payments,
    payments: repayment.payments,
    paymentsMade: repayment.paid,
    finalPayment: repayment.finalPayment,
    balloon: repayment.balloonPaid,
    agreedBalloon: loan.balloon,
    extraEach: amountWithEach(loan),
    totalOfPayments: priced.totalOfPayments,
    totalInterest: repayment.totalInterest,
    financeCharge: priced.financeCharge,
    totalCost: priced.totalCost,
    startDate: draft.calendar.start,
    firstDate: draft.calendar.dateOf(1),
    finalDate: repayment.finalDate,
    oddFirstPeriod: firstSpan && { months: firstSpan.months, days: firstSpan.days },
  };
  if (structure.personal) summary.cashReceived = cashReceived(structure, reckoned);
  if (chargesOf(structure).some(fallsWithPayments)) {
    summary.charges = {
      all: chargesWithPayments(structure, reckoned),
      inFinanceCharge: chargesWithPayments(structure, reckoned, ({ isFinanceCharge }) => isFinanceCharge),
    };
  }
  if (draft.flat) {
    const { value } = draft.flat.trueRate(loan.amount);
    summary.trueYearlyRate = 100 * value * periodsPerYear(draft.calendar.frequency);
  }
  if (saved) summary.saved = saved;
  const notes = notesOf(found);
  if (notes.length > 0) summary.note = notes.join(" ");
  return summary;
}

/** The allowance that was found, else the sum of all. */
function allowanceOf({ filled }: Answer, { structure: { tradeIns } }: LoanDeal): number {
  const open = tradeIns.findIndex(({ allowance }) => allowance === null);
  const counted = open < 0 ? filled.structure.tradeIns : filled.structure.tradeIns.slice(open, open + 1);
  return counted.reduce((sum, { allowance }) => sum + (allowance ?? 0), 0);
}

/** What the extras of an answer save against the same loan without them. */
function savedByExtra({ filled, terms, priced: { loan, repayment } }: Answer): Saved | undefined {
  if (loan.each.length === 0 && loan.extras.length === 0) return undefined;
  const without = repay({ ...loan, each: [], extras: [], byExtras: null });
  if (isFault(without)) return undefined;
  const earlyFee = terms.earlyFeesOf?.(filled.plan.earlyFee ?? [], loan) ?? 0;
  return {
    interest: without.totalInterest - repayment.totalInterest - earlyFee,
    ...(earlyFee > 0 && { earlyFee }),
    payments: without.payments - repayment.payments,
    finalDateWithout: without.finalDate,
  };
}
