// Finds what pays a loan off in time beside the page, so that typing never waits for it.
import { expose } from "comlink";
import {
  type Extra,
  evaluateLoan,
  type LoanDeal,
  type PaidOffBy,
  type PaidOffTarget,
  type PaidOffWith,
  paidOffBy,
  type Result,
} from "@/core";

/** By when, with what, on top of what else is tried. */
export type PaidOffQuestion = {
  deal: LoanDeal;
  early: Extra;
  target: PaidOffTarget;
  using: PaidOffWith;
};

const worker = {
  async paidOff({ deal, early, target, using }: PaidOffQuestion): Promise<Result<PaidOffBy> | null> {
    const quote = evaluateLoan(deal);
    return quote.ok ? paidOffBy(quote.value, early, target, using) : null;
  },
};

export type PaidOffWorker = typeof worker;

expose(worker);
