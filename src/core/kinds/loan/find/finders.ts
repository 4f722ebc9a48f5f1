import { anyAmount, type Finder, fillStructure, placesText, RATE_PLACES } from "../../../find";
import { HIGHEST_YEARLY_RATE, MOST_PAYMENTS, wholeText } from "../../../limits";
import { groupedAmount } from "../../../money";
import type { Figure } from "../../../result";
import { cashFor } from "../../../structure";
import type { FoundFigure, LoanDeal } from "../deal";
import type { MeasureName } from "./measure";

/** A figure of a loan that can be found by trying whole numbers for it. */
export type LoanFinder = Finder<LoanDeal> & {
  figure: Figure;
  /** What rises as it rises, and what falls; what is not named does not depend on it. */
  rising: readonly MeasureName[];
  falling: readonly MeasureName[];
  text: (whole: number, decimals: number) => string;
  /** Whether the plan has to be read again for every try. */
  changesPlan: boolean;
  /** Said where the least of it is already enough, and a payment or cost below the one asked for is no harm. */
  noneNeeded?: string;
};

const STRUCTURE: readonly MeasureName[] = [
  "payment",
  "lastPayment",
  "totalCost",
  "financeCharge",
  "loanAmount",
  "amountFinanced",
];
const AT_SIGNING: readonly MeasureName[] = ["dueAtSigning"];
const COSTS: readonly MeasureName[] = ["totalCost", "financeCharge"];

const withPlan = (deal: LoanDeal, plan: Partial<LoanDeal["plan"]>): LoanDeal => ({
  ...deal,
  plan: { ...deal.plan, ...plan },
});

/** Every figure that can be found from another; the payment itself has its closed form. */
export const FINDERS: Record<Exclude<FoundFigure, "payment">, LoanFinder> = {
  price: {
    figure: "price",
    name: "price",
    range: anyAmount,
    fill: fillStructure.price,
    rising: [...STRUCTURE, ...AT_SIGNING, "cashReceived"],
    falling: [],
    text: groupedAmount,
    changesPlan: false,
  },
  down: {
    figure: "down",
    name: "cash down",
    range: ({ structure }) => ({ low: 0, high: Math.max(cashFor(structure, 0), 0) }),
    fill: fillStructure.down,
    rising: AT_SIGNING,
    falling: [...STRUCTURE, "cashReceived"],
    text: groupedAmount,
    changesPlan: false,
    noneNeeded: "No cash down is needed: without any",
  },
  downPercent: {
    figure: "down",
    name: "percent down",
    range: () => ({ low: 0, high: 10_000 }),
    fill: (deal, hundredths) => ({
      ...deal,
      structure: { ...deal.structure, down: { percent: placesText(hundredths, 2) } },
    }),
    rising: AT_SIGNING,
    falling: [...STRUCTURE, "cashReceived"],
    text: hundredths => `${placesText(hundredths, 2)} %`,
    changesPlan: false,
    noneNeeded: "No cash down is needed: without any",
  },
  allowance: {
    figure: "allowance",
    name: "trade-in allowance",
    range: anyAmount,
    fill: fillStructure.allowance,
    rising: [],
    falling: [...STRUCTURE, ...AT_SIGNING],
    text: groupedAmount,
    changesPlan: false,
    noneNeeded: "No allowance is needed: without any",
  },
  yearlyRate: {
    figure: "yearlyRate",
    name: "yearly rate",
    range: () => ({ low: 0, high: HIGHEST_YEARLY_RATE * 10 ** RATE_PLACES }),
    fill: (deal, whole) => withPlan(deal, { yearlyRate: placesText(whole, RATE_PLACES) }),
    rising: ["payment", "lastPayment", ...COSTS],
    falling: [],
    text: whole => `${placesText(whole, RATE_PLACES)} %`,
    changesPlan: true,
  },
  payments: {
    figure: "payments",
    name: "number of payments",
    range: ({ plan }) => ({ low: fewestPayments(plan), high: MOST_PAYMENTS }),
    fill: (deal, payments) => withPlan(deal, { payments }),
    rising: COSTS,
    falling: ["payment"],
    text: wholeText,
    changesPlan: true,
  },
  balloon: {
    figure: "balloon",
    name: "balloon",
    range: anyAmount,
    fill: (deal, amount) => withPlan(deal, { balloon: { amount } }),
    rising: COSTS,
    falling: ["payment"],
    text: groupedAmount,
    changesPlan: true,
    noneNeeded: "No balloon is needed: without any",
  },
  extra: {
    figure: "extra",
    name: "extra with every payment",
    range: ({ structure }) => ({ low: 0, high: Math.max(cashFor(structure, 0), 1) }),
    fill: (deal, amount) =>
      withPlan(deal, { extra: { ...deal.plan.extra, each: { ...deal.plan.extra?.each, amount } } }),
    rising: [],
    falling: [...COSTS, "endDate", "payments"],
    text: groupedAmount,
    changesPlan: true,
    noneNeeded: "No extra is needed: without any",
  },
  lump: {
    figure: "extra",
    name: "extra payment",
    range: ({ structure }) => ({ low: 0, high: Math.max(cashFor(structure, 0), 1) }),
    fill: (deal, amount) =>
      withPlan(deal, {
        extra: {
          ...deal.plan.extra,
          once: deal.plan.extra?.once?.map(each => (each.amount === null ? { ...each, amount } : each)) ?? [],
        },
      }),
    rising: [],
    falling: [...COSTS, "endDate", "payments"],
    text: groupedAmount,
    changesPlan: true,
    noneNeeded: "No extra payment is needed: without any",
  },
};

/** The fewest payments that a plan's start and its steps leave room for. */
function fewestPayments({ interestOnly = 0, deferred, steps = [] }: LoanDeal["plan"]): number {
  const lastStep = Math.max(0, ...steps.map(({ from }) => from));
  return Math.max(1, interestOnly + (deferred?.payments ?? 0) + 1, lastStep);
}
