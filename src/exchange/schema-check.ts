import { Ajv, type ErrorObject, type ValidateFunction } from "ajv";
import type Type from "typebox";

const ajv = new Ajv({ allErrors: false, verbose: true, strict: true, discriminator: true });

/** What a schema check gives back: the value with its type, or one plain sentence. */
export type Checked<Value> = { ok: true; value: Value } | { ok: false; sentence: string };

/**
 * Compiles a check of unknown data against a schema. Every part of the schema that a user could get wrong
 * carries a `description` of what is accepted, which becomes part of the sentence.
 *
 * Uses `new Function`, which a page's content security policy forbids: for servers and programs only.
 */
export function schemaCheck<Schema extends Type.TSchema>(
  schema: Schema,
): (value: unknown) => Checked<Type.Static<Schema>> {
  // Compiled when it is first needed: a program rarely needs every check.
  let validate: ValidateFunction | undefined;
  return value => {
    validate ??= ajv.compile(JSON.parse(JSON.stringify(schema)));
    return validate(value)
      ? { ok: true, value: value as Type.Static<Schema> }
      : { ok: false, sentence: sentenceOf(validate.errors ?? []) };
  };
}

/** One sentence for a failed check: the last error is the outermost, which alone describes a choice whole. */
function sentenceOf(errors: ErrorObject[]): string {
  const error = mostTelling(errors);
  if (!error) return "The data does not have the right form.";
  const place = error.instancePath.slice(1).replaceAll("/", ".");
  const at = (name: string) => (place ? `${place}.${name}` : name);
  if (error.keyword === "required") return `${at(error.params.missingProperty)} is missing.`;
  if (error.keyword === "additionalProperties") return `${at(error.params.additionalProperty)} is not known.`;
  const accepted = acceptedBy(error);
  return `${place || "The data"} is ${shown(error.data)}; it must be ${accepted}.`;
}

/** In a choice between objects, an error inside one of them says more than the choice's own. */
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

function shown(data: unknown): string {
  if (typeof data === "object" && data !== null) return Array.isArray(data) ? "a list" : "an object";
  const text = JSON.stringify(data) ?? "missing";
  return text.length > LONGEST_SHOWN ? `${text.slice(0, LONGEST_SHOWN)}…` : text;
}
