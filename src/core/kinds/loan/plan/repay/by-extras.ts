import type { Run } from "../../../../annuity";
import { extraOn } from "../extras";
import type { ByExtras, Loan } from "./loan";
import { type Planned, plannedPayment } from "./planned-payment";
import { recast } from "./recast";
import { asPlanned, ownPayment, repayRest, repayStretch } from "./repay";
import type { PaymentRow } from "./row";
import type { Course, Fault, Standing } from "./standing";
import { interestWithExtras, takeExtras } from "./take-extras";

/** How a loan with extras is repaid: comes with them, for few loans have any. */
export const BY_EXTRAS: ByExtras = {
  shrunk,
  repayOn: repayWithExtras,
  interest: (standing, number, rate) => interestWithExtras(standing, number, rate, lowerPayments),
};

/** How it goes on with extras to come, which take it below its plan. */
function shrunk(standing: Standing, loan: Loan, interest?: number): Course {
  const leavesBalloon = loan.balloon > 0;
  return {
    loan,
    shrinks: true,
    floor: 0,
    least: undefined,
    watched: 0,
    closing: leavesBalloon ? 0 : loan.draft.payments,
    lastPayment: leavesBalloon ? lastWithoutExtras(standing, loan, interest) : undefined,
  };
}

/** What the last date takes of a loan without the extras still to come, besides an extra with each payment. */
function lastWithoutExtras(standing: Standing, loan: Loan, interest?: number): Planned | undefined {
  const rows: PaymentRow[] = [];
  const alone = {
    ...standing,
    ...asPlanned({ ...loan, each: [], extras: [], byExtras: null }),
    rows,
    nextExtra: 0,
  };
  const fault = repayRest(alone, interest);
  const last = rows.at(-1);
  const run = loan.draft.runs.at(-1);
  if (fault || !last || !run) return undefined;
  const { payments } = loan.draft;
  const { kind, withInterest } = plannedPayment(run.pay, alone.loan, payments);
  const own = withInterest ? last.principal : last.payment;
  return { kind, each: own + extraOn(loan.each, payments), withInterest, isAgreed: true };
}

/** Money has come that lowers the payments from a date on. */
function lowerPayments(standing: Standing, from: number, interest?: number): void {
  const { loan, balance, nextExtra } = standing;
  const { payments } = loan.draft;
  const lowered = recast(loan, balance, from, interest);
  if (!lowered || balance === 0) return;
  const hasMore =
    nextExtra < loan.extras.length ||
    loan.each.some(({ from: first = 1, to = payments }) => to >= from && first <= payments);
  // Where what was agreed is worth more than is owed, it is what is then left of it.
  const isCovered = lowered.solved === 0;
  Object.assign(standing, hasMore || isCovered ? shrunk(standing, lowered, interest) : asPlanned(lowered));
}

/** Repays on one date, with the extras that come before it or fall on it. */
function repayWithExtras(standing: Standing, run: Run): Fault | undefined {
  const number = standing.number + 1;
  const interest = interestWithExtras(standing, number, run.rate, lowerPayments);
  if (typeof interest !== "number") return interest;
  if (standing.endedOn !== null) return undefined;
  return (
    repayStretch(standing, ownPayment(standing, run), run.rate, number, interest) ??
    takeExtras(standing, number, lowerPayments)
  );
}
