import type { Quote } from "../../kinds";
import { roundFraction } from "../../money";
import { type Charge, taxIn } from "../../structure";

/** What a deal's price, fees and extras come to without the taxes that are in them, in minor units. */
type Sold = { price: number; fees: readonly number[]; extras: readonly number[] };

/**
 * What the customer pays for the price and for each fee and extra, without the taxes that are in them; what falls with each
 * payment is paid as often. A tax is taken off each fee and extra that it is on for what of it they contain; the price bears
 * the rest, with every credit. Where a cap leaves less than they contain, they share it.
 *
 * @param quote an answered deal
 * @example soldWithoutTaxes(campervan).price // 3842500
 */
export function soldWithoutTaxes(quote: Quote): Sold {
  const { price, fees, extras } = "reckoned" in quote ? quote.reckoned : quote;
  const { structure } = quote.filled;
  const sold = {
    price,
    fees: inAll(structure.fees, fees, quote.payments),
    extras: inAll(structure.extras, extras, quote.payments),
  };
  if (!structure.isTaxIncluded || !("reckoned" in quote)) return sold;
  const lines = [price, ...fees, ...extras];
  const charges = [...(structure.fees ?? []), ...(structure.extras ?? [])];
  const contained = lines.map(() => 0);
  const { taxes = [] } = structure;
  for (const [index, tax] of taxes.entries()) {
    const names: readonly string[] = tax.on;
    const isOn = (place: number) => {
      if (place === 0) return names.includes("price");
      const list = place <= fees.length ? "fees" : "extras";
      return names.includes(list) && charges[place - 1]?.isTaxable === true;
    };
    const whole = quote.reckoned.taxes[index]?.amount ?? 0;
    const own = lines.map((amount, place) => (place > 0 && isOn(place) ? taxIn(amount, tax, taxes) : 0));
    const parts = sharesOf(whole, own, isOn(0));
    for (const [place, part] of parts.entries()) contained[place] = (contained[place] ?? 0) + part;
  }
  const [ofPrice = 0, ...others] = contained;
  return {
    price: sold.price - ofPrice,
    fees: sold.fees.map((amount, place) => amount - (others[place] ?? 0)),
    extras: sold.extras.map((amount, place) => amount - (others[fees.length + place] ?? 0)),
  };
}

/** What falls with each payment, as often as there are payments. */
function inAll(
  charges: readonly Charge[] = [],
  amounts: readonly number[],
  payments: number,
): readonly number[] {
  return charges.map((charge, index) => {
    const amount = amounts[index] ?? 0;
    return charge.paid === "withEachPayment" ? amount * payments : amount;
  });
}

/** A tax by its lines: each its own, the price the rest; or, where that would be below zero, in proportion to their own. */
function sharesOf(whole: number, own: readonly number[], isOnPrice: boolean): number[] {
  const sum = own.reduce((all, each) => all + each, 0);
  if (isOnPrice && sum <= whole) return [whole - sum, ...own.slice(1)];
  let [passed, given] = [0, 0];
  return own.map(each => {
    passed += each;
    const upTo =
      sum === 0
        ? 0
        : roundFraction({ numerator: BigInt(whole) * BigInt(passed), denominator: BigInt(sum) }, "nearest");
    const part = upTo - given;
    given = upTo;
    return part;
  });
}
