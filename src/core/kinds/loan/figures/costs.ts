import type { Answered, QuotedFigure } from "../../kind";
import { dueAtSigning } from "../deal";
import type { Answer } from "../find";
import type { LoanSummary } from "../quote";
import {
  includedAtSigning,
  includedInApr,
  includedInEffectiveRate,
  includedInFinanceCharge,
  includedInTotalCost,
} from "./includes";

/** What a map has of a loan at a place: its answer, and its yearly rate if it is asked for. */
export type LoanOnMap = Answer & { apr: () => number | null };

export type LoanFigure = QuotedFigure<LoanSummary, LoanOnMap>;
type Loan = Answered<LoanSummary>;

/** What a loan really costs, in the order in which it is read. */
export const LOAN_COSTS = {
  financeCharge: {
    name: "Finance charge",
    unit: "money",
    value: ({ quote }) => quote.financeCharge,
    cost: { includes: includedInFinanceCharge },
    compared: { part: "charges", best: "all" },
    mapped: ({ priced }) => priced.financeCharge,
  },
  /** Percent a year; null where the payments allow no rate. */
  apr: {
    name: "APR",
    unit: "percent",
    value: ({ rates }) => rateIn(rates, "apr"),
    places: 4,
    ofRates: true,
    cost: { includes: includedInApr },
    compared: { part: "payment", best: "all" },
    mapped: ({ apr }) => apr(),
  },
  effectiveRate: {
    name: "Effective rate",
    unit: "percent",
    value: ({ rates }) => rateIn(rates, "effectiveRate"),
    places: 2,
    ofRates: true,
    cost: { includes: includedInEffectiveRate, isEffectiveRate: true },
  },
  dueAtSigning: {
    name: "Due at signing",
    unit: "money",
    value: ({ quote }) => quote.dueAtSigning.total,
    cost: { includes: includedAtSigning },
    compared: { part: "signing", best: "all" },
    mapped: ({ priced }) => dueAtSigning(priced).total,
  },
  totalCost: {
    name: "Total cost",
    unit: "money",
    value: ({ quote }) => quote.totalCost,
    cost: { includes: includedInTotalCost },
    compared: { part: "totals", best: "all" },
    mapped: ({ priced }) => priced.totalCost,
  },
} satisfies Record<string, LoanFigure & Required<Pick<LoanFigure, "cost">>>;

const rateIn = (rates: Loan["rates"], rate: "apr" | "effectiveRate") =>
  rates?.ok ? rates.value[rate] : rates && null;
