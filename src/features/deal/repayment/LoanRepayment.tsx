import { lazy, memo, Suspense, useCallback, useMemo, useState } from "react";
import { type LoanQuote, type PaymentRow, principalLeads, type RepaidEarly, whyNoExtras } from "@/core";
import { loanChart } from "@/exchange/charts/chart-lines";
import type { RepaymentChart as Picture } from "@/exchange/charts/repayment-chart";
import { loanLine } from "@/exchange/kinds/loan/words/line";
import { amountIn, dateIn, type Notation } from "@/exchange/notation";
import { LoanProof } from "@/features/repayment/LoanProof";
import { saveSchedule } from "@/features/repayment/save-schedule";
import { useSentenceWriter } from "../answer/use-sentence-writer";
import { isStale, notationIn, shownQuote } from "../option";
import { useOptionOf } from "../option/option-context";
import type { MoreColumn } from "./columns";
import { ASSUMED, EarlyEnding } from "./EarlyEnding";
import { Lumps } from "./Lumps";
import { loanColumnNames, loanLines } from "./loan-lines";
import type { Marks } from "./marks";
import { RepaymentChart } from "./RepaymentChart";
import { TableAndChart } from "./TableAndChart";
import { TriedContext } from "./tried-context";
import { useEarly } from "./use-early";
import { ViewLayout } from "./ViewLayout";

// The table is painted first; what is asked of it comes after that.
const LoanCards = lazy(() => import("./LoanCards").then(({ LoanCards: cards }) => ({ default: cards })));
const EarlyGrid = lazy(() => import("./EarlyGrid").then(({ EarlyGrid: grid }) => ({ default: grid })));

/** How a loan is repaid, and what can be asked of it. */
export function LoanRepayment({ fileName }: { fileName: string }) {
  const { option } = useOptionOf("loan");
  const quote = shownQuote(option);
  if (!quote)
    return <p className="card-paper p-4 text-faint">The repayment appears once the deal has an answer.</p>;
  return <Shown quote={quote} fileName={fileName} />;
}

function Shown({ quote, fileName }: { quote: LoanQuote; fileName: string }) {
  const { option } = useOptionOf("loan");
  const write = useSentenceWriter(quote.deal.currency);
  const tried = useEarly(quote);
  const stale = isStale(option);
  const line = useMemo(() => loanLine(quote, write), [quote, write]);
  return (
    <TriedContext value={tried}>
      <ViewLayout
        line={line}
        stale={stale}
        cards={
          <Suspense fallback={null}>
            <LoanCards quote={quote} tried={tried} />
          </Suspense>
        }
      >
        <TriedTable
          quote={quote}
          repaid={tried.repaid?.ok ? tried.repaid.value : undefined}
          notation={notationIn(option)}
          stale={stale}
          fileName={fileName}
        />
      </ViewLayout>
    </TriedContext>
  );
}

type TableProps = {
  quote: LoanQuote;
  /** What is tried made of the loan; undefined where nothing is. */
  repaid: RepaidEarly | undefined;
  notation: Notation;
  stale: boolean;
  fileName: string;
};

