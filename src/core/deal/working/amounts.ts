import { groupedAmount } from "../../money";
import { MEASURES } from "../find/measure";
import { knownFigure } from "../known";
import type { Summary } from "../quote";
import { asGiven, type WorkingStep } from "./step";

const writer =
  ({ terms }: Summary) =>
  (minor: number) =>
    groupedAmount(minor, terms.decimals);

/** How the structure leads to the amount financed. */
export function explainAmountFinanced(summary: Summary): WorkingStep {
  const money = writer(summary);
  const { owed } = summary.deal.structure.tradeIn;
  const { price, allowance, down, amountFinanced, deal } = summary;
  const downIsGiven = deal.find === "payment" && !isPercentDown(summary);
  return {
    name: "Amount financed",
    formula: "price − trade-in allowance + owed on the trade-in − cash down",
    filled: `${money(price)} − ${money(allowance)} + ${money(owed)} − ${money(down)}`,
    result: money(amountFinanced),
    remark: "What is still owed on the trade-in is added, because the new loan pays it off.",
    parts: downIsGiven ? [] : [explainDown(summary)],
  };
}

function isPercentDown({ deal }: Summary): boolean {
  return deal.structure.down !== null && "percent" in deal.structure.down;
}

/** What a found figure was found from: "payment 500.00 is at most 500.00". */
export function foundFrom(summary: Summary): string {
  const known = knownFigure(summary.deal) ?? "endDate";
  const { name, asked, text } = MEASURES[known];
  const { decimals } = summary.terms;
  const reached = {
    payment: summary.payment,
    lastPayment: summary.finalPayment,
    totalCost: summary.totalCost,
    financeCharge: summary.financeCharge,
    amountFinanced: summary.amountFinanced,
    endDate: summary.finalDate ?? 0,
  }[known];
  return `${name} ${text(reached, decimals)} is at most ${text(asked(summary.deal), decimals)}`;
}

/** Cash down: typed, a percent of the price, or found. */
export function explainDown(summary: Summary): WorkingStep {
  const money = writer(summary);
  const { deal, price } = summary;
  const { down } = deal.structure;
  if (deal.find === "down" || deal.find === "downPercent") {
    return {
      name: "Cash down",
      formula: "the smallest cash down whose payment or cost does not pass the one asked for",
      filled: foundFrom(summary),
      result: money(summary.down),
      remark: "Less cash down would take it over, unless none is needed at all.",
      parts: [],
    };
  }
  if (down && "percent" in down) {
    return {
      name: "Cash down",
      formula: "percent of the price",
      filled: `${down.percent} % of ${money(price)}`,
      result: money(summary.down),
      rounding: `rounded to the nearest ${money(1)}, halves up`,
      parts: [],
    };
  }
  return asGiven("Cash down", money(summary.down));
}
