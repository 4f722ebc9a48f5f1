import type { Asides, DealDocument, DealHeading, DealOption, DealOrder } from "./document.schema";

/** A document with one option, which is chosen. */
export function documentOf(heading: DealHeading, option: DealOption): DealDocument {
  return { ...heading, chosen: option.id, options: [option] };
}

/** Whose deal it is, for what, and how it stands. */
export function headingOf({ chosen: _c, options: _o, asides: _a, ...heading }: DealDocument): DealHeading {
  return heading;
}

/** Which options there are, in order, and which is chosen. */
export function orderOf({ chosen, options }: DealDocument): DealOrder {
  return { chosen, options: options.map(({ id }) => id) };
}

/** What is tried or assumed and never agreed. */
export const asidesOf = ({ asides = {} }: Pick<DealDocument, "asides">): Asides => asides;

/** An option by its id; undefined where there is none. */
export function optionOf({ options }: Pick<DealDocument, "options">, id: string): DealOption | undefined {
  return options.find(option => option.id === id);
}

/** The chosen option, or the first where the chosen one is gone. */
export function chosenOption(document: DealDocument): DealOption {
  const option = optionOf(document, document.chosen) ?? document.options[0];
  if (!option) throw new Error("A deal has at least one option.");
  return option;
}
