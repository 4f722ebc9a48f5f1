import type { Move, MoveValue } from "@/core/moves";
import type { DealFile } from "@/exchange/deal-file";
import { askedOf } from "../kinds/asked";
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
    case "extra":
      return withoutExtra(inputs, index ?? 0);
    case "price":
    case "down":
    case "allowance":
      return inputsAt(inputs, figure, Number(to ?? 0));
    default:
      return askedOf(inputs).planAt(inputs, figure, to ?? 0);
  }
}

function withoutExtra(inputs: DealFile, index: number): DealFile {
  const { extras = [], ...structure } = inputs.structure;
  const left = extras.filter((_, each) => each !== index);
  return { ...inputs, structure: { ...structure, ...(left.length > 0 && { extras: left }) } } as DealFile;
}
