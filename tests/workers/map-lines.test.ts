import { linesOf } from "@/workers/map-lines";

const COLUMNS = 41;
const ROWS = 26;

/** A map whose figure falls evenly from 100,000 at the left to 60,000 at the right, whatever the row. */
const plane = Float64Array.from({ length: COLUMNS * ROWS }, (_, place) => 100_000 - 1000 * (place % COLUMNS));

const firstX = (path: string) =>
  path
    .slice(1)
    .split("L")
    .map(point => Number(point.split(" ")[0]));

test("lines stand at round figures, labelled where they run, a budget among them", () => {
  const { lines, overBudget, noAnswer } = linesOf(plane, COLUMNS, ROWS, { unit: 100, budget: 75_000 });
  expect(lines.map(({ level }) => level / 100)).toEqual([600, 650, 700, 750, 800, 850, 900, 950, 1000]);
  const at = lines.find(({ level }) => level === 80_000);
  // 800.00 is met half way across, on a line straight up.
  expect(at?.label?.x).toBeCloseTo(500, 0);
  expect(at?.label?.dx).toBeCloseTo(0);
  expect(overBudget).toMatchObject({ level: 75_000 });
  expect(overBudget?.label?.x).toBeCloseTo(625, 0);
  expect(Math.max(...firstX(overBudget?.path.replace("Z", "") ?? ""))).toBeLessThan(626);
  expect(noAnswer).toBeNull();
});

test("a figure that is the same everywhere has no lines, and what has no answer is shown as such", () => {
  expect(linesOf(new Float64Array(COLUMNS * ROWS).fill(5), COLUMNS, ROWS, { unit: 1 })).toEqual({
    lines: [],
    between: "",
    overBudget: null,
    noAnswer: null,
  });
  const holed = plane.map((value, place) => (place % COLUMNS > 30 ? Number.NaN : value));
  const { noAnswer, lines } = linesOf(holed, COLUMNS, ROWS, { unit: 100 });
  expect(Math.min(...firstX((noAnswer ?? "").replace("Z", "")))).toBeGreaterThan(740);
  expect(lines.length).toBeGreaterThan(5);
});
