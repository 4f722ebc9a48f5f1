import Type from "typebox";
import { Amount, AskedPayments, exact, IsoDate } from "../../../schema";

/** A figure of a loan's result that another is found from, in place of the plan's payment. */
export const LoanKnownSchema = Type.Union(
  [
    exact({ totalCost: Amount }),
    exact({ financeCharge: Amount }),
    exact({ loanAmount: Amount }),
    exact({ amountFinanced: Amount }),
    exact({ dueAtSigning: Amount }),
    exact({ cashReceived: Amount }),
    exact({ endDate: IsoDate }),
    exact({ payments: AskedPayments }),
  ],
  {
    description:
      'one of { "totalCost" }, { "financeCharge" }, { "loanAmount" }, { "amountFinanced" }, { "dueAtSigning" }, { "cashReceived" }, { "endDate" } or { "payments" }',
  },
);
