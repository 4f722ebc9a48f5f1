import { periodInterest } from "../../../../interest";
import { roundWhenSure } from "../../../../money";
import { ONE, over } from "../../../../precise";
import type { ExtraEvent } from "../extras";
import type { Loan } from "./loan";
import type { Repayment } from "./row";
import type { Standing } from "./standing";

const NONE: readonly ExtraEvent[] = [];

/** The totals, with the balloon as the last line where one is left to pay. */
export function closed({
  loan,
  rows,
  shrinks,
  balance,
  totalInterest,
  number,
  paid,
  finalPayment,
  nextExtra,
  endedOn,
}: Standing): Repayment {
  const { draft, amount } = loan;
  const balloonPaid = balance === 0 ? 0 : shrinks ? withBalloonInterest(loan, balance) : loan.balloon;
  const interest = balloonPaid - balance;
  const finalDate =
    balloonPaid > 0 ? balloonDate(loan) : endedOn ? endedOn.date : draft.calendar.dateOf(number);
  if (balloonPaid > 0) {
    const place = draft.balloonRate ? number + 1 : number;
    rows?.push({
      kind: "balloon",
      number: place,
      date: finalDate,
      payment: balloonPaid,
      interest,
      principal: balance,
      balance: 0,
    });
  }
  const interestInAll = totalInterest + interest;
  return {
    payments: number,
    paid,
    finalPayment,
    balloonPaid,
    totalOfPayments: amount + interestInAll,
    totalInterest: interestInAll,
    finalDate,
    solved: loan.solved,
    unused: nextExtra === loan.extras.length ? NONE : loan.extras.slice(nextExtra),
  };
}

function withBalloonInterest({ draft: { balloonRate } }: Loan, balance: number): number {
  return balloonRate ? balance + periodInterest(balance, balloonRate) : balance;
}

/** What the payments leave owing: the balloon, or what grows to it over a last period. */
export function owedBeforeBalloon({ balloon, draft: { balloonRate } }: Loan): number {
  if (!balloonRate || balloon === 0) return balloon;
  const owed = balloon / (1 + balloonRate.value);
  return roundWhenSure(owed, 1e-6, "nearest", () => over(BigInt(balloon) * ONE, ONE + balloonRate.precise()));
}

/**
 * The largest balloon that payments can leave, where they leave less than the one agreed.
 *
 * @param short how much less is owed after the last payment than has to be, in minor units
 */
export function mostBalloon(loan: Loan, short: number): number {
  const owed = owedBeforeBalloon(loan) - short;
  const growth = 1 + (loan.draft.balloonRate?.value ?? 0);
  let most = Math.floor((owed + 1) * growth);
  while (most > 0 && owedBeforeBalloon({ ...loan, balloon: most }) > owed) most -= 1;
  return Math.max(most, 0);
}

function balloonDate({ draft: { calendar, payments, balloonRate } }: Loan): number | null {
  return calendar.dateOf(balloonRate ? payments + 1 : payments);
}
