import { factorOf } from "../../interest";
import type { Bought, Kind, ReachTerm } from "../kind";
import { LEASE_AXES } from "./axes";
import { evaluateLease, type LeaseSummary, summarizeLease } from "./evaluate";
import { leaseFigureAt } from "./figure-at";
import { LEASE_FIGURES } from "./figures";
import { LEASE_GIVING_WAY } from "./giving-way";
import { leaseMoney } from "./money-over-time";
import type { LeaseDeal, LeaseQuote } from "./pricing";
import { leaseWorking, type WorkedLeaseFigure } from "./working/working";

/** Leases. */
export const LEASE: Kind<LeaseDeal, LeaseQuote, LeaseSummary, { deal: LeaseDeal; quote: LeaseQuote }> = {
  name: "lease",
  isHandedBack: true,
  evaluate: evaluateLease,
  summarize: summarizeLease,
  axes: LEASE_AXES,
  figures: LEASE_FIGURES,
  figureAt: leaseFigureAt,
  bought,
  overTerm,
  givingWay: LEASE_GIVING_WAY,
  working: (quote, figure) => leaseWorking(quote, figure as WorkedLeaseFigure),
  moneyOverTime: leaseMoney,
};

function bought(lease: LeaseDeal): Bought {
  const quote = evaluateLease(lease);
  if (!quote.ok) return { isReached: false, sentence: quote.failure.sentence };
  const { cost, price, rentCharge } = quote.value;
  return { isReached: true, financed: cost, price, financeCharge: rentCharge };
}

function overTerm(lease: LeaseDeal, { payments, yearlyRate }: ReachTerm): LeaseDeal {
  const { plan } = lease;
  const rate =
    plan.reckoning === "moneyFactor" ? { moneyFactor: factorOf(Number(yearlyRate)) } : { yearlyRate };
  return { ...lease, plan: { ...plan, payments, ...rate } };
}
