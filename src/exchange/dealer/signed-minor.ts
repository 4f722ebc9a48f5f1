import { parseAmount } from "@/core";

/**
 * An amount that can be below zero, in minor units; undefined where it is none.
 *
 * @example signedMinor("-250.00", 2) // -25000
 */
export function signedMinor(typed: string | number, decimals: number): number | undefined {
  const text = String(typed);
  if (!text.startsWith("-")) return parseAmount(text, decimals);
  const minor = parseAmount(text.slice(1), decimals);
  return minor === undefined ? undefined : 0 - minor;
}
