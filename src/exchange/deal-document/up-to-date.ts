import type { DealFile } from "../deal-file";
import type { DealChange, DealDocument, DealHeading } from "./document.schema";
import { nameOf } from "./named";
import { isOfNamesAlone, namesUpToDate, withOwnIds } from "./names-up-to-date";
import { chosenOption, documentOf } from "./parts";

/** The id of an option that has none: it stands for the chosen one of the deal that it is put into. */
const CHOSEN_OPTION = "00000000-0000-0000-0000-000000000000";

/** A deal's document as it was before a deal had options: one set of inputs. */
type WithInputs = DealHeading & { inputs: DealFile };

/**
 * Brings a deal's document up to date, wherever it was kept: in the database, in a file, among the changes that a
 * browser keeps, or on a page that was opened before the app was renewed. What is up to date, or no document at all,
 * comes back as it is, for the checks to judge.
 *
 * - A deal file alone is a deal without a heading.
 * - A document with `inputs` is from before options; they are those of its only option.
 * - A customer or a vehicle that is a text is from before they had ids.
 *
 * @param stored of any form that was ever kept
 * @param optionId the id that an option without one gets; left out, it stands for the chosen one of the deal that it is put into
 */
export function upToDate(stored: unknown, optionId: string = CHOSEN_OPTION): unknown {
  if (!isObject(stored)) return stored;
  if (stored.format === "kellux-deal") {
    return fromInputs({ status: "quoting", inputs: stored as DealFile }, optionId);
  }
  if (!("inputs" in stored || "options" in stored)) return stored;
  const current = namesUpToDate(stored);
  return "options" in current ? current : fromInputs(current as WithInputs, optionId);
}

/**
 * A save as it is sent today: before options a page sent its whole document, with the inputs of its only option. What is no such
 * save comes back as it is.
 */
export function saveUpToDate(sent: unknown): unknown {
  if (!isObject(sent)) return sent;
  if (!("document" in sent)) return headingUpToDate(sent);
  const { document, ...rest } = sent;
  const current = upToDate(document);
  if (!isObject(current)) return sent;
  const { chosen: _chosen, options, ...heading } = current;
  return { ...rest, change: { heading, options } };
}

/** A save whose heading is written as it is today. */
function headingUpToDate(sent: Record<string, unknown>): unknown {
  const { change } = sent;
  if (!isObject(change) || !isObject(change.heading)) return sent;
  const heading = namesUpToDate(change.heading);
  return heading === change.heading ? sent : { ...sent, change: { ...change, heading } };
}

/**
 * A deal as the sender of a change reads it: a page from before options looks for the inputs where they were, and one from
 * before customers and vehicles had ids shows their names.
 */
export function asItsSenderReads(
  document: DealDocument,
  { options = [], heading }: DealChange,
): DealDocument {
  const isOfBeforeOptions = options.some(({ id }) => id === CHOSEN_OPTION);
  if (!isOfBeforeOptions && !isOfNamesAlone(heading)) return document;
  const { customer, vehicle } = document;
  return Object.assign(isOfBeforeOptions ? { inputs: chosenOption(document).inputs } : {}, document, {
    customer: nameOf(customer),
    vehicle: nameOf(vehicle),
  } as object);
}

function fromInputs({ inputs, ...heading }: WithInputs, id: string): DealDocument {
  return documentOf(heading, { id, name: "", inputs });
}

function isObject(value: unknown): value is Record<string, unknown> {
  return typeof value === "object" && value !== null && !Array.isArray(value);
}

/**
 * A change as it is made to a deal: an option that was written before options had ids is the deal's chosen one, and so are
 * who and what were named before they had ids, where they are called so.
 */
export function changeUpToDate(document: DealDocument, sent: DealChange): DealChange {
  const change = isOfNamesAlone(sent.heading)
    ? { ...sent, heading: withOwnIds(sent.heading as DealHeading, document) }
    : sent;
  if (!change.options?.some(({ id }) => id === CHOSEN_OPTION)) return change;
  return {
    ...change,
    options: change.options.map(option =>
      option.id === CHOSEN_OPTION ? { ...chosenOption(document), inputs: option.inputs } : option,
    ),
  };
}
