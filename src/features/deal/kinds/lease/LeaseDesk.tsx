import { lazy, Suspense, useState } from "react";
import { LeaseTable } from "@/features/repayment/LeaseTable";
import type { AnswerProps } from "../../answer/answer-props";
import { useFrame } from "../../desk/desk-context";
import { isStale, notationIn, shownQuote } from "../../option";
import { useOptionOf } from "../../option/option-context";
import { LeaseCosts } from "./LeaseCosts";
import { LeaseSentence, LeaseWords } from "./LeaseSentence";

export { LeasePlanCard as Plan } from "./LeasePlanCard";
export { LeaseStructure as Structure } from "./LeaseStructure";
export { LEASE as KIND } from "./lease";

// Asked for now and then: the screen starts without the code for it.
const EndingEarly = lazy(() =>
  import("./EndingEarly").then(({ EndingEarly: panel }) => ({ default: panel })),
);

/** What is signed of a lease: its sentence and what it costs. */
export function Signed() {
  return (
    <>
      <p className="font-serif text-[1.25rem] leading-[1.5]">
        <LeaseWords />
      </p>
      <LeaseCosts />
    </>
  );
}

/** The answer of a lease, with its costs and its table where nothing else is looked at. */
export function Answer({ fileName, isWhole }: AnswerProps) {
  const { option } = useOptionOf("lease");
  const quote = shownQuote(option);
  const { show } = useFrame();
  const [isEnding, setEnding] = useState(false);
  if (!isWhole) return <LeaseSentence />;
  return (
    <>
      <LeaseSentence />
      <LeaseCosts />
      {quote && isEnding && (
        <section aria-labelledby="ending-title" className="card-paper shrink-0">
          <h2 id="ending-title" className="px-4 pt-2.5 font-semibold text-lg">
            Ending early
          </h2>
          <Suspense fallback={<p className="px-4 py-3 text-faint text-sm">Opening …</p>}>
            <EndingEarly />
          </Suspense>
        </section>
      )}
      {quote && (
        <LeaseTable
          quote={quote}
          notation={notationIn(option)}
          stale={isStale(option)}
          fileName={fileName}
          onAll={() => show("repayment")}
          action={
            <button
              type="button"
              aria-expanded={isEnding}
              className="cursor-pointer font-semibold text-primary text-sm"
              onClick={() => setEnding(!isEnding)}
            >
              Ending early {isEnding ? "▾" : "▸"}
            </button>
          }
        />
      )}
    </>
  );
}
