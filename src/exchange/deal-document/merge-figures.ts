import type { DealFile } from "../deal-file";
import { agreedOf, asidesMember } from "./beside";
import type { DealDocument, DealHeading, DealOption, DealOrder } from "./document.schema";
import { membersOfFound } from "./members-of-found";
import { asidesOf, headingOf, optionOf, orderOf } from "./parts";
import { isSame } from "./same";

/** Thrown where both have changed the same figure, each to another. */
class Clash extends Error {}

/**
 * Puts together what two changed from one state of a deal, figure by figure. A list of lines, steps or payments is one
 * figure, and so are what is found, what it is found from, and the figure that is found.
 *
 * @param base what both changed
 * @param mine what one has made of it
 * @param theirs what another has made of it
 * @returns the deal with the changes of both; null where both have changed the same figure, or one has taken out what the
 *   other changed
 */
export function mergeFigures(
  base: DealDocument,
  mine: DealDocument,
  theirs: DealDocument,
): DealDocument | null {
  try {
    const order: DealOrder = merged(orderOf(base), orderOf(mine), orderOf(theirs), isWhole);
    const heading: DealHeading = merged(
      headingOf(base),
      headingOf(mine),
      headingOf(theirs),
      isFigureOfHeading,
    );
    for (const { id } of base.options) {
      if (order.options.includes(id)) continue;
      const [before, here, there] = [base, mine, theirs].map(document => optionOf(document, id));
      // Taken out by one, and changed by the other.
      if ((here && !isSame(here, before)) || (there && !isSame(there, before))) return null;
    }
    const options = order.options.map(id => optionMerged(id, base, mine, theirs));
    const asides = merged(asidesOf(base), asidesOf(mine), asidesOf(theirs), isList);
    return { ...heading, chosen: order.chosen, options, ...asidesMember(asides) };
  } catch (error) {
    if (error instanceof Clash) return null;
    throw error;
  }
}

/**
 * Whether somebody has said yes to a deal that the changes of both make another one: what is signed, or chosen, is what
 * whoever does it had in view.
 */
export function isAgreedUnseen(
  both: DealDocument,
  mine: DealDocument,
  theirs: DealDocument,
  base: DealDocument,
): boolean {
  const isOther = (one: DealDocument) => !isSame(agreedOf(both), agreedOf(one));
  return (
    [mine, theirs].some(one => one.status === "signed" && isOther(one)) ||
    (mine.chosen !== base.chosen && isOther(mine))
  );
}

function optionMerged(id: string, base: DealDocument, mine: DealDocument, theirs: DealDocument): DealOption {
  const [before, here, there] = [base, mine, theirs].map(document => optionOf(document, id));
  const either = here ?? there;
  if (!either) throw new Clash();
  if (!before || !here || !there) return either;
  const inputs = mergeInputs(before.inputs, here.inputs, there.inputs);
  if (!inputs) throw new Clash();
  return { id, name: merged(before.name, here.name, there.name, isWhole), inputs };
}

/** The same for the inputs of one option. */
export function mergeInputs(base: DealFile, mine: DealFile, theirs: DealFile): DealFile | null {
  try {
    const all = [base, mine, theirs];
    const isOfOneKind = all.every(
      ({ plan, currency, kept }) =>
        plan.kind === base.plan.kind && currency === base.currency && isSame(kept, base.kept),
    );
    if (!isOfOneKind) return merged(base, mine, theirs, isWhole);
    const found = foundWith(all);
    if (!isSame(found(mine), found(base)) && !isSame(found(theirs), found(base))) {
      merged(found(base), found(mine), found(theirs), isWhole);
    }
    return merged(base, mine, theirs, isList);
  } catch (error) {
    if (error instanceof Clash) return null;
    throw error;
  }
}

/** What is found and from what, with the figures that are found in any of some states. */
function foundWith(all: readonly DealFile[]): (inputs: DealFile) => unknown {
  const isAsked = all.some(({ find, from }) => find !== all[0]?.find || !isSame(from, all[0]?.from));
  if (!isAsked) return () => undefined;
  const members = all.flatMap(({ find }) => membersOfFound(find));
  return ({ find, from, structure, plan }) => {
    const figures = { ...plan, ...structure } as Record<string, unknown>;
    return { find, from, figures: members.map(member => figures[member]) };
  };
}

/** The same for plain data of any other kind: each figure, wherever it stands. */
export function mergeMembers<Value>(base: Value, mine: Value, theirs: Value): Value | null {
  try {
    return merged(base, mine, theirs, isList);
  } catch (error) {
    if (error instanceof Clash) return null;
    throw error;
  }
}

type IsOne = (value: unknown) => boolean;
const isWhole: IsOne = () => true;
const isList: IsOne = value => typeof value !== "object" || value === null || Array.isArray(value);

/** A name and whose it is are one figure. */
const isFigureOfHeading: IsOne = value => isList(value) || "id" in (value as object);

/** One value after the changes of both, member by member where it is not one figure. */
function merged<Value>(base: Value, mine: Value, theirs: Value, isOne: IsOne): Value {
  if (isSame(mine, base)) return theirs;
  if (isSame(theirs, base) || isSame(mine, theirs)) return mine;
  if ([base, mine, theirs].some(isOne)) throw new Clash();
  const [before, here, there] = [base, mine, theirs] as Record<string, unknown>[];
  const result: Record<string, unknown> = {};
  for (const name of Object.keys({ ...before, ...there, ...here })) {
    const value = merged(before?.[name], here?.[name], there?.[name], isOne);
    if (value !== undefined) result[name] = value;
  }
  return result as Value;
}
