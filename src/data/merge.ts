import {
  applyChange,
  changeBetween,
  changeUpToDate,
  type DealChange,
  type DealDocument,
  optionOf,
} from "@/exchange/deal-document";

/** A deal with the versions at which it, and each of its parts, last changed. */
export type VersionedDeal = {
  document: DealDocument;
  version: number;
  headingVersion: number;
  orderVersion: number;
  /** 0 where there never were any. */
  asidesVersion: number;
  /** By the option's id. */
  optionVersions: ReadonlyMap<string, number>;
};

/** The version at which what of a deal is agreed last changed: whoever signs, chooses or deletes has that in view. */
export const agreedVersion = ({ headingVersion, orderVersion, optionVersions }: VersionedDeal): number =>
  Math.max(headingVersion, orderVersion, ...optionVersions.values());

/** A deal after a save, and what of it the save changed. */
export type Merged = { document: DealDocument; changed: DealChange };

/**
 * Puts a change into a deal that others may have saved since. What they changed stays, where it is another part: an
 * option, the heading, or the order of the options.
 *
 * @param kept the deal as it is kept now
 * @param from the version that the change was made from
 * @param sent the parts that were changed, each whole
 * @returns the deal with the change, or null where somebody else has changed one of its parts since
 */
export function merge(kept: VersionedDeal, from: number, sent: DealChange): Merged | null {
  const change = changeUpToDate(kept.document, sent);
  const document = applyChange(kept.document, change);
  const changed = changeBetween(kept.document, document);
  const isNewer = (version: number | undefined) =>
    version !== undefined && (version > from || from > kept.version);
  const { order } = change;
  const isLost = (id: string) => optionOf(document, id) === undefined;
  const clashes =
    (changed.heading && isNewer(kept.headingVersion)) ||
    (changed.order && isNewer(kept.orderVersion)) ||
    (changed.asides && isNewer(kept.asidesVersion)) ||
    changed.options?.some(({ id }) => isNewer(kept.optionVersions.get(id))) ||
    // An option that somebody else took out, or that was changed since by somebody else and is taken out here.
    change.options?.some(({ id }) => isLost(id)) ||
    order?.options.some(isLost) ||
    kept.document.options.some(({ id }) => isLost(id) && isNewer(kept.optionVersions.get(id)));
  return clashes ? null : { document, changed };
}
