import { isoDate } from "../../../calendar";
import { wholeText } from "../../../limits";
import { groupedAmount } from "../../../money";
import type { Figure } from "../../../result";
import { cashReceived } from "../../../structure";
import {
  dueAtSigning,
  KNOWN_AMOUNTS,
  type KnownFigure,
  type Lent,
  type LoanDeal,
  type Priced,
} from "../deal";
import { regularPayment } from "../plan";

/** A figure that something is found from: an amount in minor units, a day number, or a number of payments. */
export type MeasureName = KnownFigure | "lastPayment";

type Measure = {
  /** The figure that a failure blames. */
  figure: Figure;
  /** Its name in a sentence. */
  name: string;
  asked: (deal: LoanDeal) => number;
  text: (value: number, decimals: number) => string;
} & (
  | { follows: "loan"; of: (lent: Lent) => number }
  | { follows: "repayment"; of: (priced: Priced) => number }
);

const asked = (deal: LoanDeal) => deal.from?.value ?? 0;

/** Every figure of the result that another can be found from; what follows from the loan alone needs no table. */
export const MEASURES: Record<MeasureName, Measure> = {
  payment: {
    figure: "payment",
    name: "payment",
    follows: "loan",
    of: ({ loan }) => regularPayment(loan),
    asked: ({ plan }) => plan.payment ?? 0,
    text: groupedAmount,
  },
  lastPayment: {
    figure: "datedPayments",
    name: "last payment",
    follows: "repayment",
    of: ({ repayment }) => repayment.finalPayment,
    asked: ({ plan }) => plan.datedPayments?.at(-1)?.amount ?? 0,
    text: groupedAmount,
  },
  totalCost: {
    figure: "totalCost",
    name: KNOWN_AMOUNTS.totalCost,
    follows: "repayment",
    of: ({ totalCost }) => totalCost,
    asked,
    text: groupedAmount,
  },
  financeCharge: {
    figure: "financeCharge",
    name: KNOWN_AMOUNTS.financeCharge,
    follows: "repayment",
    of: ({ financeCharge }) => financeCharge,
    asked,
    text: groupedAmount,
  },
  loanAmount: {
    figure: "loanAmount",
    name: KNOWN_AMOUNTS.loanAmount,
    follows: "loan",
    of: ({ loanAmount }) => loanAmount,
    asked,
    text: groupedAmount,
  },
  amountFinanced: {
    figure: "amountFinanced",
    name: KNOWN_AMOUNTS.amountFinanced,
    follows: "loan",
    of: ({ amountFinanced }) => amountFinanced,
    asked,
    text: groupedAmount,
  },
  dueAtSigning: {
    figure: "dueAtSigning",
    name: KNOWN_AMOUNTS.dueAtSigning,
    follows: "repayment",
    of: lent => dueAtSigning(lent).total,
    asked,
    text: groupedAmount,
  },
  cashReceived: {
    figure: "cashReceived",
    name: KNOWN_AMOUNTS.cashReceived,
    follows: "loan",
    of: ({ structure, reckoned }) => cashReceived(structure, reckoned),
    asked,
    text: groupedAmount,
  },
  endDate: {
    figure: "endDate",
    name: "end date",
    follows: "repayment",
    of: ({ repayment }) => repayment.finalDate ?? 0,
    asked,
    text: date => isoDate(date),
  },
  payments: {
    figure: "payments",
    name: "number of payments",
    follows: "repayment",
    of: ({ repayment }) => repayment.payments,
    asked,
    text: wholeText,
  },
};
