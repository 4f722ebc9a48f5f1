// How long vehicles of the demo scenario are kept, and what they will be worth.
import type { DealDocument } from "@/exchange/deal-document";
import type { HouseCurve } from "@/exchange/keep-for/keep-for.schema";
import { curveOfHouse } from "@/exchange/keep-for/start";

const CAMPERVANS: HouseCurve = {
  name: "Campervans",
  unit: "mi",
  points: [
    { month: 0, percent: "100" },
    { month: 12, percent: "82" },
    { month: 24, percent: "71" },
    { month: 36, percent: "62" },
    { month: 48, percent: "54" },
    { month: 60, percent: "47" },
    { month: 84, percent: "36" },
  ],
  normalDistance: 10_000,
  beyond: "0.12",
  realized: "96",
};

/** What vehicles will be worth, by their kind. */
export const DEMO_CURVES: HouseCurve[] = [
  CAMPERVANS,
  {
    name: "Utility vans",
    unit: "mi",
    points: [
      { month: 0, percent: "100" },
      { month: 12, percent: "74" },
      { month: 24, percent: "60" },
      { month: 36, percent: "49" },
      { month: 48, percent: "40" },
      { month: 60, percent: "33" },
    ],
    normalDistance: 15_000,
    beyond: "0.08",
    realized: "94",
  },
  {
    name: "Cargo bikes",
    unit: "mi",
    points: [
      { month: 0, percent: "100" },
      { month: 24, percent: "55" },
      { month: 48, percent: "30" },
    ],
  },
];

type Kept = Pick<NonNullable<DealDocument["asides"]>, "keepFor" | "return">;

/** Of a customer: a loan, a lease and cash set against each other; and a lease ended before its time. */
export const KEPT: Record<string, Kept> = {
  "Amaru Pelling": {
    keepFor: { months: 36, distance: 13_000, unit: "mi", value: curveOfHouse(CAMPERVANS, "mi") },
    return: { rate: "4" },
  },
  "Rosalind Tarbet": {
    keepFor: {
      months: 30,
      distance: 15_000,
      unit: "mi",
      value: curveOfHouse(CAMPERVANS, "mi"),
      cashRebate: { amount: "500.00", from: "maker" },
      todaysMoney: true,
    },
    return: { rate: "4.2", tax: "25" },
  },
};
