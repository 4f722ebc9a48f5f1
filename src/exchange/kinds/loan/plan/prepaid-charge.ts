import type { PlanPart } from "./part";

/** A finance charge paid in cash at signing. */
export const prepaidCharge: PlanPart = {
  read: ({ prepaidCharge: charge }, read) =>
    charge === undefined
      ? undefined
      : { prepaidCharge: read.amount("prepaidCharge", "charge paid at signing", charge) ?? 0 },
  words: ({ prepaidCharge: charge }, { money }) =>
    charge === undefined ? [] : [`charge at signing ${money(charge)}`],
};
