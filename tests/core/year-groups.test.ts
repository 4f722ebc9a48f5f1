import { principalLeads, totalsOfRows, yearGroups } from "@/core";
import { date, dealWith, quoteOf } from "./deals";

const quote = quoteOf(
  dealWith(
    { price: 3_842_500 },
    { yearlyRate: "6.49", payments: 72, signed: date("2026-11-29"), firstPayment: date("2027-01-29") },
  ),
);

test("by the calendar and by years of the contract, all lines once, and their sums those of the whole", () => {
  for (const by of ["calendar", { perYear: 12 }] as const) {
    const groups = yearGroups(quote.schedule, by);
    const sums = groups.map(({ from, to }) => totalsOfRows(quote.schedule.slice(from, to), 0));
    expect(groups.map(({ from, to }) => to - from)).toEqual([12, 12, 12, 12, 12, 12]);
    expect(groups.map(({ year }) => year)).toEqual(
      by === "calendar" ? [2027, 2028, 2029, 2030, 2031, 2032] : [1, 2, 3, 4, 5, 6],
    );
    expect(sums.reduce((sum, { interest }) => sum + interest, 0)).toBe(quote.totalInterest);
    expect(sums.reduce((sum, { principal }) => sum + principal, 0)).toBe(quote.loanAmount);
  }
});

test("a first year of one payment, and extras in the year of their day", () => {
  const early = quoteOf(
    dealWith(
      {},
      {
        payments: 24,
        signed: date("2026-11-24"),
        extra: { once: [{ date: date("2027-12-31"), amount: 50_000 }] },
      },
    ),
  );
  const groups = yearGroups(early.schedule, "calendar");
  expect(groups.map(({ year, from, to }) => [year, to - from])).toEqual([
    [2026, 1],
    [2027, 13],
    [2028, groups[2] ? groups[2].to - groups[2].from : 0],
  ]);
});

test("from which payment on more goes to principal than to interest", () => {
  const leads = (payments: number, yearlyRate: string, more = {}) =>
    principalLeads(quoteOf(dealWith({ price: 100_000_000 }, { payments, yearlyRate, ...more })).schedule);
  expect(leads(72, "6.49")).toBe("always");
  // Half of a payment is interest while 1.005^-(n + 1 - k) > 0.5, that is with more than 138.98 payments left.
  expect(leads(360, "6")).toBe(223);
  expect(leads(24, "12", { interestOnly: 23, balloon: { amount: 99_000_000 } })).toBe("never");
});
