import { TypedFigure } from "@/features/typing/TypedFigure";
import type { Read } from "@/features/typing/use-typed";
import { useNotation } from "../option/option-context";
import { Check } from "../parts/choices";
import { useStructure } from "./use-structure";

const LONGEST_MONTHS = 600;

const NOTHING_ANSWERED = { voluntary: false, costDisclosed: false, askedForInWriting: false };

const CONDITIONS = [
  ["voluntary", "It is voluntary: nobody needs it to get the credit, and the customer was told so"],
  ["costDisclosed", "Its cost was disclosed to the customer in writing"],
  ["askedForInWriting", "The customer has asked for it in writing, signed or initialed"],
] as const;

/** For how long an extra holds, and what of a cover keeps its price out of the finance charge. */
export function CoverEditor({ index }: { index: number }) {
  const { structure, put } = useStructure();
  const { notation } = useNotation();
  const extra = structure.extras?.[index];
  if (!extra) return null;
  const { months, optional, financeCharge } = extra;
  const isWhole = optional && CONDITIONS.every(([condition]) => optional[condition]);
  return (
    <div className="col-span-2 grid gap-1">
      <div className="flex items-center gap-2 text-sm">
        Holds for
        <TypedFigure
          label={`Months that ${extra.name} holds`}
          className="w-16"
          shown={months === undefined ? "" : String(months)}
          value={months}
          notation={notation}
          read={readMonths}
          put={value => put("extras", index, { months: value })}
        />
        months; empty, as long as the deal
      </div>
      {!financeCharge && (
        <Check
          label="Insurance or debt cancellation, kept out of the finance charge"
          checked={optional !== undefined}
          onChange={is => put("extras", index, { optional: is ? NOTHING_ANSWERED : undefined })}
        />
      )}
      {optional && !financeCharge && (
        <fieldset className="grid gap-1 border-base-300 border-l-2 pl-3">
          <legend className="sr-only">What keeps it out of the finance charge</legend>
          {CONDITIONS.map(([condition, words]) => (
            <Check
              key={condition}
              label={words}
              checked={optional[condition]}
              onChange={is => put("extras", index, { optional: { ...optional, [condition]: is } })}
            />
          ))}
          {!isWhole && (
            <p className="text-sm text-warning">
              Until all three hold, its price is a cost of the credit: let it count in the finance charge.
            </p>
          )}
        </fieldset>
      )}
    </div>
  );
}

function readMonths(text: string): Read<number | undefined> {
  if (text.trim() === "") return { value: undefined };
  const months = Number(text);
  return /^\d{1,3}$/.test(text.trim()) && months >= 1 && months <= LONGEST_MONTHS
    ? { value: months }
    : { sentence: `1 to ${LONGEST_MONTHS}` };
}
