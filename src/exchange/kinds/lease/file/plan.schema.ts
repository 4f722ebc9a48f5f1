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
  Whole,
  YearlyRate,
} from "../../../schema";
import { LineName, list } from "../../../structure/structure.schema";

const YesOrNo = Type.Boolean({ description: "true or false" });

const MoneyFactor = Type.Union(
  [Type.String({ pattern: "^\\d(\\.\\d{1,8})?$" }), Type.Number({ minimum: 0, maximum: 1 })],
  { description: 'a money factor, such as "0.00225"' },
);

const Residual = Type.Union(
  [
    exact({ amount: Amount }),
    exact({
      percent: Percent(
        `a percent from 0 to ${HIGHEST_BALLOON_PERCENT}, such as "43.6"`,
        HIGHEST_BALLOON_PERCENT,
      ),
      of: Type.Optional(OneOf("listPrice", "price")),
    }),
  ],
  { description: '{ "amount": … } or { "percent": …, "of": "listPrice" or "price" }' },
);

const SecurityDeposit = Type.Union([exact({ amount: Amount }), exact({ roundedUpTo: Amount })], {
  description: '{ "amount": … } or { "roundedUpTo": … }',
});

const LeaseTax = exact({
  name: LineName,
  rate: Percent('a rate in percent from 0 to 100, such as "6.25"', 100),
  on: Type.Array(OneOf("payment", "sumOfPayments", "price", "reduction", "fees", "extras", "purchase"), {
    minItems: 1,
    maxItems: 7,
    uniqueItems: true,
    description: 'a list of "payment", "sumOfPayments", "price", "reduction", "fees", "extras" or "purchase"',
  }),
  tradeInCredit: Type.Optional(
    Type.Union([Type.Boolean(), Amount], { description: "true, false or a most amount" }),
  ),
  rebateCredit: Type.Optional(YesOrNo),
  rounding: Type.Optional(OneOf("nearest", "up", "down")),
  capOn: Type.Optional(Amount),
  cap: Type.Optional(Amount),
  financed: Type.Optional(YesOrNo),
});

const MOST_DISTANCE = 1_000_000;
const HIGHEST_PRICE_BEYOND = 999_999;

const DistanceAllowed = exact({
  perYear: Whole(0, MOST_DISTANCE, "a whole number"),
  unit: Type.String({ pattern: "^[a-zA-Z]{1,12}$", description: 'a unit of distance, such as "mi" or "km"' }),
  beyond: Type.Union(
    [
      Type.String({ pattern: "^\\d{1,6}(\\.\\d{1,6})?$" }),
      Type.Number({ minimum: 0, maximum: HIGHEST_PRICE_BEYOND }),
    ],
    { description: `a price from 0 to ${HIGHEST_PRICE_BEYOND}, such as "0.22"` },
  ),
  expected: Type.Optional(Whole(0, MOST_DISTANCE, "a whole number")),
});

/** How a vehicle is leased, as it is filed. */
export const LeasePlanSchema = exact({
  kind: Type.Literal("lease", { description: '"lease"' }),
  reckoning: OneOf("moneyFactor", "levelYield"),
  moneyFactor: Type.Optional(MoneyFactor),
  yearlyRate: Type.Optional(YearlyRate),
  payments: Type.Optional(Payments),
  frequency: FrequencyWord,
  rounding: Type.Optional(OneOf("nearest", "up", "down")),
  roundingStep: Type.Optional(Amount),
  signed: Type.Optional(IsoDate),
  payment: Type.Optional(Amount),
  inAdvance: Type.Optional(Whole(0, MOST_PAYMENTS, "a whole number of payments")),
  residual: Type.Optional(Residual),
  residualDue: Type.Optional(OneOf("lastPayment", "onePeriodAfter", "end")),
  acquisitionFee: Type.Optional(
    exact({ amount: Amount, financed: Type.Optional(YesOrNo), taxable: Type.Optional(YesOrNo) }),
  ),
  securityDeposit: Type.Optional(SecurityDeposit),
  taxes: Type.Optional(list(LeaseTax, MOST_TAXES, "taxes")),
  distance: Type.Optional(DistanceAllowed),
  earlyFee: Type.Optional(Amount),
  dispositionFee: Type.Optional(Amount),
  purchaseFee: Type.Optional(Amount),
});

/** A figure of a lease's result that another is found from, in place of the plan's payment. */
export const LeaseKnownSchema = Type.Union(
  [
    exact({ basePayment: Amount }),
    exact({ dueAtSigning: Amount }),
    exact({ totalIfReturned: Amount }),
    exact({ totalIfBought: Amount }),
  ],
  {
    description: 'one of { "basePayment" }, { "dueAtSigning" }, { "totalIfReturned" } or { "totalIfBought" }',
  },
);

export type LeasePlanFile = Type.Static<typeof LeasePlanSchema>;
export type LeaseTaxFile = NonNullable<LeasePlanFile["taxes"]>[number];
