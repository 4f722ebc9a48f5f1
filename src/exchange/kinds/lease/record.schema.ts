import Type from "typebox";
import { CAPITALIZED_FIGURES } from "@/core";
import { exact, OneOf } from "../../schema";
import {
  CountOf,
  DateOrNone,
  DecimalText,
  Down,
  dueOf,
  EVERY_ANSWER,
  Minor,
  orNone,
  Rate,
  Text,
  tallyOf,
  WithPayments,
} from "../kind/record-parts.schema";

/** The members of a lease that can be found, as they were agreed: given, or found from the others. */
const Agreed = exact({
  price: orNone(Minor),
  down: orNone(Down),
  /** Of each trade-in, in the order of the deal. */
  allowances: Type.Array(orNone(Minor)),
  residual: orNone(
    Type.Union([exact({ amount: Minor }), exact({ percent: DecimalText, of: OneOf("listPrice", "price") })], {
      description: "an amount or a percent",
    }),
  ),
  moneyFactor: orNone(DecimalText),
  yearlyRate: orNone(DecimalText),
  payments: orNone(CountOf),
  payment: orNone(Minor),
});

/** A lease as it was signed. Money in minor units, rates in percent a year. */
export const LeaseRecordSchema = exact({
  kind: Type.Literal("lease"),
  ...EVERY_ANSWER,
  agreed: Agreed,
  figures: exact({
    price: Minor,
    down: Minor,
    allowance: Minor,
    equity: Minor,
    rebates: Minor,
    deposit: Minor,
    grossCapitalizedCost: Minor,
    capitalizedCostReduction: Minor,
    adjustedCapitalizedCost: Minor,
    residual: Minor,
    basePayment: Minor,
    paymentTax: Minor,
    payment: Minor,
    depreciation: Minor,
    rentCharge: Minor,
    securityDeposit: Minor,
    totalOfPayments: Minor,
    totalIfReturned: Minor,
    totalIfBought: Minor,
    purchaseTax: Minor,
  }),
  rates: exact({
    moneyFactor: Rate,
    yearlyRate: Rate,
    implicitYearlyRate: Rate,
    /** Left out where it has none. */
    effectiveRate: Type.Optional(Rate),
  }),
  payments: CountOf,
  /** What each payment before tax consists of, as it is shown. */
  parts: exact({ depreciation: Minor, rent: Minor }),
  /** What of each payment falls to each tax of the plan. */
  paymentTaxes: Type.Array(Minor),
  taxes: Type.Array(exact({ name: Text, base: Minor, amount: Minor, isFinanced: Type.Boolean() })),
  tally: tallyOf(OneOf(...CAPITALIZED_FIGURES)),
  due: dueOf(OneOf("down", "payment", "securityDeposit", "acquisitionFee", "tax", "fee", "extra")),
  withPayments: WithPayments,
  rows: Type.Array(
    exact({
      number: CountOf,
      period: CountOf,
      kind: OneOf("atSigning", "payment", "closing"),
      date: DateOrNone,
      payment: Minor,
      base: Minor,
      rent: Minor,
      depreciation: Minor,
      tax: Minor,
      balance: Minor,
    }),
  ),
});

export type LeaseRecord = Type.Static<typeof LeaseRecordSchema>;
