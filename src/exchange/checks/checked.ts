import type { ErrorObject, ValidateFunction } from "ajv";
import { firstCharacters } from "../text";

/** What a schema check gives back: the value with its type, or one plain sentence. */
export type Checked<Value> = { ok: true; value: Value } | { ok: false; sentence: string };

/** The same with where what is wrong stands, as a JSON pointer. */
type CheckedAt<Value> = { ok: true; value: Value } | { ok: false; sentence: string; at: string };

/**
 * Checks unknown data by a compiled check. Every part of a schema that a user could get wrong carries a `description`
 * of what is accepted, which becomes part of the sentence.
 *
 * @param validate a check that was compiled ahead of time, from the schema of the value's type
 * @param value what to check
 * @param place where the value stands in what was given, such as "/document/inputs"; the sentence names it
 */
export function checked<Value>(validate: ValidateFunction, value: unknown, place?: string): Checked<Value> {
  const result = checkedAt<Value>(validate, value, place);
  return result.ok ? result : { ok: false, sentence: result.sentence };
}

/** The same, where it matters at which part something is wrong. */
export function checkedAt<Value>(
  validate: ValidateFunction,
  value: unknown,
  place?: string,
): CheckedAt<Value> {
  if (validate(value, place === undefined ? undefined : at(place)))
    return { ok: true, value: value as Value };
  const error = mostTelling(validate.errors ?? []);
  return error
    ? { ok: false, sentence: sentenceOf(error), at: placeOf(error) }
    : { ok: false, sentence: "The data does not have the right form.", at: "" };
}

/** Tells a check where its value stands; it has nothing to change there. */
function at(place: string) {
  return { instancePath: place, parentData: {}, parentDataProperty: "", rootData: {}, dynamicAnchors: {} };
}

/** Where it is, as a JSON pointer; of a member that is not known, that member. */
const placeOf = ({ instancePath, keyword, params }: ErrorObject): string =>
  keyword === "additionalProperties"
    ? `${instancePath}/${cut(params.additionalProperty, LONGEST_SHOWN)}`
    : instancePath;

/** One sentence for what is wrong. */
function sentenceOf(error: ErrorObject): string {
  const place = cut(error.instancePath, LONGEST_PLACE).slice(1).replaceAll("/", ".");
  const at = (name: string) => (place ? `${place}.${name}` : name);
  if (error.keyword === "required") return `${at(error.params.missingProperty)} is missing.`;
  if (error.keyword === "additionalProperties")
    return `${at(cut(error.params.additionalProperty, LONGEST_SHOWN))} is not known.`;
  const accepted = acceptedBy(error);
  return `${place || "The data"} is ${shown(error.data)}; it must be ${accepted}.`;
}

/** The last error is the outermost, which alone describes a choice whole; an error inside an object of a choice says more. */
function mostTelling(errors: ErrorObject[]): ErrorObject | undefined {
  const outermost = errors.at(-1);
  const deeper = errors.filter(
    error => outermost && error.instancePath.length > outermost.instancePath.length && acceptedBy(error),
  );
  return deeper.at(-1) ?? outermost;
}

function acceptedBy({ parentSchema, params }: ErrorObject): string {
  const description = (parentSchema as { description?: unknown } | undefined)?.description;
  return typeof description === "string" ? description : `of type ${String(params.type ?? "described")}`;
}

const LONGEST_SHOWN = 40;
const LONGEST_PLACE = 200;

/** What was given, as far as a sentence shows it; cut before anything else looks at it. */
function shown(data: unknown): string {
  if (typeof data === "object" && data !== null) return Array.isArray(data) ? "a list" : "an object";
  const beginning = typeof data === "string" ? data.slice(0, LONGEST_SHOWN) : data;
  return cut(JSON.stringify(beginning) ?? "missing", LONGEST_SHOWN, beginning !== data);
}

function cut(text: string, most: number, isCut = false): string {
  if (text.length <= most) return isCut ? `${text}…` : text;
  return `${firstCharacters(text, most)}…`;
}
