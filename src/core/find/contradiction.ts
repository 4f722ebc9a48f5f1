import { type Deal, standsInForPrice } from "../deal";
import { groupedAmount, readCurrency } from "../money";
import { type Failure, failure } from "../result";
import { MEASURES } from "./measure";

/**
 * A figure that is given although it follows from others that are given too, so that one of them would have to change:
 * as a failure; undefined where there is none.
 */
export function contradiction(deal: Deal): { ok: false; failure: Failure } | undefined {
  const decimals = readCurrency(deal.currency);
  if (!decimals.ok) return decimals;
  return paymentsContradiction(deal, decimals.value) ?? paymentContradiction(deal, decimals.value);
}

/** The number of payments follows from an end date, and from what a payment that is found is to cost. */
function paymentsContradiction({ plan, find, from }: Deal, decimals: number) {
  if (plan.payments === null || from === undefined) return undefined;
  const isExtra = find === "extra" || find === "lump";
  const follows =
    (from.figure === "endDate" && !isExtra) ||
    (find === "payment" && (from.figure === "totalCost" || from.figure === "financeCharge"));
  const { name, text } = MEASURES[from.figure];
  const given = `The number of payments is given, ${plan.payments}, and so is the ${name}, ${text(from.value, decimals)}`;
  return follows
    ? failure("payments", `${given}; leave out the number of payments, which follows.`)
    : undefined;
}

/** The payment follows from whatever else a figure is found from, and from a list of payments. */
function paymentContradiction(deal: Deal, decimals: number) {
  const { plan, find, from } = deal;
  if (plan.payment === null || find === "payment") return undefined;
  const payment = `The payment is given, ${groupedAmount(plan.payment, decimals)}`;
  if (plan.datedPayments?.every(({ amount }) => amount !== null)) {
    return failure("payment", `${payment}, and so is every payment of the list; leave out the payment.`);
  }
  if (from === undefined || standsInForPrice(deal)) return undefined;
  if (from.figure === "endDate" && find !== "extra" && find !== "lump") return undefined;
  const { name, text } = MEASURES[from.figure];
  return failure(
    "payment",
    `${payment}, and so is the ${name}, ${text(from.value, decimals)}; leave out one of them.`,
  );
}
