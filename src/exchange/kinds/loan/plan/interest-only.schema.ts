import Type from "typebox";
import { Payments } from "../../../schema";

/** How many first payments are just interest. */
export const InterestOnlyMembers = {
  interestOnly: Type.Optional(Payments),
};
