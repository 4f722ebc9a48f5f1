import {
  creditedAllowance,
  creditedRebates,
  sumText,
  type Tax,
  type Term,
  taxedTerms,
} from "../../../structure";
import { asGiven, moneyWriter, type WorkingStep } from "../../../working";
import type { LoanQuote } from "../quote";

/** What the taxes come to, each with what it is reckoned on. */
export function explainTaxes(quote: LoanQuote): WorkingStep {
  const money = moneyWriter(quote);
  const { taxes = [] } = quote.filled.structure;
  const steps = taxes.map((tax, index) => explainTax(quote, tax, index));
  const [first] = steps;
  if (!first) return asGiven("Taxes", money(0));
  if (steps.length === 1) return first;
  const amounts = quote.reckoned.taxes.map(({ name, amount }): Term => ({ name, sign: 1, amount }));
  return { name: "Taxes", ...sumText(amounts, money), result: money(quote.reckoned.taxTotal), parts: steps };
}

const ROUNDED = { nearest: "to the nearest", up: "up to the next", down: "down to the last" };

/** How a tax came about: what it is reckoned on line by line, the rule, and what it comes to, in minor units. */
export type TaxWorking = { terms: readonly Term[]; base: number; rule: string; amount: number };

/**
 * How a tax of a quote came about, as numbers.
 *
 * @param index its place among the taxes
 * @returns undefined where there is no such tax
 */
export function taxWorking(quote: LoanQuote, index: number): TaxWorking | undefined {
  const { structure } = quote.filled;
  const tax = structure.taxes?.[index];
  const reckoned = quote.reckoned.taxes[index];
  if (!tax || !reckoned) return undefined;
  const credits: Term[] = [
    { name: "trade-in allowance, credited", sign: -1, amount: creditedAllowance(tax, structure) },
    { name: "rebates, credited", sign: -1, amount: creditedRebates(tax, structure) },
  ];
  return {
    terms: [...taxedTerms(tax, structure, quote.reckoned), ...credits.filter(({ amount }) => amount > 0)],
    base: reckoned.base,
    rule: `${rateText(quote, tax)}, ${roundingText(quote, tax)}${capText(quote, tax, reckoned.amount)}`,
    amount: reckoned.amount,
  };
}

/** What of the taxed amount a tax is: where it is in the price, the part that all taxes leave to it. */
function rateText({ filled }: LoanQuote, { rate }: Tax): string {
  const { isTaxIncluded, taxes = [] } = filled.structure;
  return isTaxIncluded ? `× ${rate} ÷ (100 + ${taxes.map(each => each.rate).join(" + ")})` : `× ${rate} %`;
}

function roundingText(quote: LoanQuote, { rounding }: Tax): string {
  return `${ROUNDED[rounding]} ${moneyWriter(quote)(1)}`;
}

function capText(quote: LoanQuote, { cap }: Tax, amount: number): string {
  return cap !== undefined && amount === cap ? `, at most ${moneyWriter(quote)(cap)}` : "";
}

function explainTax(quote: LoanQuote, tax: Tax, index: number): WorkingStep {
  const money = moneyWriter(quote);
  const { terms, base, amount } = taxWorking(quote, index) ?? { terms: [], base: 0, amount: 0 };
  const isIncluded = quote.filled.structure.isTaxIncluded ?? false;
  const isCapped = tax.capOn !== undefined && base === tax.capOn;
  const taxed: WorkingStep = {
    name: "Taxed",
    ...sumText(terms, money),
    result: money(base),
    ...(isCapped && { remark: `No more than ${money(base)} is taxed.` }),
    parts: [],
  };
  return {
    name: tax.name,
    formula: isIncluded ? "rate ÷ (100 + all rates) of what contains it" : "rate of what is taxed",
    filled: `${money(base)} ${rateText(quote, tax)}`,
    result: money(amount),
    rounding: `rounded ${roundingText(quote, tax)}${capText(quote, tax, amount)}`,
    ...(isIncluded && { remark: "The prices contain it: it is shown, and not added." }),
    parts: [taxed],
  };
}
