import { memo } from "react";
import { costOfCredit, type Quote, type WorkedFigure } from "@/core";
import { amountText } from "@/exchange/text";
import { useDesk } from "./desk/desk-context";
import { isStale, shownQuote } from "./option";
import { WorkingButton } from "./WorkingButton";

type Cost = {
  figure: WorkedFigure;
  name: string;
  text: (quote: Quote) => string;
  includes: (quote: Quote) => string;
};

const amount = (figure: "financeCharge" | "totalOfPayments" | "totalCost") => (quote: Quote) =>
  amountText(quote[figure], quote.deal.currency);

const COSTS: Cost[] = [
  {
    figure: "financeCharge",
    name: "Finance charge",
    text: amount("financeCharge"),
    includes: quote =>
      (quote.deal.plan.prepaidCharge ?? 0) > 0 ? "all interest + charge at signing" : "all interest; no fees",
  },
  {
    figure: "totalOfPayments",
    name: "Total of payments",
    text: amount("totalOfPayments"),
    includes: includedInPayments,
  },
  {
    figure: "totalCost",
    name: "Total cost",
    text: amount("totalCost"),
    includes: includedInTotalCost,
  },
  { figure: "apr", name: "APR", text: aprText, includes: includedInApr },
];

const APR_PLACES = 4;

function aprText(quote: Quote): string {
  const cost = costOfCredit(quote);
  return cost.ok ? `${cost.value.apr.toFixed(APR_PLACES)} %` : "none";
}

function includedInApr(quote: Quote): string {
  const cost = costOfCredit(quote);
  if (!cost.ok) return cost.failure.sentence;
  return (quote.deal.plan.prepaidCharge ?? 0) > 0
    ? "a year: interest + charge at signing"
    : "a year, by Regulation Z";
}

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

/** A name within a sentence: an abbreviation stays as it is. */
const nameInSentence = (name: string) => (name === name.toUpperCase() ? name : name.toLowerCase());

/** What the deal really costs, each figure with what it includes and its working. */
export const CostFigures = memo(function CostFigures() {
  const { option } = useDesk();
  const quote = shownQuote(option);
  if (!quote) return null;
  return (
    <section aria-label="What it costs" className="grid grid-cols-2 gap-3 xl:grid-cols-4">
      {COSTS.map(({ figure, name, text, includes }) => (
        <div key={figure} className="card-paper px-4 py-2.5">
          <div className="flex items-center justify-between">
            <h3 className="font-normal font-sans text-faint text-sm">{name}</h3>
            <WorkingButton figure={figure} name={nameInSentence(name)} />
          </div>
          <output
            className={`block font-semibold font-serif text-xl ${isStale(option) ? "stale" : ""}`}
            data-testid={figure}
          >
            {text(quote)}
          </output>
          <p className="text-faint text-sm leading-tight">{includes(quote)}</p>
        </div>
      ))}
    </section>
  );
});
