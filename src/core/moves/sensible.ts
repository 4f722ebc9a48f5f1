import type { Move } from "../kinds/kind";

/** How a deal stands, as far as it says what is beyond what would ever be agreed; money in minor units. */
export type Now = { price: number; payment: number; payments: number; perYear: number };

/** How far a price, or an allowance, is let down or up before it is another deal. */
const LEAST_SHARE = 0.75;
const LEAST_ALLOWANCE = 0.5;
const MOST_ALLOWANCE = 2;
const MOST_CASH_SHARE = 0.5;
const LEAST_RATE_SHARE = 1 / 3;
const MOST_YEARS = 10;

/**
 * Whether a candidate is one that could be agreed: not a price that is another vehicle's, more cash, at first or at the end, than half of
 * the price,
 * a residual above the price, a trade-in that is thrown away, or a rate that nobody gives.
 *
 * @param move a candidate that gives what is wanted
 * @example
 * const now = { price: 4185000, payment: 64574, payments: 72, perYear: 12 };
 * isSensible({ figure: "price", from: 4185000, to: 1697489 }, now) // false
 */
export function isSensible(move: Move, { price, payment, payments, perYear }: Now): boolean {
  if (!("to" in move)) return false;
  const [from, to] = [Number(move.from ?? 0), Number(move.to ?? 0)];
  switch (move.figure) {
    case "price":
      return to >= LEAST_SHARE * from;
    case "down":
    case "balloon":
      return to <= Math.max(from, MOST_CASH_SHARE * price);
    case "residual":
      return to <= price;
    case "allowance":
      return (
        to >= LEAST_ALLOWANCE * from &&
        to <= Math.min(price, MOST_ALLOWANCE * from || MOST_CASH_SHARE * price)
      );
    case "yearlyRate":
    case "moneyFactor":
      return to >= LEAST_RATE_SHARE * from;
    case "payments":
      return to <= Math.max(MOST_YEARS * perYear, payments);
    case "inAdvance":
      return 2 * to <= payments;
    case "extraEach":
      return to <= payment;
    case "extra":
      return true;
  }
}

/** Whether a candidate moves anything: "none" that stays "none" does not. */
export const isMoving = (move: Move): boolean =>
  !("to" in move) || move.figure === "extra" || Number(move.from ?? 0) !== Number(move.to ?? 0);
