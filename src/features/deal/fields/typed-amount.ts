import { currencyDecimals } from "@/core";
import type { Notation } from "@/exchange/notation";
import { understood } from "@/exchange/typing";
import { readAmount } from "./amount-text";

/**
 * An amount outside the deal's own fields, understood as it is in them.
 *
 * @param base what stood there before, as the fields read it
 */
export function readTypedAmount(
  typed: string,
  currency: string,
  notation: Notation,
  base?: string,
): ReturnType<typeof readAmount> {
  const decimals = currencyDecimals(currency) ?? 2;
  const { plain } = understood(typed.trim(), { kind: "amount", notation, decimals, perYear: 12, base });
  return readAmount(plain, currency);
}
