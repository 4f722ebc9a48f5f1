import { currencyDecimals, factorOf, formatAmount } from "@/core";
import { type MapAxis, RATE_UNITS, rateText } from "@/core/map";
import { type DealFile, isLease } from "@/exchange/deal-file";
import type { LeaseFile } from "@/exchange/kinds/lease";
import type { LoanFile } from "@/exchange/kinds/loan";

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
    case "payments":
      return withPlan(inputs, { payments: value });
    case "yearlyRate":
      return withPlan(
        inputs,
        isLease(inputs) && inputs.plan.reckoning === "moneyFactor"
          ? { moneyFactor: factorOf(value / RATE_UNITS) }
          : { yearlyRate: rateText(value) },
      );
    case "balloon":
      return balloonAt(inputs, amount, value);
    case "residual":
      return isLease(inputs) ? withPlan(inputs, { residual: { amount } }) : inputs;
  }
}

type Structure = DealFile["structure"];

function allowanceAt({ tradeIn, tradeIns }: Structure, allowance: string): Partial<Structure> {
  if (!tradeIns) return { tradeIn: { owed: "0", ...tradeIn, allowance } };
  const [first = { owed: "0" }, ...others] = tradeIns;
  return { tradeIns: [{ ...first, allowance }, ...others] };
}

function balloonAt(inputs: DealFile, amount: string, value: number): DealFile {
  if (isLease(inputs)) return inputs;
  const { balloon: _, ...plan } = inputs.plan;
  return { ...inputs, plan: value === 0 ? plan : { ...plan, balloon: { amount } } };
}

function withStructure(inputs: DealFile, change: Partial<Structure>): DealFile {
  return { ...inputs, structure: { ...inputs.structure, ...change } };
}

function withPlan(
  inputs: DealFile,
  change: Partial<LoanFile["plan"]> | Partial<LeaseFile["plan"]>,
): DealFile {
  return { ...inputs, plan: { ...inputs.plan, ...change } } as DealFile;
}
