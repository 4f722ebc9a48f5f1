import Type from "typebox";
import { ProgramSchema } from "../dealer/program.schema";
import { exact } from "../schema";
import { LineName } from "../structure/structure.schema";
import { MOST_LENDERS, MOST_PROGRAMS } from "./limits";

/** A lender with all that it offers. */
const LenderSchema = exact({
  name: LineName,
  programs: Type.Array(ProgramSchema, {
    maxItems: MOST_PROGRAMS,
    description: `a list of at most ${MOST_PROGRAMS} programs`,
  }),
});

/** What lenders offer, as it is filed. */
export const RatesSchema = exact({
  format: Type.Literal("kellux-rates", { description: '"kellux-rates"' }),
  version: Type.Literal(1, { description: "1" }),
  lenders: Type.Array(LenderSchema, {
    minItems: 1,
    maxItems: MOST_LENDERS,
    description: `a list of 1 to ${MOST_LENDERS} lenders`,
  }),
});

export type Lender = Type.Static<typeof LenderSchema>;
export type RatesFile = Type.Static<typeof RatesSchema>;
