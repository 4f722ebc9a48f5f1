import { sumOfAmounts } from "../amount-lines";
import type { DayNumber } from "../calendar";
import { type Deal, kindNameOf, type Quote } from "../kinds";
import {
  type Charge,
  isReckonedFromLoan,
  type Structure,
  settle,
  sumOfCharges,
  type Tax,
} from "../structure";
import type { KeepFor } from "./keep-for";
import { monthsSince } from "./time";
import { flow, type Way } from "./way";

/** Whose taxes a purchase in cash is reckoned with. */
export type TaxesFrom = "option" | "loan" | "house" | "none";

/** What paying in cash takes at signing, line by line in minor units. */
export type CashPrice = {
  price: number;
  /** Fees and extras without those of the credit. */
  charges: number;
  taxes: number;
  /** What the maker or the dealer gives back either way, and what only for cash. */
  rebates: number;
  cashRebate: number;
  total: number;
  taxesFrom: TaxesFrom;
};

/** The taxes of a purchase: whose they are, and whether they are in the price. */
type PurchaseTaxes = { from: TaxesFrom; taxes: readonly Tax[]; isIncluded: boolean };

/**
 * Whose taxes a purchase in cash is reckoned with: the chosen option's; where that is a lease, those of the deal's first
 * loan, else the house's usual ones.
 *
 * @param quotes the deal's options, null for one without an answer
 * @param chosen the number of the chosen one, from 0
 * @param usual the house's taxes; none where left out
 */
export function purchaseTaxes(
  quotes: readonly (Quote | null)[],
  chosen: number,
  usual: readonly Tax[] | undefined,
): PurchaseTaxes {
  const isLoan = (quote: Quote | null | undefined) =>
    quote !== null && quote !== undefined && kindNameOf(quote.filled) === "loan";
  const own = quotes[chosen];
  const [from, quote] = isLoan(own) ? (["option", own] as const) : (["loan", quotes.find(isLoan)] as const);
  if (quote) {
    const { taxes = [], isTaxIncluded = false } = quote.filled.structure;
    return { from, taxes, isIncluded: isTaxIncluded };
  }
  return usual && usual.length > 0
    ? { from: "house", taxes: usual, isIncluded: false }
    : { from: "none", taxes: [], isIncluded: false };
}

/**
 * What an option's vehicle costs without credit: its price, fees and extras but those in the finance charge or reckoned
 * from the loan, the taxes on all of these, less rebates. A trade-in counts as money given, as it does in every way.
 *
 * @param quote the option
 * @param taxes of a purchase
 * @param keepFor lines that were typed stand in place of those that follow
 */
export function cashPrice(
  { filled, payments }: Quote,
  taxes: PurchaseTaxes,
  { cash, cashRebate }: Pick<KeepFor, "cash" | "cashRebate">,
): CashPrice {
  const structure = withoutCredit(filled, taxes);
  const reckoned = settle(structure);
  const charges =
    sumOfCharges(structure, reckoned, ({ paid }) => paid !== "withEachPayment") +
    payments * sumOfCharges(structure, reckoned, ({ paid }) => paid === "withEachPayment");
  let given = sumOfAmounts(structure, ({ sign, ownCost }) => sign < 0 && ownCost === 0);
  for (const { amount } of structure.rebates ?? []) given += amount;
  const lines = {
    price: cash.price ?? reckoned.price,
    charges: cash.charges ?? charges,
    taxes: cash.taxes ?? (taxes.isIncluded ? 0 : reckoned.taxTotal),
    rebates: cash.rebates ?? given,
    cashRebate: cashRebate?.amount ?? 0,
  };
  const total = lines.price + lines.charges + lines.taxes - lines.rebates - lines.cashRebate;
  return { ...lines, total, taxesFrom: taxes.from };
}

function withoutCredit({ structure }: Deal, { taxes, isIncluded }: PurchaseTaxes): Structure {
  const isOfTheVehicle = (charge: Charge) => !charge.isFinanceCharge && !isReckonedFromLoan(charge);
  return {
    ...structure,
    fees: structure.fees?.filter(isOfTheVehicle) ?? [],
    extras: structure.extras?.filter(isOfTheVehicle) ?? [],
    taxes,
    isTaxIncluded: isIncluded,
    down: null,
  };
}

/** Paid in cash at signing, and sold. */
export function cashWay({ total }: CashPrice, signed: DayNumber): Way {
  const flows = flow(signed, total, "cashPrice");
  return {
    option: null,
    end: "sold",
    signed,
    flows,
    endDate: null,
    endingOn: date => ({
      how: "sold",
      taken: flows.length,
      more: [],
      driven: [],
      worth: { age: monthsSince(signed, date), isFirst: true },
      owed: 0,
    }),
  };
}
