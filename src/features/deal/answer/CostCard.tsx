import type { ReactNode } from "react";
import { isStale } from "../option";
import { useNotation, useOption } from "../option/option-context";
import { type AnyWorkedFigure, WorkingButton } from "../parts/WorkingButton";
import { WorkingsHere } from "../parts/WorkingsHere";

type Props = {
  figure: AnyWorkedFigure;
  name: string;
  text: string;
  /** What it includes, in a few words. */
  includes: string;
};

/** A name within a sentence: an abbreviation stays as it is. */
const nameInSentence = (name: string) => (name === name.toUpperCase() ? name : name.toLowerCase());

/** A cost with what it includes and its working. */
export function CostCard({ figure, name, text, includes }: Props) {
  const { option } = useOption();
  const { say } = useNotation();
  return (
    <div className="card-paper px-3 py-1.5">
      <div className="flex items-center justify-between">
        <h3 className="font-normal font-sans text-faint text-sm">{name}</h3>
        <WorkingButton figure={figure} name={nameInSentence(name)} />
      </div>
      <output
        className={`block font-semibold font-serif text-xl ${isStale(option) ? "stale" : ""}`}
        data-testid={figure}
      >
        {say(text)}
      </output>
      <p className="text-faint text-sm leading-tight">{say(includes)}</p>
    </div>
  );
}

/** The costs of a deal side by side. */
export function CostCards({ columns, children }: { columns: 4 | 5; children: ReactNode }) {
  return (
    <section
      aria-label="What it costs"
      className={`grid shrink-0 grid-cols-2 gap-3 ${columns === 5 ? "xl:grid-cols-5" : "xl:grid-cols-4"}`}
    >
      <WorkingsHere>{children}</WorkingsHere>
    </section>
  );
}
