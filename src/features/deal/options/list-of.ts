import type { Notation } from "@/exchange/notation";

/**
 * The figures of a list as people of a place type it. Where the comma is the decimal sign, one within a figure parts
 * nothing.
 *
 * @example listOf("10, 12,5; 20", notationOf("de-DE")) // ["10", "12,5", "20"]
 */
export function listOf(text: string, { decimal }: Pick<Notation, "decimal">): string[] {
  const between = decimal === "," ? /;\s*|,\s+|\s+/ : /[,;\s]+/;
  return text.trim().split(between).filter(Boolean);
}
