import { knownFigure } from "../deal";
import { MEASURES } from "../find";
import type { Quote } from "../quote";
import { loanAmountText } from "../structure";
import { asGiven, moneyWriter, type WorkingStep } from "./step";

/** What a formula calls the amount that interest is reckoned on: without a charge at signing it is the one financed. */
export function loanName({ deal }: Quote): "loan amount" | "amount financed" {
  return (deal.plan.prepaidCharge ?? 0) > 0 ? "loan amount" : "amount financed";
}

/** What the customer has the use of. */
export function explainAmountFinanced(quote: Quote): WorkingStep {
  const charge = quote.deal.plan.prepaidCharge ?? 0;
  if (charge === 0) return explainLoanAmount(quote);
  const money = moneyWriter(quote);
  return {
    name: "Amount financed",
    formula: "loan amount − finance charge paid at signing",
    filled: `${money(quote.loanAmount)} − ${money(charge)}`,
    result: money(quote.amountFinanced),
    source: "12 CFR 1026.18(b)",
    parts: [explainLoanAmount(quote)],
  };
}

/** How the structure leads to what the note says. */
export function explainLoanAmount(quote: Quote): WorkingStep {
  const money = moneyWriter(quote);
  const { loanAmount, deal, filled } = quote;
  const downIsGiven = deal.find === "payment" && !isPercentDown(quote);
  return {
    name: loanName(quote) === "loan amount" ? "Loan amount" : "Amount financed",
    ...loanAmountText(filled.structure, money),
    result: money(loanAmount),
    remark: "What is still owed on the trade-in is added, because the new loan pays it off.",
    parts: downIsGiven ? [] : [explainDown(quote)],
  };
}

function isPercentDown({ deal }: Quote): boolean {
  return deal.structure.down !== null && "percent" in deal.structure.down;
}

/** What a found figure was found from: "payment 500.00 is at most 500.00". */
export function foundFrom(quote: Quote): string {
  const known = knownFigure(quote.deal) ?? "endDate";
  const { name, asked, text } = MEASURES[known];
  const { decimals } = quote;
  const reached = {
    payment: quote.payment,
    lastPayment: quote.finalPayment,
    totalCost: quote.totalCost,
    financeCharge: quote.financeCharge,
    loanAmount: quote.loanAmount,
    amountFinanced: quote.amountFinanced,
    endDate: quote.finalDate ?? 0,
    payments: quote.payments,
  }[known];
  return `${name} ${text(reached, decimals)} is at most ${text(asked(quote.deal), decimals)}`;
}

/** Cash down: typed, a percent of the price, or found. */
export function explainDown(quote: Quote): WorkingStep {
  const money = moneyWriter(quote);
  const { deal, price } = quote;
  const { down } = deal.structure;
  if (deal.find === "down" || deal.find === "downPercent") {
    return {
      name: "Cash down",
      formula: "the smallest cash down whose payment or cost does not pass the one asked for",
      filled: foundFrom(quote),
      result: money(quote.down),
      remark: "Less cash down would take it over, unless none is needed at all.",
      parts: [],
    };
  }
  if (down && "percent" in down) {
    return {
      name: "Cash down",
      formula: "percent of the price",
      filled: `${down.percent} % of ${money(price)}`,
      result: money(quote.down),
      rounding: `rounded to the nearest ${money(1)}, halves up`,
      parts: [],
    };
  }
  return asGiven("Cash down", money(quote.down));
}
