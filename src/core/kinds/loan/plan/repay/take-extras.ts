import { type PeriodRate, periodInterest, simpleRate } from "../../../../interest";
import type { ExtraEvent } from "../extras";
import { type Fault, hasEnded, isFault, type Standing } from "./standing";

/** What money does that lowers the payments from a date on, given the interest of that date where money came before it. */
type Lower = (standing: Standing, from: number, interest?: number) => void;

/**
 * A period's interest, day by day, because extras before its payment come off the balance on their days; less what they
 * have paid of it.
 */
export function interestWithExtras(
  standing: Standing,
  number: number,
  rate: PeriodRate,
  lower: Lower,
): number | Fault {
  const { loan } = standing;
  const daysInPeriod = loan.extras[standing.nextExtra]?.daysInPeriod ?? 1;
  const daily = simpleRate(rate, { numerator: 1, denominator: daysInPeriod });
  let balanceDays = standing.balance * daysInPeriod;
  let interestPaid = 0;
  for (let event = loan.extras[standing.nextExtra]; event?.before === number && event.daysLeft > 0; ) {
    if (balanceDays > Number.MAX_SAFE_INTEGER) return { fault: "grows" };
    const accrued = periodInterest(balanceDays - standing.balance * event.daysLeft, daily) - interestPaid;
    const taken = takeExtra(standing, event, accrued);
    if (isFault(taken)) return taken;
    if (standing.balance === 0 && taken.interest === accrued) standing.endedOn = { date: event.date };
    if (standing.endedOn !== null) return 0;
    balanceDays -= taken.principal * event.daysLeft;
    interestPaid += taken.interest;
    if (event.effect === "lowerPayments" && balanceDays <= Number.MAX_SAFE_INTEGER)
      lower(standing, number, periodInterest(balanceDays, daily) - interestPaid);
    event = loan.extras[standing.nextExtra];
  }
  if (balanceDays > Number.MAX_SAFE_INTEGER) return { fault: "grows" };
  return periodInterest(balanceDays, daily) - interestPaid;
}

/** Takes the extras on a payment date off the balance after that payment. */
export function takeExtras(standing: Standing, number: number, lower: Lower): Fault | undefined {
  const { loan } = standing;
  for (let event = loan.extras[standing.nextExtra]; event?.before === number && !hasEnded(standing); ) {
    const taken = takeExtra(standing, event, 0);
    if (isFault(taken)) return taken;
    if (event.effect === "lowerPayments") lower(standing, number + 1);
    event = loan.extras[standing.nextExtra];
  }
  return undefined;
}

type Taken = { principal: number; interest: number };

/** Takes an extra off the balance, and what it is above it off the interest since the last payment. */
function takeExtra(standing: Standing, event: ExtraEvent, accrued: number): Taken | Fault {
  const owed = standing.balance + accrued;
  if (event.amount > owed && !event.trimmed) return { fault: "extra", event, owed };
  const payment = Math.min(event.amount, owed);
  const principal = Math.min(payment, standing.balance);
  const interest = payment - principal;
  standing.balance -= principal;
  standing.totalInterest += interest;
  standing.nextExtra += 1;
  const { before: number, date } = event;
  if (payment > 0) {
    const { balance } = standing;
    const row = { kind: "extra", number, date, payment, interest, principal, balance } as const;
    standing.rows?.push(payment < event.amount ? { ...row, asked: event.amount } : row);
  }
  return { principal, interest };
}
