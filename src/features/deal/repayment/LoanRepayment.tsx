import { useState } from "react";
import { type LoanQuote, type PaymentRow, whyNoExtras } from "@/core";
import { loanLine } from "@/exchange/kinds/loan/words/line";
import { todaysDay } from "@/features/figures/today";
import { useSentenceWriter } from "../answer/use-sentence-writer";
import { isStale, notationIn, shownQuote } from "../option";
import { useOptionOf } from "../option/option-context";
import { CardSection } from "./CardSection";
import { keepColumns, keptColumns, type MoreColumn } from "./columns";
import { EarlyCard } from "./EarlyCard";
import { GroupedTable } from "./GroupedTable";
import { KeepOrPayCard } from "./KeepOrPayCard";
import { PaidOffByCard } from "./PaidOffByCard";
import { PayoffCard } from "./PayoffCard";
import { RepaymentChart } from "./RepaymentChart";
import { placeOn, type Range } from "./range";
import { TableTools } from "./TableTools";
import { useEarly } from "./use-early";

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
  const [wantsPlan, setWantsPlan] = useState(false);
  const [range, setRange] = useState<Range | null>(null);
  const [pointed, setPointed] = useState<number | null>(null);
  const [more, setMore] = useState(keptColumns);
  const [byContract, setByContract] = useState(false);
  const [goTo, setGoTo] = useState<{ place: number } | null>(null);
  const repaid = tried.repaid?.ok ? tried.repaid.value : undefined;
  const isPlanned = !repaid || wantsPlan;
  const rows: readonly PaymentRow[] = isPlanned ? quote.schedule : repaid.schedule;
  const within = range && Math.max(range.from, range.to) < rows.length ? range : null;
  const showColumns = (next: readonly MoreColumn[]) => {
    setMore(next);
    keepColumns(next);
  };
  const refused = whyNoExtras(quote);
  return (
    <div className="flex min-h-0 flex-1 flex-col gap-2">
      <p
        className={`font-serif text-[1.05rem] leading-snug ${stale ? "stale" : ""}`}
        data-testid="repayment-line"
      >
        {loanLine(quote, write)}
      </p>
      <div className="flex min-h-0 flex-1 flex-col gap-3 lg:flex-row">
        <div className="card-paper shrink-0 lg:w-[25rem] lg:self-start lg:overflow-auto lg:max-h-full print:hidden">
          {refused === undefined ? (
            <>
              <EarlyCard quote={quote} tried={tried} />
              <PaidOffByCard quote={quote} tried={tried} />
              <KeepOrPayCard quote={quote} tried={tried} />
            </>
          ) : (
            <CardSection title="Extra payments">
              <p className="text-faint">{refused}</p>
            </CardSection>
          )}
          <PayoffCard quote={quote} />
        </div>
        <div className="flex min-h-0 min-w-0 flex-1 flex-col lg:overflow-auto">
          <GroupedTable
            quote={quote}
            rows={rows}
            isPlanned={isPlanned}
            notation={notationIn(option)}
            stale={stale}
            fileName={fileName}
            more={more}
            byContract={byContract}
            range={within}
            onRange={setRange}
            pointed={pointed}
            onPoint={setPointed}
            goTo={goTo}
            tools={
              <TableTools
                quote={quote}
                rows={rows}
                range={within}
                onRange={setRange}
                after={within ? Math.max(within.from, within.to) : placeOn(rows, todaysDay())}
                onGo={place => setGoTo({ place })}
                more={more}
                onMore={showColumns}
                byContract={byContract}
                onByContract={setByContract}
                tried={repaid && { isPlanned, onPlanned: setWantsPlan }}
              />
            }
          >
            <RepaymentChart
              quote={quote}
              rows={rows}
              isPlanned={isPlanned}
              pointed={pointed}
              onPoint={setPointed}
              range={within}
              onRange={setRange}
              stale={stale}
            />
          </GroupedTable>
        </div>
      </div>
    </div>
  );
}
