import type { ReactNode } from "react";
import { useAfterPaint } from "./use-after-paint";

type Props = {
  /** The answer in one line. */
  line: string;
  stale: boolean;
  /** What can be asked of the table; comes after the table was painted. */
  cards: ReactNode;
  children: ReactNode;
};

/** The repayment over the whole width: the answer in a line, what can be asked to the left, the table to the right. */
export function ViewLayout({ line, stale, cards, children }: Props) {
  const isPainted = useAfterPaint();
  return (
    <div className="flex min-h-0 flex-1 flex-col gap-2">
      <p
        className={`font-serif text-[1.05rem] leading-snug ${stale ? "stale" : ""}`}
        data-testid="repayment-line"
      >
        {line}
      </p>
      <div className="flex min-h-0 flex-1 flex-col gap-3 lg:flex-row">
        <div className="card-paper shrink-0 lg:contain-content lg:max-h-full lg:w-[25rem] lg:self-start lg:overflow-auto print:hidden">
          {isPainted && cards}
        </div>
        {children}
      </div>
    </div>
  );
}
