import type { DealDocument } from "../deal-document";
import type { DealFile } from "../deal-file";
import { type Dealer, dealerFileOf } from "../dealer";
import type { WholeDealFile } from "./whole-deal.schema";

type FiledInputs = Omit<DealFile, "kept" | "ask">;

/** What of a deal is filed: all of it, or what its customer may see. */
type FiledDocument = Omit<DealDocument, "customer" | "vehicle" | "options"> & {
  customer?: { name: string };
  vehicle?: { name: string };
  options: { id: string; name: string; inputs: FiledInputs }[];
};

type Beside = { dealer?: Dealer | undefined; stockNumber?: string | null | undefined };

/**
 * A deal as a file of version 2; what it does not have is left out.
 *
 * @param beside what the dealer alone sees, where that is to be in it, and the vehicle's stock number, where it has one
 */
export function wholeDealOf(
  document: FiledDocument,
  { dealer = {}, stockNumber }: Beside = {},
): WholeDealFile {
  const { customer, vehicle, status, budget, notes, place, use, options, chosen, asides = {} } = document;
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
    ...(use !== undefined && { use }),
    ...(asides.return && { return: asides.return }),
    ...(asides.keepFor && { keepFor: filedKeepFor(asides.keepFor, options, asides.options) }),
    ...(dealer.applicant && { applicant: dealer.applicant }),
    chosen:
      Math.max(
        options.findIndex(({ id }) => id === chosen),
        0,
      ) + 1,
    options: options.map(({ id, name, inputs }) => {
      const known = dealerFileOf(inputs.structure, dealer.options?.[id]);
      const { after: _, ...tried } = asides.options?.[id] ?? {};
      return { ...(name && { name }), ...optionOf(inputs), ...tried, ...(known && { dealer: known }) };
    }),
  };
}

/** How long the vehicle is kept, with what becomes of each option by its number. */
function filedKeepFor(
  keepFor: NonNullable<NonNullable<FiledDocument["asides"]>["keepFor"]>,
  options: readonly { id: string }[],
  known: NonNullable<FiledDocument["asides"]>["options"] = {},
): WholeDealFile["keepFor"] {
  const after = options.flatMap(({ id }, index) => {
    const then = known[id]?.after;
    return then ? [{ option: index + 1, then }] : [];
  });
  return { ...keepFor, ...(after.length > 0 && { after }) };
}

function optionOf({ format: _f, version: _v, currency: _c, ...option }: FiledInputs) {
  return option as WholeDealFile["options"][number];
}
