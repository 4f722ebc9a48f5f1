// Random leases against arithmetic written apart.
import fc from "fast-check";
import { evaluateLease, type LeaseQuote } from "@/core";
import type { LeaseFile } from "@/exchange/kinds/lease";
import { runs } from "../runs";
import { exactLease, exactRate, exactTable } from "./exact-lease";
import { leaseOf, leases } from "./random-leases";

const RUNS = runs(1500);
/** So far below a cost that fits another could lie. */
const BELOW = 30;

/** What the draws have to hold, each often enough. */
const KINDS: [string, (file: LeaseFile, quote: LeaseQuote) => boolean][] = [
  ["by money factor", ({ plan }) => plan.reckoning === "moneyFactor"],
  ["by level yield", ({ plan }) => plan.reckoning === "levelYield"],
  ["all at once", ({ plan }) => plan.inAdvance === plan.payments],
  ["more cash due than is paid", (_, { down }) => down < 0],
  ["negative equity", (_, { equity }) => equity < 0],
  ["a residual above the price", (_, { residual, price }) => residual > price],
  ["no rent", ({ plan }) => Number(plan.moneyFactor) === 0],
  ["one payment", ({ plan }) => plan.payments === 1],
  ["a security deposit", (_, { securityDeposit }) => securityDeposit > 0],
  ...(["payment", "sumOfPayments", "price", "reduction", "fees", "extras", "purchase"] as const).map(
    (part): [string, (file: LeaseFile) => boolean] => [
      `tax on ${part}`,
      ({ plan }) => plan.taxes?.some(({ on }) => on.includes(part)) ?? false,
    ],
  ),
];

test("every figure of a lease, and every row of its table, is right to the cent", () => {
  const seen = KINDS.map(() => 0);
  let answered = 0;
  fc.assert(
    fc.property(leases, file => {
      const quote = evaluateLease(leaseOf(file));
      if (!quote.ok) return;
      answered += 1;
      for (const [index, [, holds]] of KINDS.entries())
        if (holds(file, quote.value)) seen[index] = (seen[index] ?? 0) + 1;
      expectExact(file, quote.value);
    }),
    { numRuns: RUNS },
  );
  expect(answered).toBeGreaterThan(RUNS / 2);
  expect(KINDS.map(([name], index) => [name, (seen[index] ?? 0) > RUNS / 500])).toEqual(
    KINDS.map(([name]) => [name, true]),
  );
});

function expectExact(file: LeaseFile, quote: LeaseQuote): void {
  const { cost, down: cash, schedule } = quote;
  const exact = exactLease(file, cost, cash);
  expect({
    cost,
    gross: quote.gross,
    reduction: quote.reduction,
    base: quote.basePayment,
    payment: quote.payment,
    taxes: quote.taxes.map(({ name, base, amount }) => ({ name, base, amount })),
    security: quote.securityDeposit,
    due: quote.dueAtSigning.total,
    totalOfPayments: quote.totalOfPayments,
    totalIfReturned: quote.totalIfReturned,
    totalIfBought: quote.totalIfBought,
    depreciation: quote.depreciation,
    rentCharge: quote.rentCharge,
  }).toEqual(exact);
  // Where nothing is reckoned from the cost, no other can fit.
  const isReckoned = cost > 1 && exactLease(file, cost - 1, cash).cost !== cost;
  for (let below = 1; below <= BELOW && isReckoned && cost > below; below++)
    expect(exactLease(file, cost - below, cash).cost).not.toBe(cost - below);
  const { down } = file.structure;
  if (down && "dueAtSigning" in down) expect(exact.due).toBeLessThanOrEqual(Number(down.dueAtSigning) * 100);
  const rate = exactRate(file, cost, exact.base);
  if (!rate) throw new Error("Nothing is left to bear rent.");
  expect(schedule.map(({ rent, balance }) => ({ rent, balance }))).toEqual(
    exactTable(file, cost, exact.base, rate),
  );
  expect(schedule.reduce((sum, { rent }) => sum + rent, 0)).toBe(exact.rentCharge);
  expect(schedule.at(-1)?.balance).toBe(quote.residual);
}
