import Type from "typebox";
import type { DealFile } from "../deal-file";
import { PlaceMember } from "../place/place.schema";
import { exact, OneOf, seen, unseen } from "../schema";
import { type Asides, AsidesSchema } from "./asides.schema";
import { LONGEST_NAME } from "./longest-name";
import { MOST_OPTIONS } from "./most-options";
import { NamedSchema } from "./named.schema";
import { OptionId } from "./option-id.schema";
import { DEAL_STATUSES } from "./statuses";
import { DEAL_USES } from "./uses";

/** One line of plain text: no control characters, which a database or a file could not keep. */
export const Line = Type.String({
  maxLength: LONGEST_NAME,
  pattern: "^[^\\u0000-\\u001f\\u007f]*$",
  description: `one line of at most ${LONGEST_NAME} characters`,
});

/** More than a page of them belongs elsewhere. */
const LONGEST_NOTES = 4000;

/** Lines of plain text. */
export const Notes = Type.String({
  maxLength: LONGEST_NOTES,
  pattern: "^[^\\u0000-\\u0009\\u000b-\\u001f\\u007f]*$",
  description: `lines of text, at most ${LONGEST_NOTES} characters`,
});

/** What it is for; personal use where it is left out. */
export const UseMember = {
  use: seen(Type.Optional(OneOf(...DEAL_USES))),
};

/** Whose deal it is, for what, and how it stands. */
const HEADING = {
  /** Left out where there is none yet. */
  customer: seen(Type.Optional(NamedSchema)),
  /** The vehicle or the purpose. */
  vehicle: seen(Type.Optional(NamedSchema)),
  status: seen(Type.Enum(DEAL_STATUSES, { description: '"quoting", "agreed", "signed" or "lost"' })),
  /** What the customer can pay a month, as typed. */
  budget: unseen(
    Type.Optional(
      Type.String({
        pattern: "^\\d{1,10}(\\.\\d{1,3})?$",
        description: 'an amount of 0 or more, such as "600.00"',
      }),
    ),
  ),
  /** What is to be remembered of it. */
  notes: unseen(Type.Optional(Notes)),
  ...PlaceMember,
  ...UseMember,
};

const OptionSchema = exact({
  id: seen(OptionId),
  /** Empty where it has no name of its own. */
  name: seen(Line),
  /** What was typed; the deal file's own schema checks it. */
  inputs: seen(Type.Unsafe<DealFile>({ type: "object", description: "a deal file" })),
});

const Options = Type.Array(OptionSchema, {
  minItems: 1,
  maxItems: MOST_OPTIONS,
  description: `a list of 1 to ${MOST_OPTIONS} options`,
});

/** All of a deal that an officer can change. */
export const DealDocumentSchema = exact({
  ...HEADING,
  chosen: seen(OptionId),
  options: seen(Options),
  /** Left out where nothing is tried or assumed. */
  asides: seen(Type.Optional(AsidesSchema)),
});

/** What was changed in a deal: the parts that are named, each whole. */
export const DealChangeSchema = exact({
  heading: Type.Optional(exact(HEADING)),
  /** Which options there are, in order, and which is chosen. */
  order: Type.Optional(
    exact({
      chosen: OptionId,
      options: Type.Array(OptionId, {
        minItems: 1,
        maxItems: MOST_OPTIONS,
        uniqueItems: true,
        description: `a list of 1 to ${MOST_OPTIONS} ids of options, each once`,
      }),
    }),
  ),
  /** Options that are new or changed. */
  options: Type.Optional(Options),
  /** Empty where nothing is tried or assumed any more. */
  asides: Type.Optional(AsidesSchema),
});

export type DealDocument = Type.Static<typeof DealDocumentSchema>;
export type DealChange = Type.Static<typeof DealChangeSchema>;
/** One way to structure the deal. */
export type DealOption = Type.Static<typeof OptionSchema>;
export type { Asides };
export type DealHeading = NonNullable<DealChange["heading"]>;
export type DealOrder = NonNullable<DealChange["order"]>;
