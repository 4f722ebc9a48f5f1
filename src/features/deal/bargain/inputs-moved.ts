import { currencyDecimals, formatAmount } from "@/core";
import type { Move, MoveValue } from "@/core/moves";
import { type DealFile, isLease } from "@/exchange/deal-file";
import { inputsAt } from "../map/inputs-at";

/**
 * What was typed of a deal with a figure moved, as it would be typed.
 *
 * @param inputs a deal that asks for its payment
 * @param to what the figure is to be
 */
export function inputsMoved(
  inputs: DealFile,
  { figure, index }: Pick<Move, "figure" | "index">,
  to: MoveValue,
): DealFile {
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

function withPlan(inputs: DealFile, change: Record<string, string | number>): DealFile {
  return { ...inputs, plan: { ...inputs.plan, ...change } } as DealFile;
}

function withoutExtra(inputs: DealFile, index: number): DealFile {
  const { extras = [], ...structure } = inputs.structure;
  const left = extras.filter((_, each) => each !== index);
  return { ...inputs, structure: { ...structure, ...(left.length > 0 && { extras: left }) } } as DealFile;
}

function withExtraEach(inputs: DealFile, minor: number): DealFile {
  if (isLease(inputs)) return inputs;
  const each = formatAmount(minor, currencyDecimals(inputs.currency) ?? 2);
  return { ...inputs, plan: { ...inputs.plan, extra: { ...inputs.plan.extra, each } } };
}
