import Type from "typebox";
import { Count, exact } from "../schema";
import { StatedSchema } from "./match.schema";

const MOST_WAYS = 2_000_000;

/** Which conventions give what another says of the deal. */
export const MatchQuestion = exact({
  ask: Type.Literal("match", { description: '"match"' }),
  stated: StatedSchema,
  /** How many ways are tried at most. */
  most: Type.Optional(Count(1, MOST_WAYS, "a number of ways")),
});

export type MatchQuestion = Type.Static<typeof MatchQuestion>;
