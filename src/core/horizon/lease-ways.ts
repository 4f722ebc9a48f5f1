import { type DayNumber, periodsPerYear } from "../calendar";
import type { LeaseQuote } from "../kinds/lease";
import { leaseTerms, purchaseTax } from "../kinds/lease/pricing";
import { chargeColumn } from "../structure";
import type { Exact } from "./exact";
import { monthsSince, yearsOf } from "./time";
import { type DrivenBeyond, type Ending, type Flow, flow, takenBy, type Way, type WayTerms } from "./way";

/** One lease of those that follow each other, by its dates. */
type Cycle = {
  start: DayNumber;
  end: DayNumber;
  /** The date some periods after its signing. */
  dateOf: (periods: number) => DayNumber;
  /** Due at signing and with payments. */
  paid: Flow[];
  /** What comes and goes where it ends with the vehicle handed back. */
  returned: Flow[];
};

/**
 * The ways of a lease with dates: handed back, and bought. Before its end each is ended early; after its end the one of
 * them goes on that is asked for.
 */
export function leaseWays(quote: LeaseQuote, terms: WayTerms): Way[] {
  const { option, after, until } = terms;
  const cycles = cyclesOf(quote, after === "again" ? until : (quote.startDate as DayNumber));
  const [first] = cycles as [Cycle];
  const signed = first.start;
  /** The lease that is running on a day, or ends on it; none where it goes on otherwise. */
  const runningOn = (date: DayNumber) => cycles.findIndex(({ end }) => date <= end);
  const handedBackOnce = [...first.paid, ...first.returned];
  const flows = cycles.flatMap(({ paid, returned }) => [...paid, ...returned]);
  const drivenIn = (count: number) =>
    cycles.slice(0, count).flatMap(cycle => drivenBeyond(quote, terms, cycle));
  const takenOf = (count: number) =>
    cycles.slice(0, count).reduce((sum, { paid, returned }) => sum + paid.length + returned.length, 0);
  const returned: Way = {
    option,
    end: "returned",
    signed,
    flows,
    endDate: first.end,
    endingOn: date => {
      const index = runningOn(date);
      const cycle = cycles[index];
      if (!cycle)
        return after === "handBack"
          ? {
              how: "handedBack",
              taken: handedBackOnce.length,
              more: [],
              driven: drivenIn(1),
              worth: null,
              owed: null,
            }
          : null;
      if (date === cycle.end) return { ...overAfter(index + 1), how: "returned" };
      const { plan } = quote.filled;
      const settled = drivenBeyond(quote, terms, cycle, date);
      return {
        how: "endedEarly",
        taken: takenOf(index) + takenBy(cycle.paid, date),
        more: flow(date, -quote.securityDeposit, "depositBack"),
        driven: [...drivenIn(index), ...settled],
        worth: {
          age: monthsSince(cycle.start, date),
          isFirst: index === 0,
          settles: {
            owed: balanceOn(quote, cycle, date) + plan.earlyFee,
            surplus: plan.surplus ?? "lessor",
            chargesDistance: settled.length > 0,
          },
        },
        owed: null,
        leasesOver: index,
      };
    },
  };
  const overAfter = (count: number): Ending => ({
    how: "returned",
    taken: takenOf(count),
    more: [],
    driven: drivenIn(count),
    worth: null,
    owed: null,
    leasesOver: count,
  });
  const bought: Way = {
    option,
    end: "bought",
    signed,
    flows,
    endDate: first.end,
    endingOn: date => {
      const index = runningOn(date);
      const cycle = cycles[index];
      if (!cycle && after !== "buy") return null;
      const held = cycle ?? first;
      const { start, end, paid } = held;
      const over = Math.max(index, 0);
      const isEarly = date < end;
      return {
        how: isEarly ? "boughtOut" : "bought",
        taken: takenOf(over) + takenBy(paid, date),
        more: [
          ...flow(isEarly ? date : end, -quote.securityDeposit, "depositBack"),
          ...(isEarly
            ? flow(date, costToBuy(quote, balanceOn(quote, held, date)), "purchase")
            : flow(end, costToBuy(quote, quote.residual), "purchase")),
        ],
        driven: drivenIn(over),
        worth: { age: monthsSince(start, date), isFirst: over === 0 },
        owed: isEarly ? null : 0,
        leasesOver: over,
      };
    },
  };
  return [returned, bought];
}

/** The lease, and those that are signed after it up to a day: the dates step on, so that each keeps its day. */
function cyclesOf(quote: LeaseQuote, until: DayNumber): Cycle[] {
  const { schedule, dueAtSigning, equity, deposit, filled, withPayments } = quote;
  const terms = leaseTerms(filled.plan);
  const charges = chargeColumn(schedule, withPayments);
  const periods = Math.max(terms.payments, terms.residualAt);
  const dateOf = (period: number) => terms.dateOf(period) as DayNumber;
  const cycles: Cycle[] = [];
  for (let first = 0; first === 0 || dateOf(first) < until; first += periods) {
    const start = dateOf(first);
    const end = dateOf(first + periods);
    const later = schedule.flatMap(({ kind, period, payment }, index) =>
      kind === "payment" ? flow(dateOf(first + period), payment + (charges[index] ?? 0), "payment") : [],
    );
    cycles.push({
      start,
      end,
      dateOf: period => dateOf(first + period),
      paid: [
        ...flow(start, dueAtSigning.total, "atSigning"),
        ...(first === 0 ? flow(start, equity + deposit, "given") : []),
        ...later,
      ],
      returned: [
        ...flow(end, -quote.securityDeposit, "depositBack"),
        ...flow(end, filled.plan.dispositionFee, "handedBack"),
      ],
    });
  }
  return cycles;
}

/** What is driven beyond a lease's allowance: over its whole term, or up to a day by the months until then. */
function drivenBeyond(
  { filled }: LeaseQuote,
  { scaleOf }: WayTerms,
  { start, end }: Cycle,
  date: DayNumber = end,
): DrivenBeyond[] {
  const { distance, frequency, payments } = filled.plan;
  const scale = distance && scaleOf(distance.unit);
  if (!distance || !scale) return [];
  const years: Exact =
    date === end
      ? { numerator: BigInt(payments ?? 0), denominator: BigInt(periodsPerYear(frequency)) }
      : yearsOf(monthsSince(start, date));
  return [{ perYear: distance.perYear, price: distance.beyond, years, scale, date }];
}

/** What the vehicle still stands for in the lessor's table after the payments of a day. */
function balanceOn({ schedule, cost }: LeaseQuote, { dateOf }: Cycle, date: DayNumber): number {
  const row = schedule.findLast(({ kind, period }) => kind !== "closing" && dateOf(period) <= date);
  return row?.balance ?? cost;
}

/** What buying the vehicle comes to: its price, the fee for that and the tax on both. */
function costToBuy({ filled }: LeaseQuote, price: number): number {
  const all = price + filled.plan.purchaseFee;
  return all + purchaseTax(filled.plan.taxes, all);
}
