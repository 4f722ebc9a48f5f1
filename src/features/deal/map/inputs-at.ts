import { currencyDecimals, factorOf, formatAmount } from "@/core";
import { type MapAxis, RATE_UNITS, rateText } from "@/core/map";
import { type DealFile, type DealInputs, isLeaseInputs } from "@/exchange/deal-file";
import type { LeaseFile } from "@/exchange/lease-file";

/**
 * What was typed of a deal with one figure at a place of the map, as it would be typed there.
 *
 * @param inputs a deal that asks for its payment
 * @param value in the axis's units
 */
export function inputsAt(inputs: DealInputs, axis: MapAxis, value: number): DealInputs {
  const amount = formatAmount(value, currencyDecimals(inputs.currency) ?? 2);
  switch (axis) {
    case "price":
      return withStructure(inputs, { price: amount });
    case "down":
      return withStructure(inputs, { down: { amount } });
    case "allowance":
      return withStructure(inputs, allowanceAt(inputs.structure, amount));
    case "payments":
      return withPlan(inputs, { payments: value });
    case "yearlyRate":
      return withPlan(
        inputs,
        isLeaseInputs(inputs) && inputs.plan.reckoning === "moneyFactor"
          ? { moneyFactor: factorOf(value / RATE_UNITS) }
          : { yearlyRate: rateText(value) },
      );
    case "balloon":
      return balloonAt(inputs, amount, value);
    case "residual":
      return isLeaseInputs(inputs) ? withPlan(inputs, { residual: { amount } }) : inputs;
  }
}

type Structure = DealInputs["structure"];

function allowanceAt({ tradeIn, tradeIns }: Structure, allowance: string): Partial<Structure> {
  if (!tradeIns) return { tradeIn: { owed: "0", ...tradeIn, allowance } };
  const [first = { owed: "0" }, ...others] = tradeIns;
  return { tradeIns: [{ ...first, allowance }, ...others] };
}

function balloonAt(inputs: DealInputs, amount: string, value: number): DealInputs {
  if (isLeaseInputs(inputs)) return inputs;
  const { balloon: _, ...plan } = inputs.plan;
  return { ...inputs, plan: value === 0 ? plan : { ...plan, balloon: { amount } } };
}

function withStructure(inputs: DealInputs, change: Partial<Structure>): DealInputs {
  return { ...inputs, structure: { ...inputs.structure, ...change } };
}

function withPlan(
  inputs: DealInputs,
  change: Partial<DealFile["plan"]> | Partial<LeaseFile["plan"]>,
): DealInputs {
  return { ...inputs, plan: { ...inputs.plan, ...change } } as DealInputs;
}
