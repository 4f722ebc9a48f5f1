import { type Decimal, percentOf, readPercent } from "../interest";
import { type Rounding, roundFraction } from "../money";
import { sumOfCharges } from "./charges";
import type { Charge, Structure, Tax } from "./structure";

/** What a tax comes to, in minor units. */
export type TaxAmount = {
  name: string;
  /** What it is reckoned on, after credits and caps. */
  base: number;
  amount: number;
};

/** Amounts that taxes are reckoned on, in minor units. */
export type Taxed = { price: number; fees: readonly number[]; extras: readonly number[] };

const NONE: readonly TaxAmount[] = [];

/**
 * The taxes of a structure, each reckoned and rounded once on its sum.
 *
 * A tax is on the lines that it names, fees and extras only where they are taxable, less trade-in allowances and
 * rebates that are credited, never below 0, at most its cap. Where the taxes are in the price each is contained in
 * those lines: amount × rate ÷ (100 + all rates).
 *
 * @param structure with its allowances
 * @param taxed what its price, fees and extras come to
 * @example
 * const taxes = [{ name: "County tax", rate: "6.25", on: ["price"], tradeInCredit: true, rebateCredit: false, rounding: "nearest", isFinanced: true }];
 * taxAmounts({ ...structure, taxes }, { price: 4185000, fees: [], extras: [] }) // [{ name: "County tax", base: 3265000, amount: 204063 }]
 */
export function taxAmounts(structure: Structure, taxed: Taxed): readonly TaxAmount[] {
  const { taxes } = structure;
  if (taxes === undefined || taxes.length === 0) return NONE;
  const divisor = structure.isTaxIncluded ? allRates(taxes) : undefined;
  return taxes.map(tax => {
    const base = taxBase(tax, structure, taxed);
    return { name: tax.name, base, amount: taxOn(base, tax, divisor) };
  });
}

/** What a tax is reckoned on, in minor units. */
function taxBase(tax: Tax, structure: Structure, taxed: Taxed): number {
  const lines = taxedLines(tax, structure, taxed) - creditedAllowance(tax, structure);
  const base = Math.max(lines - creditedRebates(tax, structure), 0);
  return tax.capOn === undefined ? base : Math.min(base, tax.capOn);
}

/** The lines that a tax names, before credits. */
function taxedLines({ on }: Tax, structure: Structure, { price, fees, extras }: Taxed): number {
  const amounts = {
    fees: on.includes("fees") ? fees : NO_AMOUNTS,
    extras: on.includes("extras") ? extras : NO_AMOUNTS,
  };
  return (on.includes("price") ? price : 0) + sumOfCharges(structure, amounts, isTaxed);
}

const NO_AMOUNTS: readonly number[] = [];
const isTaxed = ({ isTaxable }: Charge) => isTaxable;

/** The same line by line. */
export function taxedTerms(
  { on }: Tax,
  { fees = [], extras = [] }: Structure,
  taxed: Taxed,
): { name: string; sign: 1; amount: number }[] {
  const termsOf = (charges: readonly Charge[], amounts: readonly number[]) =>
    charges.flatMap(({ name, isTaxable }, index) =>
      isTaxable ? [{ name, sign: 1 as const, amount: amounts[index] ?? 0 }] : [],
    );
  return [
    ...(on.includes("price") ? [{ name: "price", sign: 1 as const, amount: taxed.price }] : []),
    ...(on.includes("fees") ? termsOf(fees, taxed.fees) : []),
    ...(on.includes("extras") ? termsOf(extras, taxed.extras) : []),
  ];
}

/** What trade-ins take off what a tax is reckoned on. */
export function creditedAllowance(
  { tradeInCredit }: Pick<Tax, "tradeInCredit">,
  { tradeIns }: Structure,
): number {
  if (tradeInCredit === false) return 0;
  let allowances = 0;
  for (const { allowance } of tradeIns) allowances += allowance ?? 0;
  return tradeInCredit === true ? allowances : Math.min(allowances, tradeInCredit);
}

/** What rebates take off what a tax is reckoned on. */
export function creditedRebates(
  { rebateCredit }: Pick<Tax, "rebateCredit">,
  { rebates = [] }: Structure,
): number {
  let credited = 0;
  for (const { amount, isBeforeTax } of rebates) if (isBeforeTax || rebateCredit) credited += amount;
  return credited;
}

/** A hundred percent and all rates, as a fraction. */
type Divisor = { digits: bigint; scale: bigint };

function allRates(taxes: readonly Tax[]): Divisor {
  let [digits, scale] = [100n, 1n];
  for (const { rate } of taxes) {
    const each = readPercent(rate);
    digits = digits * BigInt(each.scale) + BigInt(each.digits) * scale;
    scale *= BigInt(each.scale);
  }
  return { digits, scale };
}

function taxOn(base: number, tax: Tax, divisor: Divisor | undefined): number {
  const rate = readPercent(tax.rate);
  const amount = divisor ? contained(base, rate, divisor, tax.rounding) : percentOf(base, rate, tax.rounding);
  return tax.cap === undefined ? amount : Math.min(amount, tax.cap);
}

/**
 * The part of an amount that is one of the taxes in it, rounded as that one is, in minor units.
 *
 * @example taxIn(106_250, { ...countyTax, rate: "6.25" }, [{ ...countyTax, rate: "6.25" }]) // 6250
 */
export const taxIn = (amount: number, tax: Tax, taxes: readonly Tax[]): number =>
  contained(amount, readPercent(tax.rate), allRates(taxes), tax.rounding);

/** The part of an amount that is a tax of it. */
function contained(base: number, rate: Decimal, all: Divisor, rounding: Rounding): number {
  const numerator = BigInt(base) * BigInt(rate.digits) * all.scale;
  return roundFraction({ numerator, denominator: BigInt(rate.scale) * all.digits }, rounding);
}
