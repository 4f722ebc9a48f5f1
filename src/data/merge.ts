import {
  applyChange,
  changeBetween,
  type DealChange,
  type DealDocument,
  optionOf,
  optionsUpToDate,
} from "@/exchange/deal-document";

/** A deal with the versions at which it, and each of its parts, last changed. */
export type VersionedDeal = {
  document: DealDocument;
  version: number;
  headingVersion: number;
  orderVersion: number;
  /** By the option's id. */
  optionVersions: ReadonlyMap<string, number>;
};

/** A deal after a save, and what of it the save changed. */
export type Merged = { document: DealDocument; changed: DealChange };

/**
 * Puts a change into a deal that others may have saved since. What they changed stays, where it is another part: an
 * option, the heading, or the order of the options.
 *
 * @param kept the deal as it is kept now
 * @param from the version that the change was made from
 * @param change the parts that were changed, each whole
 * @returns the deal with the change, or null where somebody else has changed one of its parts since
 */
export function merge(kept: VersionedDeal, from: number, change: DealChange): Merged | null {
  const document = applyChange(kept.document, change);
  const changed = changeBetween(kept.document, document);
  const isNewer = (version: number | undefined) =>
    version !== undefined && (version > from || from > kept.version);
  const { order } = change;
  const isLost = (id: string) => optionOf(document, id) === undefined;
  const clashes =
    (changed.heading && isNewer(kept.headingVersion)) ||
    (changed.order && isNewer(kept.orderVersion)) ||
    changed.options?.some(({ id }) => isNewer(kept.optionVersions.get(id))) ||
    // An option that somebody else took out, or that was changed since by somebody else and is taken out here.
    optionsUpToDate(kept.document, change.options).some(({ id }) => isLost(id)) ||
    order?.options.some(isLost) ||
    kept.document.options.some(({ id }) => isLost(id) && isNewer(kept.optionVersions.get(id)));
  return clashes ? null : { document, changed };
}
