import { currencyDecimals, formatAmount } from "@/core";
import type { Move, MoveValue } from "@/core/moves";
import { type DealInputs, isLeaseInputs } from "@/exchange/deal-file";
import { inputsAt } from "../map/inputs-at";

/**
 * What was typed of a deal with a figure moved, as it would be typed.
 *
 * @param inputs a deal that asks for its payment
 * @param to what the figure is to be
 */
export function inputsMoved(
  inputs: DealInputs,
  { figure, index }: Pick<Move, "figure" | "index">,
  to: MoveValue,
): DealInputs {
  switch (figure) {
    case "yearlyRate":
    case "moneyFactor":
      return withPlan(inputs, { [figure]: String(to) });
    case "inAdvance":
      return withPlan(inputs, { inAdvance: Number(to) });
    case "extra":
      return withoutExtra(inputs, index ?? 0);
    case "extraEach":
      return withExtraEach(inputs, Number(to));
    default:
      return inputsAt(inputs, figure, Number(to ?? 0));
  }
}

function withPlan(inputs: DealInputs, change: Record<string, string | number>): DealInputs {
  return { ...inputs, plan: { ...inputs.plan, ...change } } as DealInputs;
}

function withoutExtra(inputs: DealInputs, index: number): DealInputs {
  const { extras = [], ...structure } = inputs.structure;
  const left = extras.filter((_, each) => each !== index);
  return { ...inputs, structure: { ...structure, ...(left.length > 0 && { extras: left }) } } as DealInputs;
}

function withExtraEach(inputs: DealInputs, minor: number): DealInputs {
  if (isLeaseInputs(inputs)) return inputs;
  const each = formatAmount(minor, currencyDecimals(inputs.currency) ?? 2);
  return { ...inputs, plan: { ...inputs.plan, extra: { ...inputs.plan.extra, each } } };
}
