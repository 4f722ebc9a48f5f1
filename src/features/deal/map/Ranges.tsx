import { useRef, useState } from "react";
import { groupedAmount, MOST_PAYMENTS, parseAmount } from "@/core";
import { type MapAxis, type MapRange, RATE_UNITS } from "@/core/map";
import { inNotation, type Notation, plainFigure } from "@/exchange/notation";
import { rateText } from "@/exchange/text";
import { useNotation } from "../option/option-context";

type Side = { axis: MapAxis; range: MapRange /** Whether it was typed. */; isOwn: boolean };

type Props = {
  across: Side;
  up: Side;
  nameOf: (axis: MapAxis) => string;
  decimals: number;
  /** With nothing for the usual range. */
  onRange: (axis: MapAxis, range?: MapRange) => void;
};

/** From where to where each axis goes, and in what steps. */
export function Ranges({ across, up, nameOf, decimals, onRange }: Props) {
  const [isOpen, setOpen] = useState(false);
  const { notation } = useNotation();
  const text = ({ axis, range }: Side) =>
    `${nameOf(axis)} ${valueText(axis, range.from, decimals, notation)} to ${valueText(axis, range.to, decimals, notation)}`;
  return (
    <div className="text-sm">
      <button
        type="button"
        aria-expanded={isOpen}
        className="min-h-6 cursor-pointer text-faint"
        onClick={() => setOpen(!isOpen)}
      >
        <span className="font-semibold text-primary">ranges</span> {text(across)}, {text(up)}
      </button>
      {isOpen && (
        <div className="mt-1 flex flex-wrap gap-x-6 gap-y-1">
          {[across, up].map(side => (
            <Range
              key={side.axis}
              {...side}
              name={nameOf(side.axis)}
              decimals={decimals}
              onRange={range => onRange(side.axis, range)}
            />
          ))}
        </div>
      )}
    </div>
  );
}

type RangeProps = Side & { name: string; decimals: number; onRange: (range?: MapRange) => void };

const ENDS = ["from", "to", "step"] as const;

function Range({ axis, range, isOwn, name, decimals, onRange }: RangeProps) {
  const { notation } = useNotation();
  const shown: Record<keyof MapRange, string> = {
    from: valueText(axis, range.from, decimals, notation),
    to: valueText(axis, range.to, decimals, notation),
    step: valueText(axis, range.step, decimals, notation),
  };
  const [typed, setTyped] = useState<typeof shown | null>(null);
  const [error, setError] = useState<string | null>(null);
  const before = useRef<{ range: MapRange | undefined } | null>(null);
  const type = (end: keyof MapRange, text: string) => {
    before.current ??= { range: isOwn ? range : undefined };
    const next = { ...(typed ?? shown), [end]: text };
    setTyped(next);
    const read = readRange(axis, next, decimals, notation);
    setError(typeof read === "string" ? read : null);
    onRange(typeof read === "string" ? before.current.range : read);
  };
  const asUsual = () => {
    onRange();
    setTyped(null);
    setError(null);
  };
  return (
    <fieldset
      data-own-undo=""
      onBlur={() => {
        before.current = null;
        if (error === null) setTyped(null);
      }}
      className="flex flex-wrap items-center gap-1.5"
    >
      <legend className="sr-only">Range of the {name}</legend>
      <span className="text-faint">{name}</span>
      {ENDS.map(end => (
        <label key={end} className="flex items-center gap-1.5">
          <span className="text-faint">{end === "step" ? "by" : end}</span>
          <input
            className="field w-24 text-right"
            inputMode="decimal"
            value={(typed ?? shown)[end]}
            aria-invalid={error !== null}
            onChange={event => type(end, event.target.value)}
          />
        </label>
      ))}
      {isOwn && (
        <button type="button" className="cursor-pointer text-primary underline" onClick={asUsual}>
          as usual
        </button>
      )}
      {error && <p className="basis-full text-error">{error}</p>}
    </fieldset>
  );
}

function valueText(axis: MapAxis, value: number, decimals: number, notation: Notation): string {
  if (axis === "payments") return String(value);
  if (axis === "yearlyRate") return inNotation(rateText(value / RATE_UNITS), notation);
  return inNotation(groupedAmount(value, decimals).replace(/\.0+$/, ""), notation);
}

const FEWEST_PLACES = 2;
const MOST_PLACES = 121;

/** A range as it was typed, or one sentence with what is wrong. */
function readRange(
  axis: MapAxis,
  typed: Record<keyof MapRange, string>,
  decimals: number,
  notation: Notation,
): MapRange | string {
  const [from, to, step] = ENDS.map(end =>
    readValue(axis, plainFigure(typed[end].trim(), notation), decimals),
  );
  if (from === undefined || to === undefined || step === undefined) return "Type three figures of 0 or more.";
  if (step <= 0) return "The step must be above 0.";
  const places = Math.floor((to - from) / step) + 1;
  if (places < FEWEST_PLACES) return "The range must hold at least one step.";
  if (places > MOST_PLACES)
    return `That is ${places} places; take a larger step, for at most ${MOST_PLACES}.`;
  if (axis === "payments" && (from < 1 || to > MOST_PAYMENTS)) return "Payments go from 1 to 1,200.";
  return { from, to, step };
}

function readValue(axis: MapAxis, plain: string, decimals: number): number | undefined {
  const digits = plain.replace(/[,\s%]/g, "");
  if (axis === "payments") return /^\d{1,4}$/.test(digits) ? Number(digits) : undefined;
  if (axis === "yearlyRate") {
    return /^\d{1,3}(\.\d{1,4})?$/.test(digits) ? Math.round(Number(digits) * RATE_UNITS) : undefined;
  }
  return parseAmount(digits, decimals);
}
