import { type DealDocument, headingOf } from "../deal-document";
import type { DealFile } from "../deal-file";
import { type Dealer, dealerFileOf } from "../dealer";
import type { WholeDealFile } from "./whole-deal.schema";

/**
 * A deal as a file of version 2; what it does not have is left out.
 *
 * @param dealer what the dealer alone sees, where that is to be in it
 */
export function wholeDealOf(document: DealDocument, dealer: Dealer = {}): WholeDealFile {
  const { customer, vehicle, status, budget, notes, place } = headingOf(document);
  const { options, chosen } = document;
  return {
    format: "kellux-deal",
    version: 2,
    currency: options[0]?.inputs.currency ?? "USD",
    ...(customer && { customer }),
    ...(vehicle && { vehicle }),
    status,
    ...(budget !== undefined && { budget }),
    ...(notes !== undefined && { notes }),
    ...(place !== undefined && { place }),
    chosen:
      Math.max(
        options.findIndex(({ id }) => id === chosen),
        0,
      ) + 1,
    options: options.map(({ id, name, inputs }) => {
      const known = dealerFileOf(inputs.structure, dealer.options?.[id]);
      return { ...(name && { name }), ...optionOf(inputs), ...(known && { dealer: known }) };
    }),
  };
}

function optionOf({ format: _f, version: _v, currency: _c, ...option }: DealFile) {
  return option as WholeDealFile["options"][number];
}
