import { periodsPerYear } from "../calendar";
import { flatCharge, flatTrueRate, type PaymentRow } from "../loan";
import { type Result, success } from "../result";
import {
  annualPercentageRate,
  type DatedAmount,
  effectiveAnnualRate,
  rateOfFlows,
  type Transaction,
  type UnitPeriod,
  yearlyRateOfFlows,
} from "../yield";
import type { Quote } from "./quote";

/** What a deal's credit costs as a yearly rate; percent a year. */
export type CostOfCredit = {
  /** By the actuarial method of US Regulation Z, Appendix J. */
  apr: number;
  /** By the annex of the EU's consumer credit directives. */
  effectiveRate: number;
  /** The nominal rate that a flat-rate loan really has. */
  trueYearlyRate?: number;
  /** What the APR counts time in; null without dates, where it is the plan's own period. */
  unitPeriod: UnitPeriod | null;
};

/**
 * The yearly rates that an answered deal comes to, on the payments of its table, the adjusted last one too.
 *
 * A charge paid at signing is taken off what is lent. Without dates every period counts as a regular one.
 *
 * @param quote an answered deal
 * @returns percent a year, or a failure where the payments allow no rate
 * @example
 * // 10,000.00 over 12 months at 6 %, 200.00 of charges paid at signing
 * costOfCredit(quote) // apr: 9.8…
 */
export function costOfCredit(quote: Quote): Result<CostOfCredit> {
  const trueYearlyRate = trueRateOf(quote);
  const flat = trueYearlyRate === undefined ? {} : { trueYearlyRate };
  const transaction = transactionOf(quote);
  if (transaction === null) return success({ ...withoutDates(quote), ...flat, unitPeriod: null });
  const apr = annualPercentageRate(transaction);
  if (!apr.ok) return apr;
  const effective = effectiveAnnualRate(transaction);
  if (!effective.ok) return effective;
  const { percent, unitPeriod } = apr.value;
  return success({ apr: percent, effectiveRate: effective.value, ...flat, unitPeriod });
}

/** What a deal lends and what is paid for it, or null without dates. */
export function transactionOf(quote: Quote): Transaction | null {
  const { start } = quote.terms.draft.calendar;
  if (start === null) return null;
  const payments: DatedAmount[] = paidRows(quote).map(({ date, payment }) => ({
    date: date ?? start,
    amount: payment,
  }));
  return { advances: [{ date: start, amount: netAdvance(quote) }], payments };
}

/** What the customer has the use of: the amount financed less a charge paid at signing. */
export function netAdvance({ amountFinanced, deal }: Quote): number {
  return amountFinanced - (deal.plan.prepaidCharge ?? 0);
}

function paidRows({ schedule }: Quote): PaymentRow[] {
  return schedule.filter(({ payment }) => payment > 0);
}

function withoutDates(quote: Quote): { apr: number; effectiveRate: number } {
  const { frequency, timing } = quote.terms.draft.calendar;
  const perYear = periodsPerYear(frequency);
  const flows = [
    { amount: netAdvance(quote), periods: 0, part: 0 },
    ...paidRows(quote).map(({ number, payment }) => ({
      amount: -payment,
      periods: timing === "advance" ? number - 1 : number,
      part: 0,
    })),
  ];
  const rate = rateOfFlows(flows) ?? 0;
  const effective = yearlyRateOfFlows(
    flows.map(({ amount, periods }) => ({ amount, years: periods / perYear })),
  );
  return { apr: rate * perYear * 100, effectiveRate: (effective ?? 0) * 100 };
}

function trueRateOf({ terms, loan }: Quote): number | undefined {
  const { draft } = terms;
  if (!draft.flat) return undefined;
  const charge = flatCharge(loan.amount, draft.calendar);
  const { value } = flatTrueRate(loan.amount, charge, draft.payments);
  return value * periodsPerYear(draft.calendar.frequency) * 100;
}
