import { decimalIn, type Notation } from "../notation";

const CURRENCY = /^(?:\p{Sc}|[A-Z]{3})\s*|\s*(?:\p{Sc}|[A-Z]{3}|%)$/gu;
/** Thousands apart by what is a decimal sign here, and at least one sign more that says so. */
const POINTS = /^\d{1,3}(?:[.\s'’]\d{3})+,\d+$|^\d{1,3}(?:\.\d{3}){2,}$|^\d+,(?:\d{1,2}|\d{4,})$/;
const COMMAS = /^\d{1,3}(?:[,\s'’]\d{3})+\.\d+$|^\d{1,3}(?:,\d{3}){2,}$|^\d+\.(?:\d{1,2}|\d{4,})$/;

/**
 * A figure that is typed as another place writes it, and can be read only one way, as this place writes it.
 *
 * @returns undefined for anything else: "41,850" and "6,490" may be thousands
 * @example typedOtherWay("41.850,00", notationOf("en-US")) // "41,850.00"
 * @example typedOtherWay("1,000.00", notationOf("de-DE")) // "1.000,00"
 */
export function typedOtherWay(typed: string, notation: Notation): string | undefined {
  const text = typed.trim().replace(CURRENCY, "");
  const isPoint = notation.decimal === ".";
  if (!(isPoint ? POINTS : COMMAS).test(text)) return undefined;
  const digits = text.replace(isPoint ? /[.\s'’]/g : /[,\s'’]/g, "").replace(",", ".");
  return decimalIn(digits, notation);
}
