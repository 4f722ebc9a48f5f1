import Type from "typebox";
import { EARLIEST_YEAR, LATEST_YEAR, MOST_PAYMENTS } from "@/core";
import { Amount, exact, IsoDate, OneOf, seen, Whole } from "../schema";

const MOST_EXTRAS = 120;

const PaymentNumber = Whole(1, MOST_PAYMENTS, "the number of a payment");

/** With every payment, or with those from one to another. */
const Each = Type.Union(
  [
    Amount,
    exact({
      amount: seen(Type.Optional(Amount)),
      from: seen(Type.Optional(PaymentNumber)),
      to: seen(Type.Optional(PaymentNumber)),
    }),
  ],
  { description: 'an amount, or one with "from" and "to", the numbers of payments' },
);

/** Every year on the day of a first date, or with a month on its first payment date, from a year on. */
const Yearly = exact({
  amount: seen(Amount),
  month: seen(Type.Optional(Whole(1, 12, "a month"))),
  from: seen(
    Type.Optional(
      Type.Union([IsoDate, Whole(EARLIEST_YEAR, LATEST_YEAR, "a year")], {
        description: 'a date such as "2026-12-24", or with a month a year such as 2027',
      }),
    ),
  ),
});

/** On a date or right after a payment: one of the two. */
const Once = exact({
  date: seen(Type.Optional(IsoDate)),
  after: seen(Type.Optional(PaymentNumber)),
  amount: seen(Type.Optional(Amount)),
  then: seen(Type.Optional(OneOf("sooner", "lowerPayments"))),
});

/** Money on top of the plan's payments. */
export const ExtraSchema = exact({
  each: seen(Type.Optional(Each)),
  yearly: seen(Type.Optional(Yearly)),
  once: seen(
    Type.Optional(
      Type.Array(Once, {
        minItems: 1,
        maxItems: MOST_EXTRAS,
        description: `a list of 1 to ${MOST_EXTRAS} extras`,
      }),
    ),
  ),
});

/** Extra money as it was typed. */
export type ExtraFile = Type.Static<typeof ExtraSchema>;

/** Money on top of the plan's payments. */
export const ExtraMembers = {
  extra: seen(Type.Optional(ExtraSchema)),
};
