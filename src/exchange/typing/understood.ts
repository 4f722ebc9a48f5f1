import { understoodAmount } from "./amount";
import { understoodCount } from "./count";
import { understoodFactor, understoodPercent } from "./rate";
import type { TypedAt, Understood } from "./typed";

/**
 * What was typed, as the fields read it.
 *
 * @param typed what was typed, trimmed
 * @param at where: what kind of figure, how the place writes figures, and what stood there before
 * @returns the figure, and another that may be meant; what is no figure stays as it is
 * @example understood("12,5k", { kind: "amount", notation: notationOf("de-DE"), decimals: 2, perYear: 12 }).plain // "12500.00"
 */
export function understood(typed: string, at: TypedAt): Understood {
  switch (at.kind) {
    case "amount":
      return understoodAmount(typed, at);
    case "percent":
      return understoodPercent(typed, at);
    case "moneyFactor":
      return understoodFactor(typed, at);
    default:
      return understoodCount(typed, at);
  }
}
