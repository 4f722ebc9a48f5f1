import { type DealDocument, headingOf } from "../deal-document";
import type { DealFile } from "../deal-file";
import { type Dealer, dealerFileOf } from "../dealer";
import type { WholeDealFile } from "./whole-deal.schema";

type Beside = { dealer?: Dealer | undefined; stockNumber?: string | null | undefined };

/**
 * A deal as a file of version 2; what it does not have is left out.
 *
 * @param beside what the dealer alone sees, where that is to be in it, and the vehicle's stock number, where it has one
 */
export function wholeDealOf(
  document: DealDocument,
  { dealer = {}, stockNumber }: Beside = {},
): WholeDealFile {
  const { customer, vehicle, status, budget, notes, place } = headingOf(document);
  const { options, chosen } = document;
  return {
    format: "kellux-deal",
    version: 2,
    currency: options[0]?.inputs.currency ?? "USD",
    ...(customer && { customer: customer.name }),
    ...(vehicle && { vehicle: vehicle.name }),
    ...(vehicle && stockNumber != null && { stockNumber }),
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
