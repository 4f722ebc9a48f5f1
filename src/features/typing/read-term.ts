import { HIGHEST_YEARLY_RATE, MOST_PAYMENTS, wholeText } from "@/core";
import { type Notation, plainFigure } from "@/exchange/notation";
import type { Read } from "./use-typed";

/** A number of payments outside a deal's own fields. */
export function readPayments(text: string): Read<number> {
  const count = Number(text);
  return /^\d{1,4}$/.test(text.trim()) && count >= 1 && count <= MOST_PAYMENTS
    ? { value: count }
    : { sentence: `1 to ${wholeText(MOST_PAYMENTS)} payments` };
}

/** A yearly rate outside a deal's own fields, as a plain decimal. */
export function readYearlyRate(text: string, notation: Notation): Read<string> {
  const plain = plainFigure(text.trim().replace(/\s*%$/, ""), notation);
  return /^\d{1,4}(\.\d{1,8})?$/.test(plain) && Number(plain) <= HIGHEST_YEARLY_RATE
    ? { value: plain }
    : { sentence: `a percent from 0 to ${wholeText(HIGHEST_YEARLY_RATE)}` };
}
