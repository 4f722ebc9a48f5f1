import { isoDate } from "../../calendar";
import { groupedAmount } from "../../money";
import type { Figure } from "../../result";
import type { Deal, KnownFigure } from "../deal";
import type { Priced } from "../price";

/** A figure that something is found from: an amount in minor units, or a day number. */
export type MeasureName = KnownFigure | "lastPayment";

type Measure = {
  /** The figure that a failure blames. */
  figure: Figure;
  /** Its name in a sentence. */
  name: string;
  of: (priced: Priced) => number;
  asked: (deal: Deal) => number;
  text: (value: number, decimals: number) => string;
};

const asked = (deal: Deal) => deal.from?.value ?? 0;

/** Every figure of the result that another can be found from. */
export const MEASURES: Record<MeasureName, Measure> = {
  payment: {
    figure: "payment",
    name: "payment",
    of: ({ loan }) => loan.payment,
    asked: ({ plan }) => plan.payment ?? 0,
    text: groupedAmount,
  },
  lastPayment: {
    figure: "datedPayments",
    name: "last payment",
    of: ({ repayment }) => repayment.finalPayment,
    asked: ({ plan }) => plan.datedPayments?.at(-1)?.amount ?? 0,
    text: groupedAmount,
  },
  totalCost: {
    figure: "totalCost",
    name: "total cost",
    of: ({ totalCost }) => totalCost,
    asked,
    text: groupedAmount,
  },
  financeCharge: {
    figure: "financeCharge",
    name: "finance charge",
    of: ({ financeCharge }) => financeCharge,
    asked,
    text: groupedAmount,
  },
  amountFinanced: {
    figure: "amountFinanced",
    name: "amount financed",
    of: ({ amountFinanced }) => amountFinanced,
    asked,
    text: groupedAmount,
  },
  endDate: {
    figure: "endDate",
    name: "end date",
    of: ({ repayment }) => repayment.finalDate ?? 0,
    asked,
    text: date => isoDate(date),
  },
};
