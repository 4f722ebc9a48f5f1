import type { DealOption } from "../deal-document";
import type { DealFile } from "../deal-file";
import { withLineIds } from "../structure/line-ids";
import { dealerApart } from "./apart";

/** An option as it is today, of whatever form it was kept: its lines have ids, and nothing of the dealer's side is in it. */
export function optionUpToDate(option: DealOption): DealOption {
  const inputs = dealerApart(option.inputs).option as DealFile;
  const structure = withLineIds(inputs.structure);
  return structure === option.inputs.structure ? option : { ...option, inputs: { ...inputs, structure } };
}
