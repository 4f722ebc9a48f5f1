import { levelRate } from "../annuity";
import { nominalRate } from "../interest";
import { failure, type Result, success } from "../result";
import { type Flow, rateOfFlows } from "../yield";
import type { Amounts } from "./number-of-payments";
import type { TimeValue } from "./time-value";

/**
 * The nominal yearly rate at which the three amounts are worth nothing together.
 *
 * A loan's is solved on the annuity formula, everything else payment by payment.
 *
 * @returns percent a year, right to about 12 digits; or a failure where no rate fits
 */
export function yearlyRateOf(amounts: Amounts, payments: number, plan: TimeValue): Result<number> {
  const inAdvance = plan.timing === "advance";
  const periodic = periodicRate(amounts, payments, inAdvance);
  return periodic === undefined
    ? failure(
        "yearlyRate",
        "No rate takes these amounts into each other; one of them has to be received and another paid.",
      )
    : success(100 * nominalRate(periodic, plan.frequency, plan.compounding ?? "payments"));
}

function periodicRate({ presentValue, payment, futureValue }: Amounts, payments: number, inAdvance: boolean) {
  const atStart = presentValue + (inAdvance ? payment : 0);
  if (atStart > 0 && payment <= 0 && futureValue <= 0) {
    const count = inAdvance ? payments - 1 : payments;
    return levelRate({ lent: atStart, payment: -payment, count, last: -futureValue, lastAfter: payments });
  }
  const flow = (amount: number, periods: number): Flow => ({ amount, periods, part: 0 });
  const flows = [flow(presentValue, 0)];
  for (let k = 1; k <= payments; k++) flows.push(flow(payment, inAdvance ? k - 1 : k));
  flows.push(flow(futureValue, payments));
  const moved = flows.filter(({ amount }) => amount !== 0);
  const goesBothWays = moved.some(({ amount }) => amount > 0) && moved.some(({ amount }) => amount < 0);
  return goesBothWays ? rateOfFlows(moved) : undefined;
}
