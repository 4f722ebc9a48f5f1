import { currencyDecimals, groupedAmount } from "../../../money";
import { type Failure, failure } from "../../../result";
import { type Known, type LoanDeal, standsInForPrice } from "../deal";
import { MEASURES } from "./measure";

/**
 * A figure that is given although it follows from others that are given too, so that one of them would have to change:
 * as a failure; undefined where there is none.
 */
export function contradiction(deal: LoanDeal): { ok: false; failure: Failure } | undefined {
  return cashContradiction(deal) ?? paymentsContradiction(deal) ?? paymentContradiction(deal);
}

/** Only a personal loan pays cash out. */
function cashContradiction({ structure, from }: LoanDeal) {
  if (from?.figure !== "cashReceived" || structure.personal) return undefined;
  return failure(
    "cashReceived",
    "Only a personal loan, with a purpose, pays an amount out to find something from.",
  );
}

/** The number of payments follows from an end date, and from what a payment that is found is to cost. */
function paymentsContradiction({ currency, plan, find, from }: LoanDeal) {
  if (plan.payments === null || from === undefined) return undefined;
  const follows =
    givesTerm({ from, find }) ||
    (find === "payment" && (from.figure === "totalCost" || from.figure === "financeCharge"));
  if (!follows) return undefined;
  const known = `The number of payments is given, ${plan.payments}, and so is ${knownText(from, currency)}`;
  return failure("payments", `${known}; leave out the number of payments, which follows.`);
}

/** The payment follows from whatever else a figure is found from, and from a list of payments. */
function paymentContradiction(deal: LoanDeal) {
  const { currency, plan, find, from } = deal;
  if (plan.payment === null || find === "payment") return undefined;
  const isListed = plan.datedPayments?.every(({ amount }) => amount !== null) ?? false;
  const isFree = from === undefined || standsInForPrice(deal) || givesTerm(deal);
  if (isFree && !isListed) return undefined;
  const payment = `The payment is given, ${groupedAmount(plan.payment, decimalsOf(currency))}`;
  return isListed || from === undefined
    ? failure("payment", `${payment}, and so is every payment of the list; leave out the payment.`)
    : failure("payment", `${payment}, and so is ${knownText(from, currency)}; leave out one of them.`);
}

/** Whether an end date says how many payments there are. */
function givesTerm({ from, find }: Pick<LoanDeal, "from" | "find">): boolean {
  return from?.figure === "endDate" && find !== "extra" && find !== "lump";
}

function knownText({ figure, value }: Known, currency: string): string {
  const { name, text } = MEASURES[figure];
  return `the ${name}, ${text(value, decimalsOf(currency))}`;
}

const decimalsOf = (currency: string) => currencyDecimals(currency) ?? 2;
