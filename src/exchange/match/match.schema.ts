import Type from "typebox";
import { MOST_PAYMENTS } from "@/core";
import { exact, IsoDate, seen, Whole } from "../schema";

/** More rows than a table of the longest loan has. */
const MOST_ROWS = MOST_PAYMENTS + 1;

/** An amount at the decimals that it is said with, also with parts of a cent. */
const Said = Type.Union(
  [
    Type.String({ pattern: "^\\d{1,10}(\\.\\d{1,6})?$" }),
    Type.Number({ minimum: 0, maximum: 9_999_999_999 }),
  ],
  { description: 'an amount as it is said, such as "445.16"' },
);

const SaidPercent = Type.Union(
  [Type.String({ pattern: "^\\d{1,4}(\\.\\d{1,6})?$" }), Type.Number({ minimum: 0, maximum: 9999 })],
  { description: 'a percent as it is said, such as "7.25"' },
);

const PaymentNumber = Whole(1, MOST_PAYMENTS, "the number of a payment");

const SaidRow = exact({
  number: seen(PaymentNumber),
  date: seen(Type.Optional(IsoDate)),
  payment: seen(Type.Optional(Said)),
  interest: seen(Type.Optional(Said)),
  principal: seen(Type.Optional(Said)),
  balance: seen(Type.Optional(Said)),
});

/**
 * What another says of a loan or a lease: any of its figures, each at the decimals that it was typed with. A payment or a day
 * whose amount is still to be typed counts for nothing.
 */
export const StatedSchema = exact({
  payment: seen(Type.Optional(Said)),
  lastPayment: seen(Type.Optional(Said)),
  totalOfPayments: seen(Type.Optional(Said)),
  financeCharge: seen(Type.Optional(Said)),
  apr: seen(Type.Optional(SaidPercent)),
  amountFinanced: seen(Type.Optional(Said)),
  balance: seen(Type.Optional(exact({ after: seen(PaymentNumber), amount: seen(Type.Optional(Said)) }))),
  payoff: seen(Type.Optional(exact({ on: seen(IsoDate), amount: seen(Type.Optional(Said)) }))),
  table: seen(
    Type.Optional(
      Type.Array(SaidRow, {
        minItems: 1,
        maxItems: MOST_ROWS,
        description: `a list of 1 to ${MOST_ROWS} rows, each with the number of its payment`,
      }),
    ),
  ),
});

export type StatedFile = Type.Static<typeof StatedSchema>;
export type StatedRowFile = Type.Static<typeof SaidRow>;
