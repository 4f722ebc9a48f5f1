import { parseIsoDate } from "@/core";
import type { DealFile } from "@/exchange/deal-file";
import { dateIn, type Notation, plainDate } from "@/exchange/notation";
import { TypedFigure } from "@/features/typing/TypedFigure";
import type { Read } from "@/features/typing/use-typed";
import { readTypedDate } from "../fields/date-text";

/** A payment by its number, or a day. */
export type When = { after: number } | { date: string };

type Props = {
  label: string;
  when: When | undefined;
  inputs: DealFile;
  notation: Notation;
  put: (when: When) => void;
  className?: string;
  placeholder?: string;
  /** What is not to be read as a day: the number of a payment is all there is. */
  isNumber?: boolean;
};

const NUMBER = /^(?:after\s+)?(?:payment\s+)?([1-9]\d{0,3})$/i;

/** When something comes: "24", "payment 24", "15 Mar 2028", "+3 weeks". */
export function WhenField({ label, when, inputs, notation, put, className, placeholder, isNumber }: Props) {
  const read = (text: string): Read<When | undefined> => {
    const [, number] = NUMBER.exec(text.trim()) ?? [];
    if (number !== undefined) return { value: { after: Number(number) } };
    const date = isNumber ? undefined : readTypedDate(plainDate(text.trim(), notation), inputs);
    if (date !== undefined) return { value: { date } };
    return {
      sentence: isNumber
        ? "Type the number of a payment, such as 24."
        : "Type the number of a payment, such as 24, or a date such as 15 Mar 2028.",
    };
  };
  return (
    <TypedFigure
      label={label}
      className={className ?? "w-32"}
      placeholder={placeholder ?? "24"}
      shown={isNumber && when && "after" in when ? String(when.after) : whenText(when, notation)}
      value={when}
      notation={notation}
      read={read}
      put={next => next && put(next)}
      isDate
    />
  );
}

/** "payment 24", "15 Mar 2028"; nothing where it is not said. */
function whenText(when: When | undefined, notation: Notation): string {
  if (!when) return "";
  if ("after" in when) return `payment ${when.after}`;
  const day = parseIsoDate(when.date);
  return day === undefined ? when.date : dateIn(day, notation);
}
