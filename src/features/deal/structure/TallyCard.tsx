import type { ReactNode } from "react";
import { useIsFrozen } from "../option/option-context";
import { Changeable } from "../parts/Changeable";
import { useStructure } from "./use-structure";

type Props = {
  /** The lines of the tally. */
  children: ReactNode;
  /** What stands below the lines. */
  after: ReactNode;
  /** What the tally leads to; it stays in view while the lines are. */
  foot: ReactNode;
};

/** The lines of the structure over what they lead to. */
export function TallyCard({ children, after, foot }: Props) {
  const { inputs } = useStructure();
  const isFrozen = useIsFrozen();
  return (
    <section aria-labelledby="structure-title">
      <div className="px-4 pt-2.5 pb-1.5">
        <div className="flex items-baseline justify-between">
          <h2 id="structure-title" className="font-semibold text-lg">
            Structure
          </h2>
          <span className="text-faint text-sm">running total, {inputs.currency}</span>
        </div>
        <div className="mt-1 grid grid-cols-[1fr_0.75rem_7.25rem_5.75rem] items-center gap-x-2 gap-y-1">
          <Changeable>{children}</Changeable>
        </div>
        {!isFrozen && after}
      </div>
      {foot}
    </section>
  );
}
