import { sumOfAmounts } from "../amount-lines";
import { addMonths, civilDate, type DayNumber, monthsAndDaysBetween, periodsPerYear } from "../calendar";
import type { LeaseDeal } from "../kinds/lease";
import { type Capitalized, leaseLines, leaseTerms } from "../kinds/lease/pricing";
import { firstPaymentDate, type LoanDeal, type LoanPlan, paymentDates } from "../kinds/loan";
import { balloonOf } from "../kinds/loan/plan";
import { type Reckoned, type Structure, tally } from "../structure";
import type { DealFacts } from "./facts";
import type { Lent } from "./program";

/** When a deal is paid, as its limits measure it. */
export type Timed = {
  payments: number;
  perYear: number;
  /** Of the term; a month begun counts as a whole one. */
  months: number;
  /** From signing to the first payment. */
  daysToFirst: number | null;
  /** Of the last payment. */
  lastYear: number;
};

/** What a deal's amounts come to, as its limits measure them; minor units. */
export type Amounts = {
  price: number;
  lent: Readonly<Record<Lent, number>>;
  /** Cash down, deposit, rebates and what trade-ins are worth beyond what is owed on them. */
  brought: number;
  /** The cash down alone. */
  down: number;
  extras: number;
  /** Of each extra, for the whole term. */
  eachExtra: readonly number[];
  /** What is agreed to be left at the end. */
  balloon: number | null;
};

const MONTHS = 12;

/** The months of a term of some payments, and the fewest and the most payments of a term of some months. */
const monthsOf = (payments: number, perYear: number) => Math.ceil((payments * MONTHS) / perYear);
export const fewestPayments = (months: number, perYear: number): number =>
  Math.floor(((months - 1) * perYear) / MONTHS) + 1;
export const mostPayments = (months: number, perYear: number): number =>
  Math.floor((months * perYear) / MONTHS);

/** When a loan is paid; one without a day of signing is signed on that of the facts. */
export function loanTimes({ plan }: LoanDeal, { day }: DealFacts): Timed {
  const perYear = periodsPerYear(plan.frequency);
  const signed = plan.signed ?? day;
  const { datedPayments: listed } = plan;
  const payments = listed?.length ?? plan.payments ?? 0;
  const dated = { ...plan, signed: plan.firstPayment === null ? signed : plan.signed };
  const first = listed ? (listed[0]?.date ?? null) : firstPaymentDate(dated);
  const isBalloonLater = plan.timing === "advance" && (plan.balloon ?? null) !== null;
  const last = listed?.at(-1)?.date ?? paymentDates(dated)(payments + (isBalloonLater ? 1 : 0)) ?? signed;
  return {
    payments,
    perYear,
    months: listed ? monthsUntil(signed, last) : monthsOf(payments, perYear),
    daysToFirst: first === null ? null : first - signed,
    lastYear: civilDate(last).year,
  };
}

function monthsUntil(from: DayNumber, to: DayNumber): number {
  const { months } = monthsAndDaysBetween(from, to);
  return addMonths(from, months) < to ? months + 1 : months;
}

/** When a lease is paid. */
export function leaseTimes({ plan }: LeaseDeal, { day }: DealFacts): Timed {
  const signed = plan.signed ?? day;
  const { payments, perYear, later, atSigning, dateOf } = leaseTerms({ ...plan, signed });
  return {
    payments,
    perYear,
    months: monthsOf(payments, perYear),
    daysToFirst: (dateOf(atSigning > 0 ? 0 : 1) ?? signed) - signed,
    lastYear: civilDate(dateOf(later) ?? signed).year,
  };
}

/** Lines that are lent beside the vehicle. */
const BESIDE: ReadonlySet<string> = new Set(["tax", "fee", "extra", "acquisitionFee"]);

function lentOf(
  all: number,
  lines: readonly { figure: string; sign: number; amount: number }[],
): Amounts["lent"] {
  let beside = 0;
  for (const { figure, sign, amount } of lines) if (BESIDE.has(figure)) beside += sign * amount;
  return { all, vehicle: all - beside };
}

/** What the amounts of a loan come to. */
export function loanAmounts({ structure, plan }: LoanDeal, reckoned: Reckoned): Amounts {
  const { loanAmount, price, down, extras } = reckoned;
  return {
    price,
    lent: lentOf(loanAmount, tally(structure, reckoned)),
    brought: down + broughtBeside(structure),
    down,
    ...extrasOf(structure, extras, plan.payments ?? 0),
    balloon: agreedBalloon(plan, price),
  };
}

/** What the amounts of a lease come to. */
export function leaseAmounts({ structure, plan }: LeaseDeal, found: Capitalized): Amounts {
  const down = Math.max(found.cash, 0);
  return {
    price: found.price,
    lent: lentOf(found.cost, leaseLines(structure, plan, found)),
    brought: down + broughtBeside(structure),
    down,
    ...extrasOf(structure, found.extras, plan.payments ?? 0),
    balloon: null,
  };
}

/** What is brought besides cash down; trade-ins that are worth less than is owed on them bring nothing. */
function broughtBeside(structure: Structure): number {
  let sum = sumOfAmounts(structure, ({ sign }) => sign < 0);
  for (const { amount } of structure.rebates ?? []) sum += amount;
  let equity = 0;
  for (const { allowance, owed } of structure.tradeIns) equity += (allowance ?? 0) - owed;
  return sum + Math.max(equity, 0);
}

function extrasOf({ extras = [] }: Structure, amounts: readonly number[], payments: number) {
  const eachExtra = extras.map(
    ({ paid }, index) => (paid === "withEachPayment" ? payments : 1) * (amounts[index] ?? 0),
  );
  return { eachExtra, extras: eachExtra.reduce((sum, each) => sum + each, 0) };
}

function agreedBalloon(plan: LoanPlan, price: number): number | null {
  const balloon = (plan.balloon ?? null) === null ? null : balloonOf(plan, price);
  return balloon?.ok ? balloon.value : null;
}
