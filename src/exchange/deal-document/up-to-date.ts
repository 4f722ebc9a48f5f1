import type { DealFile } from "../deal-file";
import type { DealChange, DealDocument, DealHeading } from "./document.schema";
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
 *
 * @param stored of any form that was ever kept
 * @param optionId the id that an option without one gets; left out, it stands for the chosen one of the deal that it is put into
 */
export function upToDate(stored: unknown, optionId: string = CHOSEN_OPTION): unknown {
  if (!isObject(stored)) return stored;
  if (stored.format === "kellux-deal") {
    return fromInputs({ customer: "", vehicle: "", status: "quoting", inputs: stored as DealFile }, optionId);
  }
  return "inputs" in stored && !("options" in stored) ? fromInputs(stored as WithInputs, optionId) : stored;
}

/**
 * A save as it is sent today: before options a page sent its whole document, with the inputs of its only option. What is no such
 * save comes back as it is.
 */
export function saveUpToDate(sent: unknown): unknown {
  if (!isObject(sent) || !("document" in sent)) return sent;
  const { document, ...rest } = sent;
  const current = upToDate(document);
  if (!isObject(current)) return sent;
  const { chosen: _chosen, options, ...heading } = current;
  return { ...rest, change: { heading, options } };
}

/** A deal as the sender of a change reads it: a page from before options looks for the inputs where they were. */
export function asItsSenderReads(document: DealDocument, { options = [] }: DealChange): DealDocument {
  if (!options.some(({ id }) => id === CHOSEN_OPTION)) return document;
  const { inputs } = chosenOption(document);
  return Object.assign({ inputs }, document);
}

function fromInputs({ inputs, ...heading }: WithInputs, id: string): DealDocument {
  return documentOf(heading, { id, name: "", inputs });
}

function isObject(value: unknown): value is Record<string, unknown> {
  return typeof value === "object" && value !== null && !Array.isArray(value);
}

/** A change as it is made to a deal; an option that was written before options had ids is the deal's chosen one. */
export function changeUpToDate(document: DealDocument, change: DealChange): DealChange {
  if (!change.options?.some(({ id }) => id === CHOSEN_OPTION)) return change;
  return {
    ...change,
    options: change.options.map(option =>
      option.id === CHOSEN_OPTION ? { ...chosenOption(document), inputs: option.inputs } : option,
    ),
  };
}
