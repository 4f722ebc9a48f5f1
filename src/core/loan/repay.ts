import type { Pay } from "../annuity";
import { stepPeriods } from "../calendar";
import { type PeriodRate, periodInterest, simpleRate } from "../interest";
import { roundWhenSure } from "../money";
import { ONE, over } from "../precise";
import type { ExtraEvent } from "./extra-events";
import { repayFlatRate } from "./flat-rate-table";
import type { Loan } from "./loan";
import type { PaymentRow, Repayment, RowKind } from "./row";
import { steppedPayment } from "./stepped-payment";

/** Why a loan cannot be repaid as planned. */
export type Fault =
  /** What is owed grows beyond what can be counted exactly. */
  | { fault: "grows" }
  /** An extra on a date is more than is owed then. */
  | { fault: "extra"; event: ExtraEvent; owed: number }
  /** The payments take what is owed below the balloon. */
  | { fault: "overpaid"; short: number };

/** Whether a loan could be repaid. */
export function isFault(repaid: Repayment | Fault): repaid is Fault {
  return "fault" in repaid;
}

/** Balances past this are no longer exact integers; a loan that grows so far is not being repaid. */
const LARGEST_BALANCE = 2 ** 50;

const ROW_KINDS: Record<Pay["kind"], RowKind> = {
  level: "payment",
  amount: "payment",
  interest: "interestOnly",
  none: "noPayment",
};

/**
 * Repays a loan, splitting each payment into interest and principal.
 *
 * Interest is rounded half up to the minor unit. The last payment is the balance with its interest, so that
 * the balance ends at exactly zero, or exactly at the balloon; where a payment rounded up clears the loan
 * sooner, the table ends there. An extra between two payments lowers the balance from its day on; with
 * extras the balloon is what is then left of it.
 *
 * @param loan ready to be repaid
 * @param rows where to put the lines of the table; without it only the totals are made
 * @returns the totals, or why the loan cannot be repaid so
 * @example repay(loan) // { payments: 3, finalPayment: 34, … }
 */
