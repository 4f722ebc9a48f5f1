import Type from "typebox";

/** Also of options that were taken out, until they are too many. */
const MOST_OPTIONS_KEPT = 100;

export const OptionId = Type.String({
  pattern: "^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$",
  description: "the id of an option, a UUID in small letters",
});

/** What is known of options, by their ids. */
export const byOption = <Known extends Type.TSchema>(known: Known, what: string) =>
  Type.Record(OptionId, known, {
    additionalProperties: false,
    maxProperties: MOST_OPTIONS_KEPT,
    description: `${what} at most ${MOST_OPTIONS_KEPT} options, by their ids`,
  });
