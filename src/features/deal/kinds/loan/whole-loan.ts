import { costOfCredit, type FoundFigure, isLevel, levelAnswer, quoteBy } from "@/core";
import { answer } from "@/core/kinds/loan/find";
import { turnInto } from "@/exchange/kinds/kind/turning";
import { readLoan } from "@/exchange/kinds/loan";
import { LOAN_TURNING } from "@/exchange/kinds/loan/turning";
import { understood } from "@/exchange/typing";
import { withDownKind } from "../../fields/down-kind";
import type { LoanKind } from "../../option/desk-kind";
import { datedField } from "./fields/dated-fields";
import { findInLoan } from "./fields/find-loan";
import { fromLoanKnown, type LoanKnownName } from "./fields/loan-known";
import { rareLoanField } from "./fields/rare-loan-fields";
import { ratesOf } from "./rates-of";

/**
 * A loan with what a plain one does not need, too: the search for figures, the general equations of its yearly rates, the
 * fields of lines and of rare parts of a plan, and the way to another kind.
 */
export const wholeLoan = (plain: LoanKind): LoanKind => ({
  ...plain,
  read: readLoan,
  field: name => datedField(name) ?? plain.field(name) ?? rareLoanField(name),
  answer: deal => quoteBy(isLevel(deal) ? levelAnswer : answer, deal),
  ratesOf: quote => ratesOf(quote, costOfCredit),
  rest: {
    understood,
    find: (inputs, quote, figure, payment) => findInLoan(inputs, quote, figure as FoundFigure, payment),
    fromKnown: (inputs, quote, figure) => fromLoanKnown(inputs, quote, figure as LoanKnownName),
    withPlan: (inputs, plan) => ({ ...inputs, plan }),
    withDownKind,
    turning: LOAN_TURNING,
    turnedInto: (inputs, quote, to) => turnInto(inputs, quote, LOAN_TURNING, to),
  },
});
