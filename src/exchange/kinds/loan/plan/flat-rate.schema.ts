import Type from "typebox";
import { OneOf, seen } from "../../../schema";

/** How the charge of a flat-rate loan is earned. */
export const FlatRateMembers = {
  earning: seen(Type.Optional(OneOf("actuarial", "sumOfDigits"))),
};
