import { nameInSentence } from "@/core/kinds/kind/figure";
import { isStale } from "../option";
import { useNotation, useOption } from "../option/option-context";
import { type AnyWorkedFigure, WorkingButton } from "../parts/WorkingButton";
import { WorkingsHere } from "../parts/WorkingsHere";

type Cost = {
  figure: AnyWorkedFigure;
  name: string;
  text: string;
  /** What it includes, in a few words. */
  includes: string;
};

/** The costs of a deal, one under the other. */
export function CostCards({ costs }: { costs: readonly Cost[] }) {
  return (
    <section aria-label="What it costs" className="card-paper shrink-0 py-0.5">
      <WorkingsHere>
        {costs.map(cost => (
          <CostCard key={cost.figure} {...cost} />
        ))}
      </WorkingsHere>
    </section>
  );
}

/** A cost in one line: its name, its amount and one phrase; all that it includes is in its working. */
function CostCard({ figure, name, text, includes }: Cost) {
  const { option } = useOption();
  const { say } = useNotation();
  return (
    <div className="flex min-w-0 items-center gap-2 border-base-300 border-t px-3 first:border-t-0">
      <h3 className="w-32 shrink-0 whitespace-nowrap font-normal font-sans text-sm">{name}</h3>
      <span className="min-w-0 grow truncate text-faint text-sm" title={say(includes)}>
        {say(includes)}
      </span>
      <output
        className={`whitespace-nowrap font-semibold font-serif text-lg ${isStale(option) ? "stale" : ""}`}
        data-testid={figure}
      >
        {say(text)}
      </output>
      <WorkingButton figure={figure} name={nameInSentence(name)} />
    </div>
  );
}
