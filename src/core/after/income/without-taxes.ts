import type { Quote } from "../../kinds";
import { type Charge, taxIn } from "../../structure";

/** What a deal's price, fees and extras come to without the taxes that are in them, in minor units. */
type Sold = { price: number; fees: readonly number[]; extras: readonly number[] };

/**
 * What the customer pays for the price and for each fee and extra, without the taxes that are in them; what falls with each
 * payment is paid as often. A tax is taken off each fee and extra that it is on for what of it they contain; the rest of what
 * it comes to is in the price.
 *
 * @param quote an answered deal
 * @example soldWithoutTaxes(campervan).price // 3842500
 */
export function soldWithoutTaxes(quote: Quote): Sold {
  const { price, fees, extras } = "reckoned" in quote ? quote.reckoned : quote;
  const { structure } = quote.filled;
  const { taxes = [], isTaxIncluded } = structure;
  const sold = {
    price,
    fees: inAll(structure.fees, fees, quote.payments),
    extras: inAll(structure.extras, extras, quote.payments),
  };
  if (!isTaxIncluded || !("reckoned" in quote)) return sold;
  const within = (charges: readonly Charge[] = [], amounts: readonly number[], list: "fees" | "extras") =>
    charges.map(({ isTaxable }, index) =>
      taxes.map(tax => (isTaxable && tax.on.includes(list) ? taxIn(amounts[index] ?? 0, tax, taxes) : 0)),
    );
  const inFees = within(structure.fees, fees, "fees");
  const inExtras = within(structure.extras, extras, "extras");
  const ofTax = (lines: readonly number[][], index: number) => sum(lines.map(parts => parts[index] ?? 0));
  const inPrice = taxes.map(({ on }, index) =>
    on.includes("price")
      ? (quote.reckoned.taxes[index]?.amount ?? 0) - ofTax(inFees, index) - ofTax(inExtras, index)
      : 0,
  );
  return {
    price: sold.price - sum(inPrice),
    fees: sold.fees.map((amount, index) => amount - sum(inFees[index] ?? [])),
    extras: sold.extras.map((amount, index) => amount - sum(inExtras[index] ?? [])),
  };
}

const sum = (amounts: readonly number[]) => amounts.reduce((all, each) => all + each, 0);

/** What falls with each payment, as often as there are payments. */
function inAll(
  charges: readonly Charge[] = [],
  amounts: readonly number[],
  payments: number,
): readonly number[] {
  return charges.map(
    ({ paid }, index) => (amounts[index] ?? 0) * (paid === "withEachPayment" ? payments : 1),
  );
}
