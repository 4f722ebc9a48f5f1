import { percentOf, readPercent } from "../interest";
import type { CashDown } from "./structure";

/**
 * Cash down in minor units. A percent is rounded half up; nothing where none is given, or where it is what a sum due at
 * signing leaves, which is found with the loan.
 *
 * @param down as given
 * @param price what a percent is of, in minor units
 * @param total the price with tax, fees and extras, which a percent can be of instead
 * @example cashDown({ percent: "10" }, 4185050, 4500000) // 418505
 */
export function cashDown(down: CashDown | null, price: number, total: number): number {
  if (down === null || "dueAtSigning" in down) return 0;
  if ("amount" in down) return down.amount;
  return percentOf(down.of === "total" ? total : price, readPercent(down.percent));
}

/** Whether a cash down is what a sum due at signing leaves. */
export function isDownFromDue(down: CashDown | null): down is { dueAtSigning: number } {
  return down !== null && "dueAtSigning" in down;
}
