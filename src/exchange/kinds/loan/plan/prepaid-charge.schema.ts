import Type from "typebox";
import { Amount } from "../../../schema";

/** A finance charge paid in cash at signing. */
export const PrepaidChargeMembers = {
  prepaidCharge: Type.Optional(Amount),
};
