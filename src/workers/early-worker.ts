// Works out what extra money does to a loan beside the page, so that typing never waits for it.
import { expose } from "comlink";
import {
  type EarlyGrid,
  type Extra,
  type ExtraMoney,
  evaluateLoan,
  type GridPlace,
  type KeepOrPay,
  keepOrPay,
  type LoanDeal,
  type LoanQuote,
  type PaidOffBy,
  type PaidOffTarget,
  paidOffBy,
  type RepaidEarly,
  type Result,
  repaidEarly,
  walkEarlyGrid,
  type YearlyReturn,
} from "@/core";
import { newestWalk } from "./slices";

/** A loan, every figure of it given, with what is tried beside it. */
type TriedQuestion = { deal: LoanDeal; early: Extra };

export type PaidOffQuestion = TriedQuestion & { target: PaidOffTarget; using: ExtraMoney };

export type KeepOrPayQuestion = {
  deal: LoanDeal;
  after: number;
  amount: number;
  yearlyReturn: YearlyReturn;
};

type GridQuestion = TriedQuestion & { grid: EarlyGrid };

const walk = newestWalk(1);

/** An answer about a loan; null where the deal has none. */
function of<Answer>(deal: LoanDeal, answer: (quote: LoanQuote) => Answer): Answer | null {
  const quote = evaluateLoan(deal);
  return quote.ok ? answer(quote.value) : null;
}

const worker = {
  async repaid({ deal, early }: TriedQuestion): Promise<Result<RepaidEarly> | null> {
    return of(deal, quote => repaidEarly(quote, early));
  },

  async paidOff({ deal, early, target, using }: PaidOffQuestion): Promise<Result<PaidOffBy> | null> {
    return of(deal, quote => paidOffBy(quote, early, target, using));
  },

  async keepOrPay({
    deal,
    after,
    amount,
    yearlyReturn,
  }: KeepOrPayQuestion): Promise<Result<KeepOrPay> | null> {
    return of(deal, quote => keepOrPay(quote, after, amount, yearlyReturn));
  },

  /** Every place of a grid, row by row, without the tables; null where something newer was asked for meanwhile. */
  async grid({ deal, early, grid }: GridQuestion): Promise<GridPlace[] | null> {
    const places: GridPlace[] = [];
    const steps = of(deal, quote => walkEarlyGrid(quote, early, grid));
    if (!steps) return null;
    const isWhole = await walk(steps, ({ repaid, ...place }) => {
      places.push({
        ...place,
        repaid: repaid.ok ? { ok: true, value: { ...repaid.value, schedule: [] } } : repaid,
      });
    });
    return isWhole ? places : null;
  },
};

export type EarlyWorker = typeof worker;

expose(worker);
