import Type from "typebox";
import { ExtraSchema } from "../extra-payments/extra.schema";
import { ReturnSchema } from "../extra-payments/return.schema";
import { AfterEndWord, KeepForSchema } from "../keep-for/keep-for.schema";
import { StatedSchema } from "../match/match.schema";
import { exact, seen } from "../schema";
import { byOption } from "./option-id.schema";

/** What is assumed of the deal as a whole; a member of a deal file's top is one here. */
export const ASIDES_OF_THE_DEAL = {
  /** What money could earn elsewhere. */
  return: seen(Type.Optional(ReturnSchema)),
};

/** What is tried on one option; a member of a deal file's option is one here. */
export const ASIDES_OF_AN_OPTION = {
  /** Extra payments beside the plan. */
  early: seen(Type.Optional(ExtraSchema)),
  /** What another says of the same loan or lease, which its figures are held against. */
  theirs: seen(Type.Optional(StatedSchema)),
};

/** As a file has them: checked by themselves, for none of them is a figure of the quote. */
export const FiledAsidesSchema = exact({ ...ASIDES_OF_THE_DEAL, ...ASIDES_OF_AN_OPTION });

/**
 * What is tried or assumed on a deal and never agreed, also after it was signed. What was tried on an option stays when
 * that goes, so that it is there when the option comes back.
 */
export const AsidesSchema = exact({
  ...ASIDES_OF_THE_DEAL,
  /** How long its vehicle is kept; in a file what becomes of each option stands with it. */
  keepFor: seen(Type.Optional(KeepForSchema)),
  options: seen(
    Type.Optional(
      byOption(
        exact({ ...ASIDES_OF_AN_OPTION, after: seen(Type.Optional(AfterEndWord)) }),
        "what is tried on",
      ),
    ),
  ),
});

export type Asides = Type.Static<typeof AsidesSchema>;
export type FiledAsides = Type.Static<typeof FiledAsidesSchema>;
