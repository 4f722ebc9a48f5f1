import { Plus } from "lucide-react";
import { isoDate } from "@/core";
import type { DealerOfOption } from "@/exchange/dealer";
import { withOptional } from "@/exchange/members";
import { todaysDay } from "@/features/figures/today";
import { KnownField } from "./KnownField";
import { Labelled } from "./LenderTerms";

type Props = { known: DealerOfOption; put: (next: DealerOfOption) => void };

/** What the dealer has had to give back, because the customer paid off early. */
export function ChargedBackLines({ known, put }: Props) {
  const lines = known.chargedBack ?? [];
  const all = (next: typeof lines) =>
    put(withOptional(known, "chargedBack", next.length > 0 ? next : undefined));
  const change = (index: number, next: Partial<(typeof lines)[number]>) =>
    all(lines.map((each, at) => (at === index ? { ...each, ...next } : each)));
  return (
    <div className="flex flex-col gap-1.5">
      {lines.map(({ on, amount }, index) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: they are told apart by their places alone.
        <div key={index} className="flex flex-wrap items-center gap-x-3 gap-y-1">
          <Labelled name="on">
            <KnownField
              label={`Charged back ${index + 1}: day`}
              of="date"
              value={on}
              put={day => day && change(index, { on: day })}
            />
          </Labelled>
          <KnownField
            label={`Charged back ${index + 1}`}
            of="amount"
            value={amount}
            put={next => change(index, { amount: next ?? "0" })}
          />
          <button
            type="button"
            className="min-h-6 cursor-pointer text-primary text-sm underline"
            onClick={() => all(lines.filter((_, at) => at !== index))}
          >
            Remove
          </button>
        </div>
      ))}
      <button
        type="button"
        className="flex min-h-6 cursor-pointer items-center gap-1 self-start text-primary text-sm"
        onClick={() => all([...lines, { on: isoDate(todaysDay()), amount: "0" }])}
      >
        <Plus size={14} aria-hidden="true" />
        Charged back
      </button>
    </div>
  );
}
