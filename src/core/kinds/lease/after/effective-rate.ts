import { periodStepper, periodsPerYear } from "../../../calendar";
import type { Result } from "../../../result";
import { type Charge, chargeColumn, chargesWithPayments, sumOfCharges } from "../../../structure";
import { effectiveAnnualRate, effectiveRateOfFlows } from "../../../yield";
import type { LeaseQuote } from "../pricing";

/**
 * The effective yearly rate of a lease whose vehicle is bought at its end, as credit is compared in the European Union:
 * what the customer gets is the adjusted capitalized cost without the acquisition fee and the charges that are marked as
 * costs of the credit; what is paid for it is each payment with such charges, then the residual and the fee for buying.
 * Taxes are left out on both sides, for a purchase bears them, too; so is the security deposit, which comes back.
 *
 * Directive 2008/48/EC, Annex I, by {@link effectiveAnnualRate}; without a date of signing each period is its part of a year.
 *
 * @param quote an answered lease
 * @returns percent a year, or a failure where the amounts allow no rate
 * @example leaseEffectiveRate(vanLeaseQuote).value.toFixed(2) // "5.56"
 */
export function leaseEffectiveRate(quote: LeaseQuote): Result<number> {
  const { schedule, filled, cost, residual, fees, extras, startDate } = quote;
  const { structure, plan } = filled;
  const isCost = ({ isFinanceCharge }: Charge) => isFinanceCharge;
  const charges = chargeColumn(schedule, chargesWithPayments(structure, { fees, extras }, isCost));
  const atEnd = residual + plan.purchaseFee;
  const payments = schedule
    .map(({ base, period }, index) => ({
      period,
      amount: base + (charges[index] ?? 0) + (index === schedule.length - 1 ? atEnd : 0),
    }))
    .filter(({ amount }) => amount > 0);
  const advance = cost - leaseCreditCosts(quote);
  if (startDate === null) {
    const perYear = periodsPerYear(plan.frequency);
    const paid = payments.map(({ period, amount }) => ({ amount: -amount, years: period / perYear }));
    return effectiveRateOfFlows([{ amount: advance, years: 0 }, ...paid]);
  }
  const dateOf = periodStepper(plan.frequency, startDate);
  return effectiveAnnualRate({
    advances: [{ date: startDate, amount: advance }],
    payments: payments.map(({ period, amount }) => ({ date: dateOf(period), amount })),
  });
}

/** What of a lease is a cost of its credit and paid once, capitalized or at signing, in minor units. */
export function leaseCreditCosts({ filled: { structure, plan }, fees, extras }: LeaseQuote): number {
  const isOnce = ({ isFinanceCharge, paid }: Charge) =>
    isFinanceCharge && (paid === "financed" || paid === "atSigning");
  return sumOfCharges(structure, { fees, extras }, isOnce) + (plan.acquisitionFee?.amount ?? 0);
}
