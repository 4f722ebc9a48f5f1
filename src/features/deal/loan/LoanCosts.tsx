import { memo, useEffect, useState } from "react";
import type { Quote, WorkedFigure } from "@/core";
import { amountText } from "@/exchange/text";
import { CostCard, CostCards } from "../answer/CostCard";
import { shownQuote } from "../option";
import { useLoan, useNotation } from "../option/option-context";
import { whenRestIsLoaded } from "../option/use-loaded";
import { costOf } from "./cost-of";

type Cost = {
  figure: WorkedFigure;
  name: string;
  text: (quote: Quote) => string;
  includes: (quote: Quote) => string;
  /** Shown only where credit is compared by it. */
  isEffectiveRate?: true;
};

const COSTS: Cost[] = [
  {
    figure: "financeCharge",
    name: "Finance charge",
    text: ({ financeCharge, deal }) => amountText(financeCharge, deal.currency),
    includes: includedInFinanceCharge,
  },
  { figure: "apr", name: "APR", text: quote => rateText(quote, "apr"), includes: includedInApr },
  {
    figure: "effectiveRate",
    name: "Effective rate",
    text: quote => rateText(quote, "effectiveRate"),
    includes: includedInEffectiveRate,
    isEffectiveRate: true,
  },
  {
    figure: "dueAtSigning",
    name: "Due at signing",
    text: ({ dueAtSigning, deal }) => amountText(dueAtSigning.total, deal.currency),
    includes: includedAtSigning,
  },
  {
    figure: "totalCost",
    name: "Total cost",
    text: ({ totalCost, deal }) => amountText(totalCost, deal.currency),
    includes: includedInTotalCost,
  },
];

function includedInFinanceCharge({ totalInterest, financeCharge, deal }: Quote): string {
  const others = financeCharge - totalInterest;
  if (others === 0) return "all interest; no fees";
  const money = (minor: number) => amountText(minor, deal.currency);
  return `interest ${money(totalInterest)} + fees ${money(others)}`;
}

/** The first of what is due at signing; its working lists all of it. */
function includedAtSigning({ dueAtSigning: { items } }: Quote): string {
  if (items.length === 0) return "nothing";
  const [first, ...others] = items;
  return others.length === 0 ? (first?.name ?? "") : `${first?.name} and ${others.length} more`;
}

const RATE_PLACES = { apr: 4, effectiveRate: 2 };

function rateText(quote: Quote, rate: keyof typeof RATE_PLACES): string {
  const cost = costOf(quote);
  if (!cost) return "…";
  return cost.ok ? `${cost.value[rate].toFixed(RATE_PLACES[rate])} %` : "none";
}

function includedInApr(quote: Quote): string {
  const cost = costOf(quote);
  if (cost?.ok === false) return cost.failure.sentence;
  return quote.financeCharge > quote.totalInterest ? "a year: interest + fees" : "a year, by Regulation Z";
}

function includedInEffectiveRate(quote: Quote): string {
  const cost = costOf(quote);
  return cost?.ok === false ? cost.failure.sentence : "a year, interest on interest";
}

function includedInTotalCost({ filled: { structure }, charges, dueAtSigning, down }: Quote): string {
  const { tradeIns, deposit = 0 } = structure;
  const isTraded = tradeIns.some(({ allowance }) => (allowance ?? 0) > 0);
  const isAtSigning = dueAtSigning.items.some(({ figure }) => figure !== "down" && figure !== "payment");
  const parts = [
    "payments",
    ...(charges ? ["charges with them"] : []),
    ...(down > 0 ? ["down"] : []),
    ...(isAtSigning ? ["fees at signing"] : []),
    ...(deposit > 0 ? ["deposit"] : []),
    ...(isTraded ? ["trade-in"] : []),
  ];
  return `${parts.join(" + ")}${tradeIns.some(({ owed }) => owed > 0) ? " − owed on it" : ""}`;
}

/** What the deal really costs, each figure with what it includes and its working. */
export const LoanCosts = memo(function LoanCosts() {
  const { option } = useLoan();
  const { usesEffectiveRate } = useNotation().notation;
  const quote = shownQuote(option);
  const isWaiting = quote !== null && costOf(quote) === undefined;
  const [, drawAgain] = useState(0);
  useEffect(() => {
    if (isWaiting) whenRestIsLoaded(() => drawAgain(count => count + 1));
  }, [isWaiting]);
  if (!quote) return null;
  return (
    <CostCards>
      {COSTS.filter(({ isEffectiveRate }) => usesEffectiveRate || !isEffectiveRate).map(
        ({ figure, name, text, includes }) => (
          <CostCard key={figure} figure={figure} name={name} text={text(quote)} includes={includes(quote)} />
        ),
      )}
    </CostCards>
  );
});
