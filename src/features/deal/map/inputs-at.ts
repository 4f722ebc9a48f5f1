import { currencyDecimals, formatAmount } from "@/core";
import type { MapAxis } from "@/core/map";
import type { DealFile } from "@/exchange/deal-file";
import { askedOf } from "../kinds/asked";

/**
 * What was typed of a deal with one figure at a place of the map, as it would be typed there.
 *
 * @param inputs a deal that asks for its payment
 * @param value in the axis's units
 */
export function inputsAt(inputs: DealFile, axis: MapAxis, value: number): DealFile {
  const amount = formatAmount(value, currencyDecimals(inputs.currency) ?? 2);
  switch (axis) {
    case "price":
      return withStructure(inputs, { price: amount });
    case "down":
      return withStructure(inputs, { down: { amount } });
    case "allowance":
      return withStructure(inputs, allowanceAt(inputs.structure, amount));
    default:
      return askedOf(inputs).planAt(inputs, axis, value);
  }
}

type Structure = DealFile["structure"];

function allowanceAt({ tradeIn, tradeIns }: Structure, allowance: string): Partial<Structure> {
  if (!tradeIns) return { tradeIn: { owed: "0", ...tradeIn, allowance } };
  const [first = { owed: "0" }, ...others] = tradeIns;
  return { tradeIns: [{ ...first, allowance }, ...others] };
}

function withStructure(inputs: DealFile, change: Partial<Structure>): DealFile {
  return { ...inputs, structure: { ...inputs.structure, ...change } };
}
