import type { Notation } from "@/exchange/notation";
import { plainFigure } from "@/exchange/notation";
import type { Read } from "@/features/typing/use-typed";

const AMOUNT = /^\d{1,10}(\.\d{1,6})?$/;
const PERCENT = /^\d{1,4}(\.\d{1,6})?$/;
const SIGNS = /^\p{Sc}\s*|\s*(?:\p{Sc}|%)$/gu;

/** Another's amount at the decimals that it is typed with; nothing where the field is empty. */
export const readSaidAmount = (text: string, notation: Notation): Read<string | undefined> =>
  readSaid(text, notation, AMOUNT, "an amount such as 445.16");

/** The same of a percent. */
export const readSaidPercent = (text: string, notation: Notation): Read<string | undefined> =>
  readSaid(text, notation, PERCENT, "a percent such as 7.25");

function readSaid(
  text: string,
  notation: Notation,
  pattern: RegExp,
  sentence: string,
): Read<string | undefined> {
  const bare = text.trim().replace(SIGNS, "");
  if (bare === "") return { value: undefined };
  const plain = plainFigure(bare, notation).replace(/(\d)[,\s](?=\d{3}(?!\d))/g, "$1");
  return pattern.test(plain) ? { value: plain } : { sentence };
}
