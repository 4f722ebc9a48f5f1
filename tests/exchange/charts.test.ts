// Where things stand on a chart, in a frame in which a dot is easily reckoned.
import { evaluateLease, type MoneyAt } from "@/core";
import { lineUpChart } from "@/exchange/charts/line-up-chart";
import { placedLabels } from "@/exchange/charts/placed-labels";
import { residualChart } from "@/exchange/charts/residual-chart";
import { readLease } from "@/exchange/kinds/lease";

const NO_MARGIN = { top: 0, right: 0, bottom: 0, left: 0 };

test("a lease's chart goes in even steps from its cost to its residual, where no rent is paid", () => {
  const lease = readLease({
    format: "kellux-deal",
    version: 1,
    currency: "USD",
    structure: { price: "30000.00" },
    plan: {
      kind: "lease",
      reckoning: "moneyFactor",
      moneyFactor: "0",
      payments: 24,
      frequency: "monthly",
      residual: { amount: "18000.00" },
    },
    find: "payment",
  });
  const quote = lease.ok ? evaluateLease(lease.value) : lease;
  if (!quote.ok) throw new Error(quote.failure.sentence);
  const chart = residualChart(quote.value, { width: 240, height: 100, margin: NO_MARGIN });
  // The scale goes to 40,000.00, so that 400.00 are a dot, and each month is ten.
  expect(chart.amounts).toEqual([
    { minor: 0, y: 100 },
    { minor: 2_000_000, y: 50 },
    { minor: 4_000_000, y: 0 },
  ]);
  expect(chart.zero).toBe(100);
  expect(chart.points[0]).toMatchObject({ period: 0, x: 0, y: 25 });
  expect(chart.points[8]).toMatchObject({ period: 8, x: 80, y: 35, balance: 2_600_000 });
  expect(chart.residual).toEqual({ x: 240, y: 55 });
  expect(chart.periods.map(({ count, x }) => [count, x])).toEqual(
    [0, 4, 8, 12, 16, 20, 24].map(count => [count, 10 * count]),
  );
  expect([chart.nearest(-5), chart.nearest(84), chart.nearest(86), chart.nearest(999)]).toEqual([
    0, 8, 9, 24,
  ]);
  expect(chart.edge).toMatch(/^M0,25L10,26\.25L/);
  expect(chart.ground).toMatch(/L240,100.*Z$/);
});

const at = (months: number, paid: number, owed: number): MoneyAt => ({ months, date: null, paid, owed });
const OPTIONS = [
  [at(0, 0, 2000), at(1, 500, 1500), at(4, 2000, 0)],
  [at(0, 1000, 800), at(8, 1800, 0)],
];

test("options stand on one scale, by steps, and are read at a month until they end", () => {
  const frame = { width: 80, height: 100, margin: NO_MARGIN };
  const chart = lineUpChart(OPTIONS, "paid", 8, frame);
  expect(chart.amounts.map(({ minor, y }) => [minor, y])).toEqual([
    [0, 100],
    [500, 75],
    [1000, 50],
    [1500, 25],
    [2000, 0],
  ]);
  expect(chart.lines.map(({ path, end }) => [path, end])).toEqual([
    ["M0,100H10V75H40V0", { x: 40, y: 0 }],
    ["M0,50H80V10", { x: 80, y: expect.closeTo(10) }],
  ]);
  // What is paid stays as it is until the next is paid.
  expect(chart.spotAt(0, 3)).toEqual({ x: 30, y: 75 });
  expect(chart.spotAt(0, 4)).toEqual({ x: 40, y: 0 });
  expect(chart.spotAt(0, 5)).toBeUndefined();
  expect([chart.monthAt(-9), chart.monthAt(34), chart.monthAt(36), chart.monthAt(99)]).toEqual([0, 3, 4, 8]);
  expect(lineUpChart(OPTIONS, "owed", 8, frame).lines[0]?.path).toBe("M0,0H10V25H40V100");
});

test("labels keep apart and stay within the chart", () => {
  const placed = placedLabels(
    [
      { x: 0, y: 50 },
      { x: 0, y: 52 },
      { x: 400, y: 51 },
      { x: 0, y: 300 },
    ],
    { top: 10, bottom: 200 },
  );
  expect(Math.abs((placed[0]?.y ?? 0) - (placed[1]?.y ?? 0))).toBeGreaterThanOrEqual(15);
  expect(placed[2]?.y).toBe(51);
  expect(placed[3]?.y).toBeLessThanOrEqual(200);
});
