import { percentOf, readPercent } from "../../../interest";
import type { Charge, Structure } from "../../../structure";
import { creditedAllowance, creditedRebates } from "../../../structure";
import type { LeaseTax } from "./lease";

/** What of a lease its taxes are reckoned on, in minor units. */
type LeaseBases = {
  price: number;
  fees: readonly number[];
  extras: readonly number[];
  /** The acquisition fee, where it is taxed. */
  acquisition: number;
  cash: number;
  rebates: number;
  /** What trade-ins are worth beyond what is owed on them; 0 where they are worth less. */
  equity: number;
  sumOfPayments: number;
};

/** What a tax that is reckoned once comes to. */
export type OnceTax = { name: string; base: number; amount: number; isFinanced: boolean };

const LINES = ["price", "fees", "extras"] as const;
const ONCE = [...LINES, "reduction", "sumOfPayments"] as const;

/**
 * The taxes that are reckoned once, each rounded on its sum; a tax on nothing but payments or the purchase is not among
 * them.
 *
 * @example onceTaxes([countyTax], structure, { ...nothingTaxed, cash: 200000 })[0].amount // 12500
 */
export function onceTaxes(taxes: readonly LeaseTax[], structure: Structure, bases: LeaseBases): OnceTax[] {
  return taxes
    .filter(({ on }) => ONCE.some(part => on.includes(part)))
    .map(tax => {
      const base = capped(tax, onLines(tax, structure, bases) + onReduction(tax, structure, bases));
      return { name: tax.name, base, amount: taxOf(tax, base), isFinanced: tax.isFinanced };
    });
}

/** What the taxes on price, fees and extras come to, without what is reckoned from payments or the reduction. */
export function linesTax(
  taxes: readonly LeaseTax[],
  structure: Structure,
  bases: Pick<LeaseBases, "price" | "fees" | "extras" | "acquisition">,
): number {
  let sum = 0;
  for (const tax of taxes)
    if (LINES.some(part => tax.on.includes(part)))
      sum += taxOf(tax, capped(tax, onLines(tax, structure, { ...bases, sumOfPayments: 0 })));
  return sum;
}

/** What falls with each payment of a base payment, each tax rounded by itself. */
export function paymentTax(taxes: readonly LeaseTax[], base: number): number {
  return sumOn(taxes, "payment", base);
}

/** What is taxed where the vehicle is bought at the end. */
export function purchaseTax(taxes: readonly LeaseTax[], price: number): number {
  return sumOn(taxes, "purchase", price);
}

function sumOn(taxes: readonly LeaseTax[], part: "payment" | "purchase", amount: number): number {
  let sum = 0;
  for (const tax of taxes) if (tax.on.includes(part)) sum += taxOf(tax, capped(tax, amount));
  return sum;
}

/** Price, fees, extras and the sum of payments, the first three less what is credited. */
function onLines(
  tax: LeaseTax,
  structure: Structure,
  bases: Omit<LeaseBases, "cash" | "rebates" | "equity">,
): number {
  const { on } = tax;
  const lines =
    (on.includes("price") ? bases.price : 0) +
    (on.includes("fees") ? taxedSum(structure.fees, bases.fees) + bases.acquisition : 0) +
    (on.includes("extras") ? taxedSum(structure.extras, bases.extras) : 0);
  const credits = creditedAllowance(tax, structure) + creditedRebates(tax, structure);
  return Math.max(lines - credits, 0) + (on.includes("sumOfPayments") ? bases.sumOfPayments : 0);
}

/** Cash, rebates and what trade-ins are worth, unless credited. */
function onReduction(tax: LeaseTax, structure: Structure, { cash, rebates, equity }: LeaseBases): number {
  if (!tax.on.includes("reduction")) return 0;
  const { tradeInCredit } = tax;
  const credited =
    tradeInCredit === true ? equity : tradeInCredit === false ? 0 : Math.min(equity, tradeInCredit);
  return Math.max(cash, 0) + rebates - creditedRebates(tax, structure) + equity - credited;
}

function taxedSum(charges: readonly Charge[] | undefined, amounts: readonly number[]): number {
  let sum = 0;
  for (const [index, { isTaxable }] of (charges ?? []).entries()) if (isTaxable) sum += amounts[index] ?? 0;
  return sum;
}

const capped = ({ capOn }: LeaseTax, base: number) => (capOn === undefined ? base : Math.min(base, capOn));

function taxOf({ rate, rounding, cap }: LeaseTax, base: number): number {
  const amount = percentOf(base, readPercent(rate), rounding);
  return cap === undefined ? amount : Math.min(amount, cap);
}
