import Type from "typebox";
import { HIGHEST_STEP_PERCENT, MOST_PAYMENTS, MOST_STEPS } from "@/core";
import { Amount, exact, seen, Whole } from "../../../schema";

const Change = Type.Union(
  [
    Type.String({ pattern: "^-?\\d{1,4}(\\.\\d{1,8})?$" }),
    Type.Number({ minimum: -100, maximum: HIGHEST_STEP_PERCENT }),
  ],
  { description: 'a percent change of the payment, such as "5" or "-2.5"' },
);

const From = Whole(2, MOST_PAYMENTS, "the number of a payment");

const Step = Type.Union(
  [exact({ from: seen(From), amount: seen(Amount) }), exact({ from: seen(From), percent: seen(Change) })],
  {
    description: '{ "from": …, "amount": … } or { "from": …, "percent": … }',
  },
);

/** Payments that change along the term. */
export const StepsMembers = {
  steps: seen(
    Type.Optional(
      Type.Array(Step, {
        minItems: 1,
        maxItems: MOST_STEPS,
        description: `a list of 1 to ${MOST_STEPS} steps`,
      }),
    ),
  ),
};
