import Type from "typebox";
import { exact, seen } from "../schema";
import { byOption } from "./option-id.schema";

/** What is assumed of the deal as a whole; a member of a deal file's top is one here. */
const OF_THE_DEAL = {};

/** What is tried on one option; a member of a deal file's option is one here. */
const OF_AN_OPTION = {};

/**
 * What is tried or assumed on a deal and never agreed, also after it was signed. What was tried on an option stays when
 * that goes, so that it is there when the option comes back.
 */
export const AsidesSchema = exact({
  ...OF_THE_DEAL,
  options: seen(Type.Optional(byOption(exact(OF_AN_OPTION), "what is tried on"))),
});

export type Asides = Type.Static<typeof AsidesSchema>;
