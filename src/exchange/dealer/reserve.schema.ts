import Type from "typebox";
import { LONGEST_LINE_NAME, MOST_PAYMENTS } from "@/core";
import { Amount, exact, OneOf, Percent, tagged, Whole } from "../schema";

const LONGEST_DAYS = 3660;
const LONGEST_MONTHS = 1200;

const Share = Percent('a percent from 0 to 100, such as "75"', 100);
const Days = Whole(0, LONGEST_DAYS, "a number of days");

/** What comes back where a loan is paid off early: all of it up to a payment or a day, then nothing or a part. */
const Chargeback = exact({
  until: Type.Optional(Whole(0, MOST_PAYMENTS, "the number of a payment")),
  untilDays: Type.Optional(Days),
  then: Type.Optional(OneOf("nothing", "byTime", "byInterest")),
});

const word = <Word extends string>(text: Word) => Type.Literal(text, { description: `"${text}"` });

const OF_EACH_METHOD = {
  /** Percent of what the method comes to. */
  share: Type.Optional(Share),
  most: Type.Optional(Amount),
  chargeback: Type.Optional(Chargeback),
};

/** What a lender pays to the dealer of what the customer pays. */
export const ReserveSchema = tagged(
  "method",
  [
    exact({ method: word("presentValue"), ...OF_EACH_METHOD }),
    exact({ method: word("interestShare"), ...OF_EACH_METHOD }),
    exact({
      method: word("flat"),
      /** One of the two. */
      amount: Type.Optional(Amount),
      percent: Type.Optional(Percent('a percent of the loan amount from 0 to 100, such as "2"', 100)),
      ...OF_EACH_METHOD,
    }),
  ],
  'how a reserve is reckoned: "method" is "presentValue", "interestShare" or "flat"',
);

/** What of an extra comes back, by time. */
export const ExtraChargebackSchema = exact({
  term: Type.Optional(Whole(1, LONGEST_MONTHS, "a number of months")),
  untilDays: Type.Optional(Days),
});

export const OfficerShareSchema = exact({
  percent: Share,
  of: Type.Optional(OneOf("back", "all", "reserve")),
  less: Type.Optional(Amount),
});

/** An amount that can be below zero. */
export const SignedAmount = Type.Union(
  [Type.String({ pattern: "^-?\\d{1,10}(\\.\\d{1,3})?$" }), Type.Number()],
  { description: 'an amount, below 0 where it is a cost, such as "837.00" or "-250.00"' },
);

/** Holdback, dealer cash, reconditioning, pack and the like. */
export const OtherIncomeSchema = exact({
  name: Type.String({
    minLength: 1,
    maxLength: LONGEST_LINE_NAME,
    pattern: "^[^\\u0000-\\u001f\\u007f]*$",
    description: `a name of 1 to ${LONGEST_LINE_NAME} characters`,
  }),
  amount: SignedAmount,
  in: OneOf("front", "back"),
  /** Whether the officer has a share in it; so where left out. */
  shared: Type.Optional(Type.Boolean({ description: "true or false" })),
});
