import Type from "typebox";
import { exact } from "../schema";
import { OptionId } from "./option-id.schema";

/** What is assumed of the deal as a whole; a member of a deal file's top is one here. */
const OF_THE_DEAL = {};

/** What is tried on one option; a member of a deal file's option is one here. */
const OF_AN_OPTION = {};

/** Also of options that were taken out, until they are too many. */
const MOST_OPTIONS_KEPT = 100;

/**
 * What is tried or assumed on a deal and never agreed, also after it was signed. What was tried on an option stays when
 * that goes, so that it is there when the option comes back.
 */
export const AsidesSchema = exact({
  ...OF_THE_DEAL,
  options: Type.Optional(
    Type.Record(OptionId, exact(OF_AN_OPTION), {
      additionalProperties: false,
      maxProperties: MOST_OPTIONS_KEPT,
      description: `what is tried on at most ${MOST_OPTIONS_KEPT} options, by their ids`,
    }),
  ),
});

export type Asides = Type.Static<typeof AsidesSchema>;
