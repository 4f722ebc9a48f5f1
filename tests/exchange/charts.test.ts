// Where things stand on a chart, in a frame in which a dot is easily reckoned.
import { dayNumber, evaluateLease, type MoneyAt, repaidEarly } from "@/core";
import { amountBar } from "@/exchange/charts/amount-bar";
import { loanChart } from "@/exchange/charts/chart-lines";
import { flowsTimeline } from "@/exchange/charts/flows-timeline";
import { lineUpChart } from "@/exchange/charts/line-up-chart";
import { paymentMapChart } from "@/exchange/charts/payment-map";
import { placedLabels } from "@/exchange/charts/placed-labels";
import { repaymentChart } from "@/exchange/charts/repayment-chart";
import { residualChart } from "@/exchange/charts/residual-chart";
import { readLease } from "@/exchange/kinds/lease";
import { dealWith, quoteOf } from "../core/deals";

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

test("a map's places, its round values and its labels stand where they are", () => {
  const across = { axis: "down", values: [0, 50_000, 100_000] } as const;
  const up = { axis: "payments", values: [12, 24, 36, 48, 60] } as const;
  const margin = { top: 10, right: 20, bottom: 30, left: 40 };
  const chart = paymentMapChart(across, up, { width: 260, height: 140, margin });
  expect(chart.ground).toEqual({ x: 40, y: 10, width: 200, height: 100 });
  expect([chart.x(0), chart.x(50_000), chart.x(100_000)]).toEqual([40, 140, 240]);
  // More payments stand higher.
  expect([chart.y(12), chart.y(36), chart.y(60)]).toEqual([110, 60, 10]);
  expect(chart.up.map(({ value }) => value)).toEqual([12, 24, 36, 48, 60]);
  expect(chart.across.map(({ value, x }) => [value, x])).toContainEqual([20_000, 80]);
  expect(chart.placeAt(150, 58)).toEqual({ column: 1, row: 2 });
  expect([chart.placeAt(0, 0), chart.placeAt(999, 999)]).toEqual([
    { column: 0, row: 4 },
    { column: 2, row: 0 },
  ]);
  // A line that falls as it goes right, and one that goes left: both are read from the left.
  expect(chart.label({ x: 500, y: 500, dx: 1, dy: 2 })).toEqual({ x: 140, y: 60, angle: 45 });
  expect(chart.label({ x: 0, y: 1000, dx: -1, dy: -2 })).toEqual({ x: 40, y: 110, angle: 45 });
});

test("what an amount is made of stands side by side, each as wide as its share", () => {
  const line = (figure: "price" | "fee" | "owed" | "down", amount: number, sign: 1 | -1 = 1) => ({
    figure,
    amount,
    sign,
  });
  const lines = [line("price", 60_000), line("fee", 20_000), line("owed", 20_000), line("down", 50_000, -1)];
  expect(amountBar(lines).map(({ name, from, to }) => [name, from, to])).toEqual([
    ["price", 0, 0.6],
    ["taxes", 0.6, 0.6],
    ["fees and extras", 0.6, 0.8],
    ["owed on the trade-in", 0.8, 1],
  ]);
  expect(amountBar([line("price", 0), line("down", 10, -1)])).toEqual([]);
});

test("money on a line of time: received above, paid below, heights by the root; years where they begin", () => {
  const first = dayNumber(2026, 1, 1);
  const flows = [
    { date: first, minor: 10_000 },
    { date: first + 100, minor: -2_500 },
    { date: first + 500, minor: -10_000 },
  ];
  const chart = flowsTimeline(flows, { width: 500, height: 200, margin: NO_MARGIN });
  expect([chart.first, chart.last, chart.middle]).toEqual([first, first + 500, 100]);
  expect(chart.stems).toEqual([
    { x: 0, end: 0 },
    { x: 100, end: 150 },
    { x: 500, end: 200 },
  ]);
  expect(chart.years).toEqual([{ year: 2027, x: 365 }]);
  expect([chart.nearest(40), chart.nearest(60), chart.nearest(1000)]).toEqual([0, 1, 2]);
  const alone = flowsTimeline([{ date: first, minor: 1 }], { width: 500, height: 200, margin: NO_MARGIN });
  expect(alone.stems).toEqual([{ x: 0, end: 0 }]);
});

test("a repayment's chart falls evenly where there is no interest, with what is tried beside it", () => {
  // 2,400.00 over 24 months: 100.00 each; the scale goes to 3,000.00 in three steps or fewer.
  const quote = quoteOf(dealWith({ price: 240_000 }, { yearlyRate: "0", payments: 24 }));
  const lines = loanChart(quote.schedule);
  const frame = { width: 240, height: 266, margin: NO_MARGIN };
  const chart = repaymentChart(lines, lines, quote.loanAmount, frame);
  expect(chart.zero).toBe(200);
  expect(chart.amounts.map(({ minor }) => minor)).toEqual([0, 100_000, 200_000, 300_000]);
  expect(chart.points).toHaveLength(24);
  expect(chart.points[11]).toMatchObject({ x: 120, y: 120 });
  expect(chart.points.at(-1)).toMatchObject({ x: 240, y: 200 });
  expect(chart.owed.startsWith("M0,40L10,")).toBe(true);
  expect(chart.nearest(121)).toBe(11);
  expect(chart.periodAt(121)).toBe(12);
  // Every payment is principal alone.
  expect(chart.bars.principal.match(/M/g)).toHaveLength(24);
  expect(chart.bars.principal.startsWith("M1,222h8v44h-8z")).toBe(true);
  expect(chart.bars.cost).toBe("");
  const early = repaidEarly(quote, { once: [{ after: 12, amount: 60_000 }] });
  if (!early.ok) throw new Error(early.failure.sentence);
  const tried = repaymentChart(loanChart(early.value.schedule), lines, quote.loanAmount, frame);
  expect(tried.points.at(-1)).toMatchObject({ x: 180, y: 200 });
  expect(tried.planned).toBe(chart.owed);
  // Three hundred payments are too narrow to be told apart.
  const long = quoteOf(dealWith({ price: 2_400_000 }, { yearlyRate: "6", payments: 300 }));
  expect(
    repaymentChart(loanChart(long.schedule), loanChart(long.schedule), long.loanAmount, frame).bars.principal,
  ).toBe("");
});

test("years stand where they begin; a first one of few payments gives way", () => {
  const plan = { yearlyRate: "6", payments: 36, signed: dayNumber(2026, 11, 8) };
  const quote = quoteOf(dealWith({}, plan));
  const lines = loanChart(quote.schedule);
  const { years } = repaymentChart(lines, lines, quote.loanAmount, {
    width: 360,
    height: 200,
    margin: NO_MARGIN,
  });
  expect(years.map(({ text }) => text)).toEqual(["2027", "2028", "2029"]);
});
