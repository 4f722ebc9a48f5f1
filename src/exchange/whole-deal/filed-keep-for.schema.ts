import Type from "typebox";
import { MOST_OPTIONS } from "../deal-document";
import { AfterEndWord, KEEP_FOR } from "../keep-for/keep-for.schema";
import { exact } from "../schema";

/** How long a vehicle is kept, as it is filed: what becomes of each option stands with it, by the option's number. */
export const FiledKeepForSchema = exact({
  ...KEEP_FOR,
  after: Type.Optional(
    Type.Array(
      exact({
        option: Type.Integer({
          minimum: 1,
          maximum: MOST_OPTIONS,
          description: `the number of an option, from 1 to ${MOST_OPTIONS}`,
        }),
        then: AfterEndWord,
      }),
      { maxItems: MOST_OPTIONS, description: `a list of at most ${MOST_OPTIONS} options` },
    ),
  ),
});

export type FiledKeepFor = Type.Static<typeof FiledKeepForSchema>;
