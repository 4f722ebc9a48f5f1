import Type from "typebox";
import { OneOf } from "../../../schema";

/** How the charge of a flat-rate loan is earned. */
export const FlatRateMembers = {
  earning: Type.Optional(OneOf("actuarial", "sumOfDigits")),
};