export function repay(loan: Loan, rows?: PaymentRow[]): Repayment | Fault {
  const { draft, extraEach, extras } = loan;
  if (draft.flat) return repayFlatRate(loan, draft.flat.earning, rows);
  const { dateOf } = draft.calendar;
  const shrinks = extraEach > 0 || extras.length > 0;
  const floor = shrinks ? 0 : owedBeforeBalloon(loan);
  let balance = loan.amount;
  let totalInterest = 0;
  let finalPayment = 0;
  let number = 0;
  let nextExtra = 0;

  for (const { pay, rate, count } of draft.runs) {
    const agreed = payOf(pay, loan);
    const kind = ROW_KINDS[pay.kind];
    const onlyInterest = pay.kind === "interest";
    for (const end = number + count; number < end; ) {
      number += 1;
      let interest: number;
      if (extras[nextExtra]?.before === number) {
        const period = extrasBefore(loan, number, nextExtra, balance, rate, rows);
        if ("fault" in period) return period;
        ({ balance, interest, next: nextExtra } = period);
      } else interest = periodInterest(balance, rate);

      const due = balance + interest - floor;
      let payment = onlyInterest ? interest + extraEach : kind === "noPayment" ? 0 : agreed + extraEach;
      if (number === draft.payments && !(shrinks && loan.balloon > 0)) payment = due;
      else if (payment > due && balance >= floor) payment = due;
      if (payment < 0) return { fault: "overpaid", short: -payment };
      balance += interest - payment;
      totalInterest += interest;
      finalPayment = payment;
      rows?.push({
        kind,
        number,
        date: dateOf(number),
        payment,
        interest,
        principal: payment - interest,
        balance,
      });
      if (balance > LARGEST_BALANCE) return { fault: "grows" };

      if (extras[nextExtra]?.before === number) {
        const after = extrasAfter(loan, number, nextExtra, balance, rows);
        if ("fault" in after) return after;
        ({ balance, next: nextExtra } = after);
      }
      if (balance === 0) break;
    }
    if (balance === 0 && floor === 0) break;
  }
  const late = extras[nextExtra];
  if (late && !late.trimmed) return { fault: "extra", event: late, owed: 0 };

  const balloonPaid = balance > 0 ? (shrinks ? balance : loan.balloon) : 0;
  const balloonInterest = balloonPaid > 0 && draft.balloonRate ? balloonPaid - balance : 0;
  const finalDate = balloonPaid > 0 ? balloonDate(loan) : dateOf(number);
  if (balloonPaid > 0) {
    const interest = balloonInterest;
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
  totalInterest += balloonInterest;
  const totalOfPayments = loan.amount + totalInterest;
  return { payments: number, finalPayment, balloonPaid, totalOfPayments, totalInterest, finalDate };
}

function payOf(pay: Pay, { payment, rounding }: Loan): number {
  if (pay.kind === "level") return steppedPayment(payment, pay.raises, rounding);
  return pay.kind === "amount" ? pay.amount : 0;
}

/** What the payments leave owing: the balloon, or what grows to it over a last period. */
function owedBeforeBalloon({ balloon, draft: { balloonRate } }: Loan): number {
  if (!balloonRate || balloon === 0) return balloon;
  const owed = balloon / (1 + balloonRate.value);
  return roundWhenSure(owed, 1e-6, "nearest", () => over(BigInt(balloon) * ONE, ONE + balloonRate.precise()));
}

function balloonDate({ draft }: Loan): number | null {
  const { frequency, twoDays, dateOf } = draft.calendar;
  const last = dateOf(draft.payments);
  return last === null || !draft.balloonRate ? last : stepPeriods(frequency, last, 1, twoDays);
}

type AfterExtras = { balance: number; next: number };

/** Takes the extras between two payments off the balance, and the period's interest day by day. */
function extrasBefore(
  { extras }: Loan,
  number: number,
  first: number,
  owed: number,
  rate: PeriodRate,
  rows: PaymentRow[] | undefined,
): (AfterExtras & { interest: number }) | Fault {
  const daysInPeriod = extras[first]?.daysInPeriod ?? 1;
  let balanceDays = owed * daysInPeriod;
  let balance = owed;
  let next = first;
  for (let event = extras[next]; event?.before === number && event.daysLeft > 0; event = extras[++next]) {
    if (event.amount > balance && !event.trimmed) return { fault: "extra", event, owed: balance };
    const amount = Math.min(event.amount, balance);
    balance -= amount;
    balanceDays -= amount * event.daysLeft;
    pushExtra(rows, event, amount, balance);
  }
  if (balanceDays > Number.MAX_SAFE_INTEGER) return { fault: "grows" };
  const interest = periodInterest(balanceDays, simpleRate(rate, { numerator: 1, denominator: daysInPeriod }));
  return { balance, interest, next };
}

/** Takes the extras on a payment date off the balance after that payment. */
function extrasAfter(
  { extras }: Loan,
  number: number,
  first: number,
  owed: number,
  rows: PaymentRow[] | undefined,
): AfterExtras | Fault {
  let balance = owed;
  let next = first;
  for (let event = extras[next]; event?.before === number; event = extras[++next]) {
    if (event.amount > balance && !event.trimmed) return { fault: "extra", event, owed: balance };
    const amount = Math.min(event.amount, balance);
    balance -= amount;
    pushExtra(rows, event, amount, balance);
  }
  return { balance, next };
}

function pushExtra(rows: PaymentRow[] | undefined, event: ExtraEvent, amount: number, balance: number): void {
  if (amount === 0) return;
  const { before: number, date } = event;
  rows?.push({ kind: "extra", number, date, payment: amount, interest: 0, principal: amount, balance });
}
