import { useCallback, useMemo } from "react";
import type { LeaseQuote, LeaseRow } from "@/core";
import { leaseChart } from "@/exchange/charts/chart-lines";
import { leaseLine } from "@/exchange/kinds/lease/words/line";
import { NO_EXTRAS } from "@/exchange/kinds/lease/words/no-extras";
import { amountIn, dateIn, type Notation } from "@/exchange/notation";
import { LeaseProof } from "@/features/repayment/LeaseProof";
import { saveSchedule } from "@/features/repayment/save-schedule";
import { useSentenceWriter } from "../answer/use-sentence-writer";
import { EndingEarly } from "../kinds/lease/EndingEarly";
import { isStale, notationIn, shownQuote } from "../option";
import { useOptionOf } from "../option/option-context";
import { CardSection } from "./CardSection";
import type { MoreColumn } from "./columns";
import { leaseColumnNames, leaseLines } from "./lease-lines";
import type { Marks } from "./marks";
import { RepaymentChart } from "./RepaymentChart";
import { TableAndChart } from "./TableAndChart";
import { ViewLayout } from "./ViewLayout";

/** How a lease is paid down to its residual, and what ending it early costs. */
export function LeaseRepayment({ fileName }: { fileName: string }) {
  const { option } = useOptionOf("lease");
  const quote = shownQuote(option);
  if (!quote)
    return <p className="card-paper p-4 text-faint">The repayment appears once the deal has an answer.</p>;
  return <Shown quote={quote} fileName={fileName} />;
}

function Shown({ quote, fileName }: { quote: LeaseQuote; fileName: string }) {
  const { option } = useOptionOf("lease");
  const { currency } = quote.deal;
  const write = useSentenceWriter(currency);
  const notation = notationIn(option);
  const stale = isStale(option);
  const lines = useCallback((more: readonly MoreColumn[]) => leaseLines(quote, more), [quote]);
  return (
    <ViewLayout line={leaseLine(quote, write)} stale={stale} cards={<Cards />}>
      <TableAndChart
        lines={lines}
        columnNames={useMemo(() => leaseColumnNames(quote), [quote])}
        proof={<LeaseProof quote={quote} money={minor => amountIn(minor, currency, notation)} />}
        found={quote.deal.find === "payment" ? "Payment" : undefined}
        notation={notation}
        stale={stale}
        download={forSpreadsheet => void saveSchedule(quote, fileName, forSpreadsheet ? notation : undefined)}
        picture={marks => <LeaseChart quote={quote} marks={marks} notation={notation} stale={stale} />}
      />
    </ViewLayout>
  );
}

const Cards = () => (
  <>
    <CardSection title="Extra payments">
      <p className="text-faint">{NO_EXTRAS}</p>
    </CardSection>
    <CardSection title="Ending early">
      <div className="-mx-4">
        <EndingEarly />
      </div>
    </CardSection>
  </>
);

type ChartProps = { quote: LeaseQuote; marks: Marks; notation: Notation; stale: boolean };

function LeaseChart({ quote, marks, notation, stale }: ChartProps) {
  const { schedule, cost, residual, deal } = quote;
  const { currency } = deal;
  const lines = useMemo(() => leaseChart(schedule), [schedule]);
  const words = useMemo(() => {
    const money = (minor: number) => amountIn(minor, currency, notation);
    return {
      label: `What the vehicle still stands for, from ${money(cost)} at signing down to ${money(residual)}, and what each payment is made of.`,
      title: `what the vehicle still stands for, ${currency}: from ${money(cost)} down to the residual of ${money(residual)}`,
      balance: "residual",
      costSoFar: "rent so far",
      cost: "rent",
      principal: "lost value",
    };
  }, [cost, residual, currency, notation]);
  return (
    <RepaymentChart
      lines={lines}
      planned={lines}
      start={cost}
      currency={currency}
      words={words}
      said={place => (schedule[place] ? pointText(schedule[place], currency, notation) : "")}
      marks={marks}
      stale={stale}
    />
  );
}

function pointText(row: LeaseRow, currency: string, notation: Notation): string {
  const { kind, number, date, payment, rent, depreciation, tax, balance } = row;
  const money = (minor: number) => amountIn(minor, currency, notation);
  const day = date === null ? "" : `, ${dateIn(date, notation)}`;
  if (kind === "closing") return `at the end${day}: ${money(balance)} left, the residual`;
  const taxed = tax > 0 ? `, ${money(tax)} tax` : "";
  return `payment ${number}${day}: ${money(payment)}, of it ${money(rent)} rent, ${money(depreciation)} lost value${taxed}; ${money(balance)} left`;
}
