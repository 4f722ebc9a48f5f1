import { MILLIMETRES } from "../distance";
import type { DealFacts } from "./facts";
import type { Amounts } from "./measured";
import type { Program, Worth } from "./program";

/** What a percent is of, in minor units; null where it is not known. */
export const worthOf = (of: Worth, { price }: Pick<Amounts, "price">, facts: DealFacts): number | null =>
  of === "price" ? price : facts[of];

/**
 * How far a vehicle has gone in a program's unit, a part counted as a whole one: above a limit exactly where the distance
 * is. In the vehicle's own unit where the program has none; null where it is not known.
 */
export function distanceIn({ distance, unit }: DealFacts, asked: Program["unit"]): number | null {
  if (distance === null || unit === null || asked === null) return distance;
  return Math.ceil((distance * MILLIMETRES[unit]) / MILLIMETRES[asked]);
}
