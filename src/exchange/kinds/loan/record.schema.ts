import Type from "typebox";
import { FINANCED_FIGURES } from "@/core";
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

/** The members of a loan that can be found, as they were agreed: given, or found from the others. */
const Agreed = exact({
  price: orNone(Minor),
  down: orNone(Down),
  /** Of each trade-in, in the order of the deal. */
  allowances: Type.Array(orNone(Minor)),
  yearlyRate: orNone(DecimalText),
  payments: orNone(CountOf),
  payment: orNone(Minor),
  balloon: Type.Optional(
    orNone(
      Type.Union([exact({ amount: Minor }), exact({ percent: DecimalText })], {
        description: "an amount or a percent",
      }),
    ),
  ),
  extraEach: Type.Optional(orNone(Minor)),
  /** Of each extra on a date, in the order of the deal. */
  extraOnce: Type.Optional(Type.Array(orNone(Minor))),
});

/** A loan as it was signed. Money in minor units, rates in percent a year. */
export const LoanRecordSchema = exact({
  kind: Type.Literal("loan"),
  ...EVERY_ANSWER,
  plan: OneOf("loan", "flatRate", "equalPrincipal"),
  agreed: Agreed,
  figures: exact({
    price: Minor,
    down: Minor,
    allowance: Minor,
    /** The price with tax, fees and extras that are known before the loan is. */
    priceWithAll: Minor,
    cashReceived: Type.Optional(Minor),
    loanAmount: Minor,
    amountFinanced: Minor,
    payment: Minor,
    /** The level payment, or the part of the principal in each, that the plan was solved for. */
    solved: Minor,
    finalPayment: Minor,
    balloon: Minor,
    agreedBalloon: Minor,
    extraEach: Minor,
    totalOfPayments: Minor,
    totalInterest: Minor,
    financeCharge: Minor,
    totalCost: Minor,
  }),
  rates: exact({
    yearlyRate: DecimalText,
    trueYearlyRate: Type.Optional(Rate),
    /** Left out where its credit has none. */
    credit: Type.Optional(exact({ apr: Rate, effectiveRate: Rate })),
  }),
  payments: exact({
    planned: CountOf,
    count: CountOf,
    made: CountOf,
    isLevel: Type.Boolean(),
    isListed: Type.Boolean(),
  }),
  taxes: Type.Array(exact({ name: Text, base: Minor, amount: Minor })),
  taxTotal: Minor,
  tally: tallyOf(OneOf(...FINANCED_FIGURES)),
  due: dueOf(OneOf("down", "tax", "fee", "extra", "payment", "prepaidCharge")),
  withPayments: Type.Optional(exact({ all: WithPayments, inFinanceCharge: WithPayments })),
  oddFirstPeriod: orNone(exact({ months: CountOf, days: CountOf })),
  /** What extra payments save. */
  saved: Type.Optional(
    exact({
      interest: Minor,
      earlyFee: Type.Optional(Minor),
      payments: Type.Integer(),
      finalDateWithout: DateOrNone,
    }),
  ),
  rows: Type.Array(
    exact({
      number: CountOf,
      kind: OneOf("payment", "interestOnly", "noPayment", "extra", "balloon"),
      date: DateOrNone,
      payment: Minor,
      interest: Minor,
      principal: Minor,
      balance: Minor,
    }),
  ),
});

export type LoanRecord = Type.Static<typeof LoanRecordSchema>;
