import Type from "typebox";
import {
  Amount,
  CompoundingWord,
  exact,
  FrequencyWord,
  IsoDate,
  MOST_PAYMENTS,
  OneOf,
  Percent,
  TimingWord,
  Whole,
  YearlyRate,
} from "./parts";

const Payments = Whole(1, MOST_PAYMENTS, "a whole number of payments");

const Balloon = Type.Union(
  [
    exact({ amount: Amount }),
    exact({ percent: Percent('a percent of the price from 0 to 1000, such as "35"', 1000) }),
  ],
  { description: '{ "amount": … } or { "percent": … }' },
);

const Change = Type.Union(
  [Type.String({ pattern: "^-?\\d{1,4}(\\.\\d{1,8})?$" }), Type.Number({ minimum: -100, maximum: 1000 })],
  { description: 'a percent change of the payment, such as "5" or "-2.5"' },
);

const From = Whole(2, MOST_PAYMENTS, "the number of a payment");

const Step = Type.Union([exact({ from: From, amount: Amount }), exact({ from: From, percent: Change })], {
  description: '{ "from": …, "amount": … } or { "from": …, "percent": … }',
});

/** Money on top of the plan's payments. */
const Extra = exact({
  each: Type.Optional(Amount),
  yearly: Type.Optional(exact({ amount: Amount, from: IsoDate })),
  once: Type.Optional(
    Type.Array(exact({ date: IsoDate, amount: Type.Optional(Amount) }), {
      minItems: 1,
      maxItems: 120,
      description: "a list of 1 to 120 extras",
    }),
  ),
});

/** How a loan is repaid. */
export const PlanSchema = exact({
  kind: OneOf("loan", "flatRate"),
  yearlyRate: Type.Optional(YearlyRate),
  payments: Type.Optional(Payments),
  frequency: FrequencyWord,
  compounding: Type.Optional(CompoundingWord),
  timing: Type.Optional(TimingWord),
  dayCount: Type.Optional(OneOf("equal", "30/360", "actual/365", "actual/360", "actual/actual")),
  twiceMonthlyDays: Type.Optional(
    Type.Array(Whole(1, 31, "a day of the month"), {
      minItems: 2,
      maxItems: 2,
      description: "two days of the month, such as [1, 16]",
    }),
  ),
  rounding: Type.Optional(OneOf("nearest", "up", "down")),
  roundingStep: Type.Optional(Amount),
  signed: Type.Optional(IsoDate),
  firstPayment: Type.Optional(IsoDate),
  payment: Type.Optional(Amount),
  earning: Type.Optional(OneOf("actuarial", "sumOfDigits")),
  balloon: Type.Optional(Balloon),
  interestOnly: Type.Optional(Payments),
  deferred: Type.Optional(exact({ payments: Payments, interest: OneOf("accrues", "waived") })),
  skippedMonths: Type.Optional(
    Type.Array(Whole(1, 12, "a month"), {
      minItems: 1,
      maxItems: 11,
      description: "a list of 1 to 11 months, such as [7, 8]",
    }),
  ),
  steps: Type.Optional(
    Type.Array(Step, { minItems: 1, maxItems: 100, description: "a list of 1 to 100 steps" }),
  ),
  datedPayments: Type.Optional(
    Type.Array(exact({ date: IsoDate, amount: Type.Optional(Amount) }), {
      minItems: 1,
      maxItems: MOST_PAYMENTS,
      description: "a list of 1 to 1200 payments",
    }),
  ),
  extra: Type.Optional(Extra),
  prepaidCharge: Type.Optional(Amount),
});

/** How a loan is repaid, as it is filed. */
export type PlanFile = Type.Static<typeof PlanSchema>;
