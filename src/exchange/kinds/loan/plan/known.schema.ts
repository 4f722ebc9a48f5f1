import Type from "typebox";
import { Amount, AskedPayments, exact, IsoDate, seen } from "../../../schema";

/** A figure of a loan's result that another is found from, in place of the plan's payment. */
export const LoanKnownSchema = Type.Union(
  [
    exact({ totalCost: seen(Amount) }),
    exact({ financeCharge: seen(Amount) }),
    exact({ loanAmount: seen(Amount) }),
    exact({ amountFinanced: seen(Amount) }),
    exact({ dueAtSigning: seen(Amount) }),
    exact({ cashReceived: seen(Amount) }),
    exact({ endDate: seen(IsoDate) }),
    exact({ payments: seen(AskedPayments) }),
  ],
  {
    description:
      'one of { "totalCost" }, { "financeCharge" }, { "loanAmount" }, { "amountFinanced" }, { "dueAtSigning" }, { "cashReceived" }, { "endDate" } or { "payments" }',
  },
);
