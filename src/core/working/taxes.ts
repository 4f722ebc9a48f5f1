import type { Quote } from "../quote";
import { creditedAllowance, creditedRebates, sumText, type Tax, type Term, taxedTerms } from "../structure";
import { asGiven, moneyWriter, type WorkingStep } from "./step";

/** What the taxes come to, each with what it is reckoned on. */
export function explainTaxes(quote: Quote): WorkingStep {
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

function explainTax(quote: Quote, tax: Tax, index: number): WorkingStep {
  const money = moneyWriter(quote);
  const { structure } = quote.filled;
  const { base = 0, amount = 0 } = quote.reckoned.taxes[index] ?? {};
  const isIncluded = structure.isTaxIncluded ?? false;
  const rates = (structure.taxes ?? []).map(({ rate }) => rate).join(" + ");
  const isCapped = tax.cap !== undefined && amount === tax.cap;
  return {
    name: tax.name,
    formula: isIncluded ? "rate ÷ (100 + all rates) of what contains it" : "rate of what is taxed",
    filled: isIncluded
      ? `${money(base)} × ${tax.rate} ÷ (100 + ${rates})`
      : `${tax.rate} % of ${money(base)}`,
    result: money(amount),
    rounding: `rounded ${ROUNDED[tax.rounding]} ${money(1)}${isCapped ? `, at most ${money(tax.cap ?? 0)}` : ""}`,
    ...(isIncluded && { remark: "The prices contain it: it is shown, and not added." }),
    parts: [explainBase(quote, tax, base)],
  };
}

/** What a tax is reckoned on, line by line. */
function explainBase(quote: Quote, tax: Tax, base: number): WorkingStep {
  const money = moneyWriter(quote);
  const { structure } = quote.filled;
  const credits: Term[] = [
    { name: "trade-in allowance credited", sign: -1, amount: creditedAllowance(tax, structure) },
    { name: "rebates credited", sign: -1, amount: creditedRebates(tax, structure) },
  ];
  const terms = [
    ...taxedTerms(tax, structure, quote.reckoned),
    ...credits.filter(({ amount }) => amount > 0),
  ];
  const isCapped = tax.capOn !== undefined && base === tax.capOn;
  return {
    name: "Taxed",
    ...sumText(terms, money),
    result: money(base),
    ...(isCapped && { remark: `No more than ${money(tax.capOn ?? 0)} is taxed.` }),
    parts: [],
  };
}