/** The table as planned, or with what is tried; above it its chart, or the grid of what could be tried. */
const TriedTable = memo(function TriedTable({ quote, repaid, notation, stale, fileName }: TableProps) {
  const [wantsPlan, setWantsPlan] = useState(false);
  const [isGrid, setGrid] = useState(false);
  const isPlanned = !repaid || wantsPlan;
  const rows: readonly PaymentRow[] = isPlanned ? quote.schedule : repaid.schedule;
  const takesExtras = whyNoExtras(quote) === undefined;
  const lines = useCallback((more: readonly MoreColumn[]) => loanLines(quote, rows, more), [quote, rows]);
  const money = (minor: number) => amountIn(minor, quote.deal.currency, notation);
  const interest = rows.reduce((sum, row) => sum + row.interest, 0);
  return (
    <TableAndChart
      lines={lines}
      columnNames={useMemo(() => loanColumnNames(quote), [quote])}
      proof={<LoanProof quote={quote} rows={rows} money={money} />}
      found={quote.deal.find === "payment" ? "Payment" : undefined}
      notation={notation}
      stale={stale}
      choices={
        <>
          {takesExtras && (
            <select
              className="choice-in-words"
              aria-label="What stands above the table"
              value={isGrid ? "grid" : "chart"}
              onChange={({ target }) => setGrid(target.value === "grid")}
            >
              <option value="chart">chart</option>
              <option value="grid">grid</option>
            </select>
          )}
          {repaid && (
            <select
              className="choice-in-words"
              aria-label="Which repayment is shown"
              value={isPlanned ? "planned" : "tried"}
              onChange={({ target }) => setWantsPlan(target.value === "planned")}
            >
              <option value="tried">with extra payments</option>
              <option value="planned">as planned</option>
            </select>
          )}
        </>
      }
      download={forSpreadsheet =>
        void saveSchedule(
          { ...quote, schedule: [...rows], totalInterest: interest },
          isPlanned ? fileName : `${fileName}, extra payments,`,
          forSpreadsheet ? notation : undefined,
        )
      }
      printed={
        !isPlanned && (
          <p>
            <EarlyEnding quote={quote} repaid={repaid} /> {ASSUMED}
          </p>
        )
      }
      picture={marks =>
        isGrid && takesExtras ? (
          <Suspense fallback={<p className="px-4 text-faint">Opening …</p>}>
            <EarlyGrid quote={quote} />
          </Suspense>
        ) : (
          <LoanChart
            quote={quote}
            rows={rows}
            isPlanned={isPlanned}
            marks={marks}
            notation={notation}
            stale={stale}
          />
        )
      }
    />
  );
});

type ChartProps = Omit<TableProps, "fileName" | "repaid"> & {
  rows: readonly PaymentRow[];
  isPlanned: boolean;
  marks: Marks;
};

function LoanChart({ quote, rows, isPlanned, marks, notation, stale }: ChartProps) {
  const { schedule, loanAmount, deal } = quote;
  const { currency } = deal;
  const planned = useMemo(() => loanChart(schedule), [schedule]);
  const lines = useMemo(() => (rows === schedule ? planned : loanChart(rows)), [rows, schedule, planned]);
  const words = useMemo(
    () => ({
      label: `What is owed, from ${amountIn(loanAmount, currency, notation)} down, and what each payment is made of.`,
      title: `what is owed, ${currency}. ${leadText(schedule)}`,
      balance: isPlanned ? "owed" : "owed, tried",
      costSoFar: "interest so far",
      cost: "interest",
      principal: "principal",
    }),
    [loanAmount, currency, notation, schedule, isPlanned],
  );
  const said = (place: number) => (rows[place] ? pointText(rows[place], currency, notation) : "");
  return (
    <RepaymentChart
      lines={lines}
      planned={planned}
      start={loanAmount}
      currency={currency}
      words={words}
      said={said}
      marks={marks}
      stale={stale}
    >
      {isPlanned ? undefined : (chart: Picture) => <Lumps quote={quote} rows={rows} chart={chart} />}
    </RepaymentChart>
  );
}

/** From which payment on more goes to principal than to interest. */
function leadText(schedule: readonly PaymentRow[]): string {
  const leads = principalLeads(schedule);
  if (leads === "always") return "More of every payment goes to principal than to interest.";
  if (leads === "never") return "No payment repays more principal than it pays interest.";
  return `From payment ${leads} on more goes to principal than to interest.`;
}

function pointText(row: PaymentRow, currency: string, notation: Notation): string {
  const { number, date, payment, interest, principal, balance } = row;
  const money = (minor: number) => amountIn(minor, currency, notation);
  const day = date === null ? "" : `, ${dateIn(date, notation)}`;
  return `payment ${number}${day}: ${money(payment)}, of it ${money(interest)} interest and ${money(principal)} principal; ${money(balance)} owed after it`;
}
