import type { Asides, DealDocument } from "./document.schema";

/** Asides as a member of a document, which has none where nothing is tried. */
export const asidesMember = (asides: Asides | null = {}): Pick<DealDocument, "asides"> =>
  asides && Object.keys(asides).length > 0 ? { asides } : {};

/** What of a deal is agreed: all but what is tried or assumed. */
export function agreedOf({ asides: _, ...agreed }: DealDocument): DealDocument {
  return agreed;
}
