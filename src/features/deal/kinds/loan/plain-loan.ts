import { isLevel, levelAnswer, quoteBy } from "@/core";
import { readPlainLoan } from "@/exchange/kinds/loan/read-plain";
import type { LoanKind } from "../../option/desk-kind";
import { loanField } from "./fields/loan-fields";
import { isPlainLoan } from "./plan/plain";
import { ratesOf } from "./rates-of";
import { tallyOfLoan, tallyOfLoanDraft } from "./tally";

/** What every loan needs: it answers a level one. */
export const PLAIN_LOAN: LoanKind = {
  name: "loan",
  field: loanField,
  paymentField: "payment",
  knownFields: ["known/amount", "known/endDate", "known/payments"],
  hasTaxLines: true,
  debtRaises: "loan",
  setsApart: ({ yearlyRate, financeCharge }, money) => `${yearlyRate} % · costs ${money(financeCharge)}`,
  isPlain: isPlainLoan,
  wishes: [
    ["payment", "payment"],
    ["totalCost", "total cost"],
    ["financeCharge", "finance charge"],
    ["dueAtSigning", "sum due at signing"],
    ["endDate", "end date"],
  ],
  read: readPlainLoan,
  answer(deal) {
    if (!isLevel(deal)) throw new Error("What this loan needs has not arrived.");
    return quoteBy(levelAnswer, deal);
  },
  ratesOf: quote => ratesOf(quote),
  tally: tallyOfLoan,
  draftTally: tallyOfLoanDraft,
};
