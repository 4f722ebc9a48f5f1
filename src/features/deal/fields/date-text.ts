import {
  addMonths,
  civilDate,
  type DayNumber,
  isoDate,
  MOST_PAYMENTS,
  parseIsoDate,
  paymentDates,
} from "@/core";
import { type DealFile, isLease } from "@/exchange/deal-file";
import { readDate, readMonth } from "@/exchange/text";
import { todaysDay } from "@/features/figures/today";
import { datedPlan } from "./dated-plan";

/**
 * A date as people type it, as ISO 8601; undefined where it is none. A distance counts from the contract date, else from
 * the first payment; a date without a year is the next one after it; "payment 24" is its due date, and a month alone the
 * first payment date in it.
 */
export function readTypedDate(text: string, file: DealFile): string | undefined {
  return dateOf(readFrom(text, startOf(file)) ?? duePayment(text, file) ?? dueIn(text, file));
}

/** The same for the first payment: a month alone is the contract's day of that month. */
export function readFirstDate(text: string, file: DealFile): string | undefined {
  return dateOf(readFrom(text, startOf(file)) ?? dayOfMonth(text, startOf(file)));
}

/** The same for a date by which something ends: "June 2031" is its last day. */
export function readEndDate(text: string, file: DealFile): string | undefined {
  return dateOf(readFrom(text, startOf(file), true) ?? duePayment(text, file));
}

/** The same for the contract date itself, from today: the nearest to it. */
export function readContractDate(text: string): string | undefined {
  const today = todaysDay();
  return dateOf(readDate(text, { from: today, today, isAfter: false }) ?? dayOfMonth(text, today));
}

const dateOf = (day: DayNumber | undefined) => (day === undefined ? undefined : isoDate(day));
/** The contract date, else the first payment's, else today. */
function startOf({ plan }: DealFile): DayNumber {
  const first = "firstPayment" in plan ? plan.firstPayment : undefined;
  return parseIsoDate(plan.signed ?? first ?? "") ?? todaysDay();
}

function readFrom(text: string, from: DayNumber, isEnd = false): DayNumber | undefined {
  return readDate(text, { from, today: todaysDay(), isAfter: true, isEnd });
}

const PAYMENT = /^(?:(?:payment|no\.?|#)\s*(\d{1,4})|(\d{1,4})(?:st|nd|rd|th)(?:\s+payment)?)$/i;

/** "payment 24": when it falls due. */
function duePayment(text: string, file: DealFile): DayNumber | undefined {
  const [, named, counted] = PAYMENT.exec(text.trim()) ?? [];
  const number = Number(named ?? counted ?? 0);
  return number < 1 || number > MOST_PAYMENTS ? undefined : (dueDates(file)(number) ?? undefined);
}

/** "Nov 2029": the first payment date in it. */
function dueIn(text: string, file: DealFile): DayNumber | undefined {
  const first = readMonth(text);
  if (first === undefined) return undefined;
  const last = addMonths(first, 1) - 1;
  const due = dueDates(file);
  for (let number = 1; number <= MOST_PAYMENTS; number++) {
    const day = due(number);
    if (day === null || day > last) return dayOfMonth(text, startOf(file));
    if (day >= first) return day;
  }
  return undefined;
}

/** "Nov 2029": the day of the month that another date has, or the last that the month has. */
function dayOfMonth(text: string, start: DayNumber): DayNumber | undefined {
  const first = readMonth(text);
  if (first === undefined) return undefined;
  const [then, now] = [civilDate(first), civilDate(start)];
  return addMonths(start, (then.year - now.year) * 12 + then.month - now.month);
}

function dueDates(file: DealFile): (number: number) => DayNumber | null {
  return isLease(file) || file.plan.datedPayments ? () => null : paymentDates(datedPlan(file.plan));
}
