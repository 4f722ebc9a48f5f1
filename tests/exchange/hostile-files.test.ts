import fc from "fast-check";
import { priceFile } from "@/exchange/answers/price-file";

const WHOLE = {
  format: "kellux-deal",
  version: 1,
  currency: "USD",
  structure: { price: "20000", tradeIn: { allowance: "500", owed: "100" }, down: { percent: "10" } },
  plan: {
    kind: "loan",
    frequency: "monthly",
    yearlyRate: "6",
    payments: 48,
    signed: "2027-01-31",
    firstPayment: "2027-03-05",
    compounding: "daily",
    timing: "arrears",
    dayCount: "30/360",
    rounding: "nearest",
    roundingStep: "0.05",
    balloon: { amount: "3000" },
    interestOnly: 3,
    deferred: { payments: 2, interest: "accrues" },
    skippedMonths: [7],
    steps: [{ from: 12, percent: "5" }],
    extra: {
      each: "10",
      yearly: { amount: "100", from: "2027-12-01" },
      once: [{ date: "2028-03-03", amount: "50" }],
    },
    prepaidCharge: "100",
  },
  find: "payment",
  ask: [
    { ask: "payoff", after: 3 },
    { ask: "totals", dates: { from: "2027-01-01", to: "2028-01-01" } },
    { ask: "affordability", budget: "500", terms: [12, 24] },
    { ask: "working", figure: "apr" },
    {
      ask: "timeValue",
      find: "payments",
      presentValue: { received: "100" },
      payment: { paid: "5" },
      futureValue: { paid: "0" },
      yearlyRate: "5",
      frequency: "weekly",
    },
    {
      ask: "rate",
      figure: "5",
      from: { kind: "effective" },
      to: { kind: "flat", frequency: "monthly", payments: 12 },
    },
  ],
};

const odd = fc.oneof(
  fc.constantFrom<unknown>(
    null,
    "",
    "0",
    "0.00",
    "-1",
    "1e9",
    "999999999",
    "2026-02-30",
    "1900-01-01",
    "2199-12-31",
  ),
  fc.constantFrom<unknown>(0, 1, 2, 12, 1200, 1201, -5, 0.5, 1e21, true, [], {}, [null]),
  fc.constantFrom<unknown>(
    "advance",
    "yearly",
    "weekly",
    "continuous",
    "flatRate",
    "actual/actual",
    "price",
    "lump",
  ),
  fc.constantFrom<unknown>(
    "yearlyRate",
    "extra",
    "JPY",
    "KWD",
    "XQZ",
    "400",
    "1000",
    { amount: "0" },
    { percent: "100" },
  ),
);

/** Every place in a file, as a path. */
function paths(value: unknown, path: (string | number)[] = []): (string | number)[][] {
  if (typeof value !== "object" || value === null) return [path];
  return [path, ...Object.entries(value).flatMap(([key, each]) => paths(each, [...path, key]))].filter(
    ({ length }) => length > 0,
  );
}

/** What a loan can have instead of what this one has. */
const OTHER_PLACES = [
  ["from"],
  ["from", "totalCost"],
  ["from", "endDate"],
  ["plan", "payment"],
  ["plan", "datedPayments"],
  ["plan", "datedPayments", 0, "date"],
  ["plan", "twiceMonthlyDays"],
];

const PLACES = [...paths(WHOLE), ...OTHER_PLACES];

function put(file: unknown, path: (string | number)[], value: unknown, remove: boolean): void {
  let at = file as Record<string | number, unknown>;
  for (const key of path.slice(0, -1)) {
    const next = at[key];
    if (typeof next !== "object" || next === null) return;
    at = next as Record<string | number, unknown>;
  }
  const last = path.at(-1) ?? "";
  if (remove) delete at[last];
  else at[last] = value;
}

const changes = fc.array(fc.record({ path: fc.constantFrom(...PLACES), value: odd, remove: fc.boolean() }), {
  minLength: 1,
  maxLength: 25,
});

test("whatever a file says, it is answered or refused with one sentence, and never throws", () => {
  let answered = 0;
  fc.assert(
    fc.property(changes, list => {
      const file = structuredClone(WHOLE);
      for (const { path, value, remove } of list) put(file, path, structuredClone(value), remove);
      const priced = priceFile(JSON.stringify(file), true);
      if (priced.ok) {
        answered += 1;
        expect(JSON.stringify(priced.answer)).not.toMatch(/NaN|Infinity|undefined/);
        return;
      }
      expect(priced.sentence).toMatch(/^[A-Z"\d\p{L}].*[.;]$/u);
      expect(priced.sentence).not.toMatch(/NaN|Infinity|undefined|\[object|\n/);
    }),
    { numRuns: 6000 },
  );
  expect(answered).toBeGreaterThan(5);
});
