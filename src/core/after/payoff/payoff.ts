import { type DayNumber, isoDate } from "../../calendar";
import { accrualAfter, earlyFeeOf, interestLeft, rateOfPeriod } from "../../kinds/loan/plan";
import { type LoanQuote, machineOf, repaidOf } from "../../kinds/loan/quote";
import { failure, type Result, success } from "../../result";
import { refundLaw } from "./refund-law";
import { type Refund, refundsAfter } from "./refunds";

/** What ends a loan early, in minor units. */
export type Payoff = {
  /** How many payment dates have passed, each with its payment made. */
  afterPayment: number;
  date: DayNumber | null;
  /** What is owed without interest since the last payment. */
  balance: number;
  /** Interest since the last payment. */
  interest: number;
  /** Balance and interest together. */
  payoff: number;
  /** What each further day adds until the next payment, not rounded; null without dates. */
  perDay: number | null;
  /** What the plan charges for ending the loan early. */
  earlyFee: number;
  /** The sum on that day: the payoff and the charge. */
  settle: number;
  /** Up to when another sum is good, and that one, each further day with as much as the next; null without dates. */
  goodThrough: DayNumber | null;
  settleThrough: number | null;
  /** A payment that falls due by then, or a day before it, is taken as not made. */
  passesPayment: boolean;
  /** For a flat-rate loan: what each way of refunding the charge makes of it. */
  refunds?: Refund[];
  /** Why the payoff is other than the plan says. */
  note?: string;
};

/** What else is said of a payoff. */
export type PayoffTerms = {
  /** Up to when the sum is to be good; ten days later where left out. */
  goodThrough?: DayNumber | undefined;
  /** The place whose law counts, by ISO 3166-1; none where left out. */
  place?: string | undefined;
};

const DAYS_GOOD = 10;

/**
 * What ends a loan right after one of its payments, extras of that day made too. A balloon that falls on the
 * last payment is still owed.
 *
 * The balance is the table's: the rounding of each row bears interest, so that a formula would be off by cents.
 *
 * @param quote an answered deal
 * @param after number of the payment; 0 for the start
 * @param terms until when the sum is to be good, and whose law counts
 * @returns amounts in minor units, or a failure for a payment that is not the loan's
 * @example payoffAfter(quote, 36) // { ok: true, value: { payoff: 2231957, … } }
 */
export function payoffAfter(quote: LoanQuote, after: number, terms: PayoffTerms = {}): Result<Payoff> {
  const { payments } = quote;
  if (!Number.isInteger(after) || after < 0 || after > payments) {
    return failure(
      "payoff",
      `Payment ${after} is none of this loan's; it can be 0, for the start, to ${payments}.`,
    );
  }
  const { start, dateOf } = machineOf(quote).loan.draft.calendar;
  return payoffAt(quote, after, after === 0 ? start : dateOf(after), terms);
}

/**
 * What ends a loan on a date, with interest up to it. Payments due on or before the date are taken as made.
 *
 * Interest since the last payment counts as the plan counts time; over equal periods the next period's interest
 * is shared out over its days.
 *
 * @param quote an answered deal with dates
 * @param date day number, from the start of the loan to its end
 * @param terms until when the sum is to be good, and whose law counts
 * @returns amounts in minor units, or a failure for a date outside the loan
 * @example payoffOn(dated, day("2028-03-15"), { goodThrough: day("2028-03-22") }).value.settleThrough // 3173118
 */
export function payoffOn(quote: LoanQuote, date: DayNumber, terms: PayoffTerms = {}): Result<Payoff> {
  const { start, dateOf } = machineOf(quote).loan.draft.calendar;
  const end = quote.finalDate;
  if (start === null || end === null) {
    return failure("payoff", "A payoff on a date needs the contract date; give it, or a payment's number.");
  }
  if (date < start || date > end) {
    return failure(
      "payoff",
      `${isoDate(date)} lies outside this loan; it can be from ${isoDate(start)} to ${isoDate(end)}.`,
    );
  }
  let after = 0;
  while (after < quote.payments && (dateOf(after + 1) ?? end) <= date) after += 1;
  return payoffAt(quote, after, date, terms);
}

function payoffAt(
  asked: LoanQuote,
  after: number,
  date: DayNumber | null,
  { goodThrough: through, place }: PayoffTerms,
): Result<Payoff> {
  const { quote, methods, note } = refundLaw(asked, place);
  const { loan } = machineOf(quote);
  const { flat, calendar } = loan.draft;
  const repaid = repaidOf(quote);
  const accrual = accrualAfter(repaid, after);
  const on = date ?? accrual.from;
  const goodThrough = date === null ? null : (through ?? date + DAYS_GOOD);
  if (goodThrough !== null && goodThrough < on)
    return failure(
      "payoff",
      `${isoDate(goodThrough)} is before ${isoDate(on)}; a sum is good from its day on.`,
    );
  const start = owedAfter(quote, after);
  const extras = quote.schedule.filter(
    row => row.kind === "extra" && row.number === after + 1 && (row.date ?? on) <= on,
  );
  const balance = extras.at(-1)?.balance ?? start;
  const interest = on > accrual.from ? accrual.interest(start, on, extras) : 0;
  const payoff = balance + interest;
  const earlyFee = earlyFeeOf(quote.filled.plan.earlyFee ?? [], {
    after,
    isOnDay: on === accrual.from,
    principal: balance,
    rate: rateOfPeriod(loan.draft, after + 1),
    interestLeft: interestLeft(repaid, after, on > accrual.from ? on : undefined),
    isPayoff: true,
  });
  const settle = payoff + earlyFee;
  const further = goodThrough === null || balance === 0 ? 0 : accrual.beyond(balance, on, goodThrough - on);
  const nextDate = calendar.dateOf(after + 1);
  return success({
    afterPayment: after,
    date,
    balance,
    interest,
    payoff,
    perDay: date === null ? null : balance === 0 ? 0 : accrual.perDay(balance, on),
    earlyFee,
    settle,
    goodThrough,
    settleThrough: goodThrough === null ? null : settle + further,
    passesPayment:
      goodThrough !== null && after < quote.payments && nextDate !== null && goodThrough >= nextDate,
    ...(flat && { refunds: refundsAfter(loan, flat, after, accrual.share(on), methods) }),
    ...(note !== undefined && { note }),
  });
}

/** What is owed after a payment date, extras of that day included, a balloon still to pay. */
function owedAfter({ loanAmount, schedule }: LoanQuote, after: number): number {
  const row = schedule.findLast(({ number, kind }) => number <= after && kind !== "balloon");
  return row?.balance ?? loanAmount;
}
