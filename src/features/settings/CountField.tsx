import { wholeText } from "@/core";
import type { notationOf } from "@/exchange/notation";
import { TypedFigure } from "@/features/typing/TypedFigure";
import type { Read } from "@/features/typing/use-typed";

type CountProps = {
  label: string;
  value: number | undefined;
  range: readonly [number, number];
  notation: ReturnType<typeof notationOf>;
  onChange: (value: number | undefined) => void;
};

/** A whole number within a range; empty where nothing is settled. */
export function CountField({ label, value, range: [least, most], notation, onChange }: CountProps) {
  const read = (text: string): Read<number | undefined> => {
    if (text.trim() === "") return { value: undefined };
    const count = Number(text);
    return /^\d{1,4}$/.test(text.trim()) && count >= least && count <= most
      ? { value: count }
      : { sentence: `a number from ${least} to ${wholeText(most)}` };
  };
  return (
    <div>
      <span className="mb-0.5 block text-faint text-sm" aria-hidden="true">
        {label}
      </span>
      <TypedFigure
        label={label}
        className="w-24"
        shown={value === undefined ? "" : String(value)}
        value={value}
        notation={notation}
        read={read}
        put={onChange}
      />
    </div>
  );
}
