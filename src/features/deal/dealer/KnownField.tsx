import { createContext, useContext } from "react";
import { currencyDecimals, parseIsoDate } from "@/core";
import { signedMinor } from "@/exchange/dealer";
import { amountIn, dateIn, decimalIn, type Notation, plainDate } from "@/exchange/notation";
import { firstCharacters } from "@/exchange/text";
import { readYearlyRate } from "@/features/typing/read-term";
import { TypedFigure } from "@/features/typing/TypedFigure";
import type { Read } from "@/features/typing/use-typed";
import { readContractDate } from "../fields/date-text";
import { readTypedAmount } from "../fields/typed-amount";

/** How figures are written and read where fields of the dealer's side stand. */
type At = { currency: string; notation: Notation };

export const KnownAt = createContext<At | null>(null);

type Typed = string | number | undefined;

/** What a field of the dealer's side is of. */
type Of = "amount" | "signed" | "percent" | "count" | "date" | "words";

type Props = {
  label: string;
  of: Of;
  value: Typed;
  put: (value: string | undefined) => void;
  className?: string;
  placeholder?: string;
  /** The most that a count can be. */
  most?: number;
};

const LONGEST_WORDS = 200;

/** One thing that the dealer alone knows, typed where it stands; cleared, it is not known any more. */
export function KnownField({ label, of, value, put, className, placeholder, most }: Props) {
  const at = useContext(KnownAt);
  if (!at) throw new Error("Nothing says how figures are written here.");
  const { notation } = at;
  return (
    <TypedFigure
      label={label}
      className={className ?? "w-28"}
      shown={value === undefined ? "" : SHOWN[of](String(value), at.currency, notation)}
      value={value === undefined ? undefined : String(value)}
      notation={notation}
      read={text => (text.trim() === "" ? { value: undefined } : READ[of](text, at, most))}
      put={put}
      isDate={of === "words" || of === "date"}
      isOwnUndo
      {...(placeholder !== undefined && { placeholder })}
    />
  );
}

function amountShown(typed: string, currency: string, notation: Notation): string {
  const minor = signedMinor(typed, currencyDecimals(currency) ?? 2);
  return minor === undefined ? typed : amountIn(minor, currency, notation);
}

const SHOWN: Record<Of, (typed: string, currency: string, notation: Notation) => string> = {
  amount: amountShown,
  signed: amountShown,
  percent: (typed, _, notation) => decimalIn(typed, notation),
  count: typed => typed,
  date: (typed, _, notation) => {
    const day = parseIsoDate(typed);
    return day === undefined ? typed : dateIn(day, notation);
  },
  words: typed => typed,
};

type Reader = (text: string, at: At, most?: number) => Read<string | undefined>;

const amount: Reader = (text, { currency, notation }) => {
  const read = readTypedAmount(text, currency, notation);
  return "amount" in read ? { value: read.amount } : { sentence: read.sentence };
};

const READ: Record<Of, Reader> = {
  amount,
  signed: (text, at) => {
    const cost = /^\s*[-−]\s*/.exec(text);
    const read = amount(cost ? text.slice(cost[0].length) : text, at);
    return cost && "value" in read ? { value: `-${read.value}` } : read;
  },
  percent: (text, { notation }) => readYearlyRate(text, notation),
  count: (text, _, most = 0) =>
    /^\s*\d{1,4}\s*$/.test(text) && Number(text) <= most
      ? { value: String(Number(text)) }
      : { sentence: `a whole number from 0 to ${most}` },
  date: (text, { notation }) => {
    const date = readContractDate(plainDate(text.trim(), notation));
    return date === undefined ? { sentence: "a date such as 24 Nov" } : { value: date };
  },
  words: text => ({ value: firstCharacters(text.replace(/\p{Cc}/gu, " "), LONGEST_WORDS) || undefined }),
};
