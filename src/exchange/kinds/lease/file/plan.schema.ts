import Type from "typebox";
import { HIGHEST_BALLOON_PERCENT, MOST_PAYMENTS, MOST_TAXES } from "@/core";
import {
  Amount,
  exact,
  FrequencyWord,
  IsoDate,
  OneOf,
  Payments,
  Percent,
  seen,
  Whole,
  YearlyRate,
} from "../../../schema";
import { ADistance, DistanceBeyond } from "../../../schema/distance.schema";
import { LineName, list } from "../../../structure/structure.schema";

const YesOrNo = Type.Boolean({ description: "true or false" });

const MoneyFactor = Type.Union(
  [Type.String({ pattern: "^\\d(\\.\\d{1,8})?$" }), Type.Number({ minimum: 0, maximum: 1 })],
  { description: 'a money factor, such as "0.00225"' },
);

const Residual = Type.Union(
  [
    exact({ amount: seen(Amount) }),
    exact({
      percent: seen(
        Percent(`a percent from 0 to ${HIGHEST_BALLOON_PERCENT}, such as "43.6"`, HIGHEST_BALLOON_PERCENT),
      ),
      of: seen(Type.Optional(OneOf("listPrice", "price"))),
    }),
  ],
  { description: '{ "amount": … } or { "percent": …, "of": "listPrice" or "price" }' },
);

const SecurityDeposit = Type.Union([exact({ amount: seen(Amount) }), exact({ roundedUpTo: seen(Amount) })], {
  description: '{ "amount": … } or { "roundedUpTo": … }',
});

const LeaseTax = exact({
  name: seen(LineName),
  rate: seen(Percent('a rate in percent from 0 to 100, such as "6.25"', 100)),
  on: seen(
    Type.Array(OneOf("payment", "sumOfPayments", "price", "reduction", "fees", "extras", "purchase"), {
      minItems: 1,
      maxItems: 7,
      uniqueItems: true,
      description:
        'a list of "payment", "sumOfPayments", "price", "reduction", "fees", "extras" or "purchase"',
    }),
  ),
  tradeInCredit: seen(
    Type.Optional(Type.Union([Type.Boolean(), Amount], { description: "true, false or a most amount" })),
  ),
  rebateCredit: seen(Type.Optional(YesOrNo)),
  rounding: seen(Type.Optional(OneOf("nearest", "up", "down"))),
  capOn: seen(Type.Optional(Amount)),
  cap: seen(Type.Optional(Amount)),
  financed: seen(Type.Optional(YesOrNo)),
});

/** How a vehicle is leased, as it is filed. */
export const LeasePlanSchema = exact({
  kind: seen(Type.Literal("lease", { description: '"lease"' })),
  reckoning: seen(OneOf("moneyFactor", "levelYield")),
  moneyFactor: seen(Type.Optional(MoneyFactor)),
  yearlyRate: seen(Type.Optional(YearlyRate)),
  payments: seen(Type.Optional(Payments)),
  frequency: seen(FrequencyWord),
  rounding: seen(Type.Optional(OneOf("nearest", "up", "down"))),
  roundingStep: seen(Type.Optional(Amount)),
  signed: seen(Type.Optional(IsoDate)),
  payment: seen(Type.Optional(Amount)),
  inAdvance: seen(Type.Optional(Whole(0, MOST_PAYMENTS, "a whole number of payments"))),
  residual: seen(Type.Optional(Residual)),
  residualDue: seen(Type.Optional(OneOf("lastPayment", "onePeriodAfter", "end"))),
  acquisitionFee: seen(
    Type.Optional(
      exact({
        amount: seen(Amount),
        financed: seen(Type.Optional(YesOrNo)),
        taxable: seen(Type.Optional(YesOrNo)),
      }),
    ),
  ),
  securityDeposit: seen(Type.Optional(SecurityDeposit)),
  taxes: seen(Type.Optional(list(LeaseTax, MOST_TAXES, "taxes"))),
  distance: seen(Type.Optional(exact({ ...DistanceBeyond, expected: seen(Type.Optional(ADistance)) }))),
  earlyFee: seen(Type.Optional(Amount)),
  surplus: seen(Type.Optional(OneOf("lessor", "customer"))),
  dispositionFee: seen(Type.Optional(Amount)),
  purchaseFee: seen(Type.Optional(Amount)),
});

/** A figure of a lease's result that another is found from, in place of the plan's payment. */
export const LeaseKnownSchema = Type.Union(
  [
    exact({ basePayment: seen(Amount) }),
    exact({ dueAtSigning: seen(Amount) }),
    exact({ totalIfReturned: seen(Amount) }),
    exact({ totalIfBought: seen(Amount) }),
  ],
  {
    description: 'one of { "basePayment" }, { "dueAtSigning" }, { "totalIfReturned" } or { "totalIfBought" }',
  },
);

export type LeasePlanFile = Type.Static<typeof LeasePlanSchema>;
export type LeaseTaxFile = NonNullable<LeasePlanFile["taxes"]>[number];
