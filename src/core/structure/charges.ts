import { percentOf, readPercent } from "../interest";
import type { Charge, Structure } from "./structure";

/** What a loan comes to that fees, extras or taxes are reckoned from, in minor units. */
export type Assumed = { loanAmount: number; totalOfPayments: number };

const NONE: readonly number[] = [];

/**
 * What each of some fees or extras comes to, in minor units, rounded half up; one that falls with each payment, each
 * time.
 *
 * @param charges as given
 * @param price what a percent of the price is of
 * @param assumed the loan that the others are reckoned from
 * @example chargeAmounts([origination], 0, { loanAmount: 4329778, totalOfPayments: 0 }) // [64947]
 */
export function chargeAmounts(
  charges: readonly Charge[] | undefined,
  price: number,
  assumed: Assumed,
): readonly number[] {
  if (charges === undefined || charges.length === 0) return NONE;
  return charges.map(({ amount }) => {
    if ("minor" in amount) return amount.minor;
    const of = amount.of === "price" ? price : assumed[amount.of];
    return percentOf(Math.max(of, 0), readPercent(amount.percent));
  });
}

/** Whether a fee or an extra is a percent of what its loan comes to. */
export function isReckonedFromLoan({ amount }: Charge): boolean {
  return "percent" in amount && amount.of !== "price";
}

/** Whether a fee or an extra falls with payments. */
export function fallsWithPayments({ paid }: Charge): boolean {
  return paid === "withFirstPayment" || paid === "withLastPayment" || paid === "withEachPayment";
}

const NO_CHARGES: readonly Charge[] = [];

/** All fees and extras of a structure, fees first. */
export function chargesOf({ fees, extras }: Structure): readonly Charge[] {
  if (fees === undefined) return extras ?? NO_CHARGES;
  return extras === undefined ? fees : [...fees, ...extras];
}

/** Hands over each of some fees or extras that something holds for, with what it comes to in minor units. */
export function eachCharge(
  charges: readonly Charge[] | undefined,
  amounts: readonly number[],
  counts: (charge: Charge) => boolean,
  take: (name: string, amount: number) => void,
): void {
  if (charges === undefined) return;
  for (const [index, charge] of charges.entries()) if (counts(charge)) take(charge.name, amounts[index] ?? 0);
}

/** The sum of the fees and extras that something holds for, in minor units. */
export function sumOfCharges(
  structure: Structure,
  { fees, extras }: { fees: readonly number[]; extras: readonly number[] },
  counts: (charge: Charge) => boolean,
): number {
  let sum = 0;
  const add = (_: string, amount: number) => {
    sum += amount;
  };
  eachCharge(structure.fees, fees, counts, add);
  eachCharge(structure.extras, extras, counts, add);
  return sum;
}

/** The price with tax, fees and extras, in minor units; those that are reckoned from the loan, or fall with payments, are not in it. */
export function totalOf(
  structure: Structure,
  {
    price,
    fees,
    extras,
    taxTotal,
  }: { price: number; fees: readonly number[]; extras: readonly number[]; taxTotal: number },
): number {
  const charges = sumOfCharges(
    structure,
    { fees, extras },
    charge => !isReckonedFromLoan(charge) && !fallsWithPayments(charge),
  );
  return price + charges + (structure.isTaxIncluded ? 0 : taxTotal);
}
