import { memo } from "react";
import type { Quote, WorkedFigure } from "@/core";
import { amountText } from "@/exchange/text";
import { useDesk } from "./desk/desk-context";
import { isStale, shownQuote } from "./option";
import { WorkingButton } from "./WorkingButton";

type Cost = {
  figure: WorkedFigure;
  name: string;
  minor: (quote: Quote) => number;
  includes: (quote: Quote) => string;
};

const COSTS: Cost[] = [
  {
    figure: "financeCharge",
    name: "Finance charge",
    minor: quote => quote.financeCharge,
    includes: quote =>
      (quote.deal.plan.prepaidCharge ?? 0) > 0 ? "all interest + charge at signing" : "all interest; no fees",
  },
  {
    figure: "totalOfPayments",
    name: "Total of payments",
    minor: quote => quote.totalOfPayments,
    includes: includedInPayments,
  },
  {
    figure: "totalCost",
    name: "Total cost",
    minor: quote => quote.totalCost,
    includes: includedInTotalCost,
  },
];

function includedInPayments({
  payments,
  payment,
  finalPayment,
  balloon,
  totalOfPayments,
  deal,
}: Quote): string {
  if (payments === 1 && totalOfPayments === finalPayment) return "one payment";
  if (totalOfPayments !== (payments - 1) * payment + finalPayment + balloon) return "every line of the table";
  const end = balloon > 0 ? " + balloon" : "";
  return `${payments - 1} × ${amountText(payment, deal.currency)} + the last${end}`;
}

function includedInTotalCost({ deal, down }: Quote): string {
  const { allowance, owed } = deal.structure.tradeIn;
  const parts = [
    "payments",
    ...((deal.plan.prepaidCharge ?? 0) > 0 ? ["charge at signing"] : []),
    ...(down > 0 ? ["down"] : []),
    ...(allowance > 0 ? ["trade-in"] : []),
  ];
  return `${parts.join(" + ")}${owed > 0 ? " − owed on it" : ""}`;
}

/** What the deal really costs, each figure with what it includes and its working. */
export const CostFigures = memo(function CostFigures() {
  const { option } = useDesk();
  const quote = shownQuote(option);
  if (!quote) return null;
  return (
    <section aria-label="What it costs" className="grid gap-3 sm:grid-cols-3">
      {COSTS.map(({ figure, name, minor, includes }) => (
        <div key={figure} className="card-paper px-4 py-2.5">
          <div className="flex items-center justify-between">
            <h3 className="font-normal font-sans text-faint text-sm">{name}</h3>
            <WorkingButton figure={figure} name={name.toLowerCase()} />
          </div>
          <output
            className={`block font-semibold font-serif text-xl ${isStale(option) ? "stale" : ""}`}
            data-testid={figure}
          >
            {amountText(minor(quote), quote.deal.currency)}
          </output>
          <p className="text-faint text-sm leading-tight">{includes(quote)}</p>
        </div>
      ))}
    </section>
  );
});
