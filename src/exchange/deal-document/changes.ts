import type { DealChange, DealDocument } from "./document.schema";
import { asidesOf, headingOf, optionOf, orderOf } from "./parts";
import { isSame } from "./same";

/**
 * What changed from one state of a deal to another, part by part.
 *
 * @example changeBetween(before, { ...before, status: "lost" }) // { heading: { status: "lost", … } }
 */
export function changeBetween(before: DealDocument, after: DealDocument): DealChange {
  const options = after.options.filter(option => !isSame(option, optionOf(before, option.id)));
  return {
    ...(!isSame(headingOf(before), headingOf(after)) && { heading: headingOf(after) }),
    ...(!isSame(orderOf(before), orderOf(after)) && { order: orderOf(after) }),
    ...(options.length > 0 && { options }),
    ...(!isSame(asidesOf(before), asidesOf(after)) && { asides: asidesOf(after) }),
  };
}

/** Whether a change holds nothing. */
export function isNoChange(change: object): boolean {
  return Object.keys(change).length === 0;
}

/**
 * A deal after a change of some of its parts.
 *
 * @param document the deal, of the version that the change was made from or of a later one
 * @param change its parts, each whole; an option that is not in the order, new or old, is left out
 */
export function applyChange(document: DealDocument, change: DealChange): DealDocument {
  const { heading = headingOf(document), order = orderOf(document), asides = asidesOf(document) } = change;
  const options = order.options.flatMap(
    id => optionOf({ options: change.options ?? [] }, id) ?? optionOf(document, id) ?? [],
  );
  return { ...heading, chosen: order.chosen, options, ...(!isNoChange(asides) && { asides }) };
}
