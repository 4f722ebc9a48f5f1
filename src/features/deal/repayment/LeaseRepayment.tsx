import { leaseSentence } from "@/exchange/kinds/lease/words/sentence";
import { LeaseTable } from "@/features/repayment/LeaseTable";
import { useSentenceWriter } from "../answer/use-sentence-writer";
import { EndingEarly } from "../kinds/lease/EndingEarly";
import { isStale, notationIn, shownQuote } from "../option";
import { useOptionOf } from "../option/option-context";
import { CardSection } from "./CardSection";

/** How a lease is paid down to its residual, and what ending it early costs. */
export function LeaseRepayment({ fileName }: { fileName: string }) {
  const { option } = useOptionOf("lease");
  const write = useSentenceWriter(option.inputs.currency);
  const quote = shownQuote(option);
  if (!quote)
    return <p className="card-paper p-4 text-faint">The repayment appears once the deal has an answer.</p>;
  const stale = isStale(option);
  const line = leaseSentence(quote, write)
    .map(segment => {
      if (typeof segment === "string") return segment;
      return "strong" in segment ? segment.strong : `${segment.text}${segment.after ?? ""}`;
    })
    .join("");
  return (
    <div className="flex min-h-0 flex-1 flex-col gap-2">
      <p
        className={`font-serif text-[1.05rem] leading-snug ${stale ? "stale" : ""}`}
        data-testid="repayment-line"
      >
        {line}
      </p>
      <div className="flex min-h-0 flex-1 flex-col gap-3 lg:flex-row">
        <div className="card-paper shrink-0 lg:max-h-full lg:w-[25rem] lg:self-start lg:overflow-auto print:hidden">
          <CardSection title="Extra payments">
            <p className="text-faint">
              A lease takes no extra payments: its payments are for the use of the vehicle.
            </p>
          </CardSection>
          <CardSection title="Ending early">
            <div className="-mx-4">
              <EndingEarly />
            </div>
          </CardSection>
        </div>
        <div className="flex min-h-0 min-w-0 flex-1 flex-col lg:overflow-auto">
          <LeaseTable
            quote={quote}
            notation={notationIn(option)}
            stale={stale}
            fileName={fileName}
            withChart
          />
        </div>
      </div>
    </div>
  );
}
