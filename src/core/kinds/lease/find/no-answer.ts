import { currencyDecimals, groupedAmount } from "../../../money";
import { failure, type Result } from "../../../result";
import type { LeaseDeal, LeaseFoundFigure, LeaseKnown } from "../pricing/lease";

/** What each figure is called in a sentence. */
export const LEASE_NAMES: Record<LeaseFoundFigure | LeaseKnown, string> = {
  payment: "payment",
  price: "agreed price",
  down: "cash down",
  allowance: "trade-in allowance",
  residual: "residual",
  residualPercent: "residual percent",
  moneyFactor: "money factor",
  yearlyRate: "yearly rate",
  payments: "number of payments",
  basePayment: "payment before tax",
  dueAtSigning: "sum due at signing",
  totalIfReturned: "total if handed back",
  totalIfBought: "total if bought",
};

/**
 * Why nothing is found.
 *
 * @param nearest the least that the known figure can be; infinite where nothing has an answer
 */
export function noLeaseAnswer(
  { find, currency }: LeaseDeal,
  known: LeaseKnown,
  asked: number,
  nearest: number,
): Result<never> {
  const money = (minor: number) => groupedAmount(minor, currencyDecimals(currency) ?? 2);
  const sentence = `No ${LEASE_NAMES[find]} gives a ${LEASE_NAMES[known]} of ${money(asked)}`;
  if (!Number.isFinite(nearest)) return failure(known, `${sentence}.`);
  return known === "payment"
    ? failure(known, `${sentence}; the least is ${money(nearest)}.`, { figure: "payment", minor: nearest })
    : failure(known, `${sentence}; the least is ${money(nearest)}.`);
}

/** Where even the largest figure comes to no more than is asked for. */
export function notDepending({ find }: LeaseDeal, known: LeaseKnown): Result<never> {
  return failure(
    known,
    `Even the largest ${LEASE_NAMES[find]} comes to no more than the ${LEASE_NAMES[known]} asked for.`,
  );
}
