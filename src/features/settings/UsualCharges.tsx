import { useState } from "react";
import { MOST_EXTRAS, MOST_FEES } from "@/core";
import type { UsualExtra, UsualFee } from "@/exchange/settings";
import { linesOf } from "@/features/deal/fields";
import { Check } from "@/features/deal/parts/choices";
import { FigureField } from "@/features/deal/parts/FigureField";
import { ChargeEditor } from "@/features/deal/structure/ChargeEditor";
import { chargeWords } from "@/features/deal/structure/charge-words";
import { useStructure } from "@/features/deal/structure/use-structure";

const LISTS = {
  fees: { title: "Usual fees", one: "fee", first: "Fee", most: MOST_FEES },
  extras: { title: "Usual extras", one: "extra", first: "Extra", most: MOST_EXTRAS },
} as const;

/** Fees or extras with their usual amounts: they are offered on a deal, or in every new one. */
export function UsualCharges({ list }: { list: "fees" | "extras" }) {
  const { structure, add } = useStructure();
  const [open, setOpen] = useState<number | null>(null);
  const { title, one, first, most } = LISTS[list];
  const lines = linesOf(structure, list);
  return (
    <section aria-labelledby={`${list}-title`} className="card-paper px-4 py-3">
      <h2 id={`${list}-title`} className="font-semibold text-lg">
        {title}
      </h2>
      <ul>
        {lines.map((_, index) => (
          <UsualCharge
            // biome-ignore lint/suspicious/noArrayIndexKey: a line has no other identity than its place.
            key={index}
            list={list}
            index={index}
            isOpen={open === index}
            setOpen={isOpen => setOpen(isOpen ? index : null)}
          />
        ))}
      </ul>
      {lines.length === 0 && <p className="text-faint text-sm">None yet</p>}
      {lines.length < most && (
        <button
          type="button"
          className="mt-1 cursor-pointer font-semibold text-primary text-sm"
          onClick={() => {
            add(list, { name: first, amount: "0" });
            setOpen(lines.length);
          }}
        >
          + {one}
        </button>
      )}
    </section>
  );
}

type ChargeProps = {
  list: "fees" | "extras";
  index: number;
  isOpen: boolean;
  setOpen: (isOpen: boolean) => void;
};

function UsualCharge({ list, index, isOpen, setOpen }: ChargeProps) {
  const { structure, change, takeOut } = useStructure();
  const line = linesOf(structure, list)[index] as UsualFee | UsualExtra | undefined;
  if (!line) return null;
  const mark = (inEveryDeal: boolean) =>
    change(now => ({
      ...now,
      [list]: linesOf(now, list).map((each, k) => (k === index ? marked(each, inEveryDeal) : each)),
    }));
  return (
    <li className="border-base-300 border-b py-1.5 last:border-b-0">
      <div className="grid grid-cols-[1fr_8rem] gap-x-3">
        <FigureField field={`${list}/${index}/name`} hideLabel />
        <FigureField field={`${list}/${index}/amount`} hideLabel />
      </div>
      <div className="mt-0.5 flex flex-wrap items-center justify-between gap-x-4">
        <button
          type="button"
          aria-expanded={isOpen}
          aria-label={`Change ${line.name}`}
          className="cursor-pointer text-left text-primary text-sm underline decoration-dotted underline-offset-2"
          onClick={() => setOpen(!isOpen)}
        >
          {chargeWords(line)}
        </button>
        <Check label="in every new deal" checked={line.inEveryDeal ?? false} onChange={mark} />
      </div>
      {isOpen && (
        <div className="my-1 rounded-field bg-base-200 p-2.5">
          <div className="grid grid-cols-2 gap-x-3 gap-y-2">
            <ChargeEditor list={list} index={index} />
          </div>
          <button
            type="button"
            className="btn btn-sm mt-2 bg-base-100"
            onClick={() => {
              setOpen(false);
              takeOut(list, index);
            }}
          >
            Remove
          </button>
        </div>
      )}
    </li>
  );
}

/** A line that stands in every new deal, or does not. */
function marked<Line extends object>(line: Line, inEveryDeal: boolean): Line {
  const { inEveryDeal: _, ...rest } = line as Line & { inEveryDeal?: boolean };
  return (inEveryDeal ? { ...rest, inEveryDeal } : rest) as Line;
}
