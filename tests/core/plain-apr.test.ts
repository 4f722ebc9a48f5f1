// The APR put into the plain equation, with the amounts of the printed table: Σ payment ÷ (1 + i)^k is what is lent.
import {
  costOfCredit,
  evaluate,
  FREQUENCIES,
  type Frequency,
  type LoanPlan,
  type LoanQuote,
  periodsPerYear,
} from "@/core";
import { date, dealWith, quoteOf } from "./deals";

const COUNTS = [1, 2, 3, 24];

const aprOf = (quote: LoanQuote): number => {
  const cost = costOfCredit(quote);
  if (!cost.ok) throw new Error(cost.failure.sentence);
  return cost.value.apr;
};

/** What is left of the amount financed when the table's payments are taken off it at a rate of one of its periods. */
function leftAt(quote: LoanQuote, periodic: number, advance: boolean): number {
  return quote.schedule.reduce((left, { number, payment }) => {
    return left - payment / (1 + periodic) ** (advance ? number - 1 : number);
  }, quote.amountFinanced);
}

describe.each(FREQUENCIES)("%s", frequency => {
  test.each(COUNTS)("%d payments agree with the plain equation, dated and undated", payments => {
    for (const timing of payments === 1 ? (["arrears"] as const) : (["arrears", "advance"] as const)) {
      const plan = { frequency, payments, timing, yearlyRate: "18", prepaidCharge: 7_500 };
      const undated = quoteOf(dealWith({}, plan));
      expect(datedAprs(plan).map(apr => apr.toFixed(9))).toEqual(
        datedAprs(plan).map(() => aprOf(undated).toFixed(9)),
      );
      // One payment's unit period is the term, counted in days where it is no whole months.
      const days = payments === 1 ? TERM_IN_DAYS[frequency] : undefined;
      const perYear = days ? 365 / days : periodsPerYear(frequency);
      expect(leftAt(undated, aprOf(undated) / 100 / perYear, timing === "advance")).toBeCloseTo(0, 4);
    }
  });

  test.each<[string, Partial<LoanPlan>]>([
    ["nothing is paid until a balloon", { payments: 6, balloon: { amount: 1_200_000 }, yearlyRate: "40" }],
    [
      "payments are rounded down to nothing",
      { payments: 6, rounding: "down", roundingStep: 100_000, yearlyRate: "6" },
    ],
  ])("where %s, time passes all the same", (_, plan) => {
    const deal = dealWith({ price: 100_000 }, { frequency, ...plan });
    const answer = evaluate(deal.plan.balloon ? zeroBalloon(deal.plan) : deal);
    if (!answer.ok) throw new Error(answer.failure.sentence);
    const undated = answer.value;
    expect(undated.payment).toBe(0);
    const dated = quoteOf({
      ...undated.deal,
      plan: { ...undated.deal.plan, signed: date("2026-11-15") },
    });
    expect(aprOf(dated)).toBeCloseTo(aprOf(undated), 9);
    const last = undated.schedule.at(-1)?.payment ?? 0;
    const years = undated.payments / periodsPerYear(frequency);
    // One payment: simple within a year, and after it compounding by the year.
    const growth = 1 + aprOf(undated) / 100;
    const parts =
      years <= 1
        ? 1 + (aprOf(undated) / 100) * years
        : growth ** Math.floor(years) * (1 + (growth - 1) * (years % 1));
    if (!isWeeks(frequency)) expect(undated.amountFinanced * parts).toBeCloseTo(last, 2);
  });
});

/** The APR of the same plan from some dates on, from which its first period is a regular one. */
function datedAprs(plan: Partial<LoanPlan>): number[] {
  return ["2026-11-15", "2027-01-31", "2027-02-01"]
    .map(signed => evaluate(dealWith({}, { ...plan, signed: date(signed) })))
    .flatMap(dated => (dated.ok && isRegular(dated.value, plan.payments ?? 1) ? [aprOf(dated.value)] : []));
}

test("a last payment of nothing takes its period, before a balloon in advance", () => {
  const plan = {
    timing: "advance" as const,
    frequency: "yearly" as const,
    yearlyRate: "12",
    payments: 6,
    rounding: "up" as const,
    roundingStep: 10_000,
    balloon: { amount: 30_000 },
  };
  const quote = quoteOf(dealWith({ price: 95_946 }, plan));
  expect(quote.finalPayment).toBe(0);
  const left = quote.schedule.reduce((sum, { number, payment }) => {
    return sum - payment / (1 + aprOf(quote) / 100) ** (number - 1);
  }, quote.amountFinanced);
  expect(left).toBeCloseTo(0, 4);
});

const isWeeks = (frequency: Frequency) => frequency === "weekly" || frequency === "everyTwoWeeks";
const TERM_IN_DAYS: Partial<Record<Frequency, number>> = { weekly: 7, everyTwoWeeks: 14, twiceAMonth: 15 };

/** A regular first period; a term of one half month counts by its days, of which a regular one has 15. */
const isRegular = ({ oddFirstPeriod, startDate, finalDate, filled }: LoanQuote, payments: number) =>
  oddFirstPeriod === null &&
  (filled.plan.frequency !== "twiceAMonth" || payments > 1 || (finalDate ?? 0) - (startDate ?? 0) === 15);

/** A loan whose balloon takes all that it grows to. */
function zeroBalloon(plan: LoanPlan) {
  const { payments = 1, frequency } = plan;
  const periodic = Number(plan.yearlyRate) / 100 / periodsPerYear(frequency);
  let grown = 100_000;
  for (let k = 0; k < (payments ?? 1); k++) grown += Math.round(grown * periodic);
  return dealWith({ price: 100_000 }, { ...plan, balloon: { amount: grown } });
}
