import fc from "fast-check";
import { priceFile } from "@/exchange/answers/price-file";
import { runs } from "../runs";

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

/** The same question of a structure with every kind of line, over a plain plan. */
const STRUCTURED = {
  ...WHOLE,
  structure: {
    price: "20000",
    taxIncluded: false,
    taxes: [
      { name: "County tax", rate: "6.25", on: ["price", "fees"], tradeInCredit: "400", rounding: "up" },
      {
        name: "Road tax",
        rate: "1",
        on: ["extras"],
        rebateCredit: true,
        capOn: "500",
        cap: "9",
        financed: false,
      },
    ],
    fees: [
      { name: "Documents", amount: "299", taxable: true },
      { name: "Origination", percentOf: "loanAmount", percent: "1.5", financeCharge: true },
      { name: "Account fee", amount: "4", with: "eachPayment", financeCharge: true },
    ],
    extras: [{ name: "Cover", percentOf: "totalOfPayments", percent: "2", cost: "100", financed: false }],
    rebates: [{ name: "Rebate", amount: "300", beforeTax: true }],
    tradeIns: [{ name: "Ostrel", allowance: "500", owed: "100" }, { allowance: "5" }],
    down: { percent: "10", of: "total" },
    deposit: "50",
  },
  plan: { kind: "loan", frequency: "monthly", yearlyRate: "6", payments: 24 },
  ask: [{ ask: "working", figure: "totalCost" }],
};

/** A lease with everything that one can have. */
const LEASED = {
  ...STRUCTURED,
  structure: { ...STRUCTURED.structure, listPrice: "21000", tradeIns: [{ allowance: "500", owed: "100" }] },
  plan: {
    kind: "lease",
    reckoning: "moneyFactor",
    moneyFactor: "0.00225",
    payments: 36,
    frequency: "monthly",
    rounding: "nearest",
    roundingStep: "0.05",
    signed: "2026-11-24",
    inAdvance: 1,
    residual: { percent: "43.6", of: "listPrice" },
    residualDue: "end",
    acquisitionFee: { amount: "595", financed: true, taxable: true },
    securityDeposit: { roundedUpTo: "50" },
    taxes: [
      { name: "County tax", rate: "6.25", on: ["payment", "reduction"], tradeInCredit: "400" },
      { name: "Levy", rate: "1", on: ["sumOfPayments"], capOn: "9000", cap: "50", financed: false },
    ],
    distance: { perYear: 12000, unit: "mi", beyond: "0.22", expected: 15000 },
    earlyFee: "0",
    dispositionFee: "395",
    purchaseFee: "300",
  },
  ask: [{ ask: "endEarly", after: 24, value: "9000" }, { ask: "excessDistance" }],
  // The loan that it was before.
  kept: { plan: STRUCTURED.plan, find: "yearlyRate", from: { totalCost: "30000" }, ask: STRUCTURED.ask },
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
    { dueAtSigning: "500" },
    "total",
    "loanAmount",
    "totalOfPayments",
    "eachPayment",
    ["price"],
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

/** What a structure can have besides. */
const OTHER_LINES = [
  ["structure", "purpose"],
  ["structure", "payoffs"],
  ["structure", "tradeIn"],
  ["structure", "fees", 0, "keptBack"],
  ["structure", "fees", 0, "with"],
  ["from"],
  ["from", "dueAtSigning"],
  ["from", "cashReceived"],
  ["plan", "timing"],
];

/** What a lease can have besides, or instead. */
const OTHER_OF_A_LEASE = [
  ["find"],
  ["from"],
  ["from", "basePayment"],
  ["from", "totalIfBought"],
  ["plan", "payment"],
  ["plan", "yearlyRate"],
  ["plan", "balloon"],
  ["structure", "purpose"],
];

const BASES = [
  { file: WHOLE, places: [...paths(WHOLE), ...OTHER_PLACES] },
  { file: STRUCTURED, places: [...paths(STRUCTURED), ...OTHER_LINES] },
  { file: LEASED, places: [...paths(LEASED), ...OTHER_OF_A_LEASE] },
];

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

const changesOf = (places: (string | number)[][]) =>
  fc.array(fc.record({ path: fc.constantFrom(...places), value: odd, remove: fc.boolean() }), {
    minLength: 1,
    maxLength: 25,
  });

/** Whether a file is answered; if not, it is refused with one sentence. */
function isAnswered(file: unknown): boolean {
  const priced = priceFile(JSON.stringify(file), true);
  if (priced.ok) {
    expect(JSON.stringify(priced.answer)).not.toMatch(/NaN|Infinity|undefined/);
    return true;
  }
  expect(priced.sentence).toMatch(/^[A-Z"\d\p{L}].*[.;]$/u);
  expect(priced.sentence).not.toMatch(/NaN|Infinity|undefined|\[object|\n/);
  return false;
}

/** As they are written in a file, some of them with an exponent. */
const NUMBERS = [
  ...[0, 1, -1, 0.5, 0.1 + 0.2, 100, 1200, 1201, 999_999.999_999, 1e6 + 0.1, 2 ** 53, 2 ** 53 + 2],
  ...[1e-6, 1e-7, 1.5e-9, 5e-324, 1e20, 1e21, 1.1e21, 1e300, Number.MAX_VALUE, -1e-7, -1e21],
];

test.each(BASES)("any number, in each place of a file by itself, is answered or refused", base => {
  const fell: string[] = [];
  for (const path of base.places) {
    for (const number of NUMBERS) {
      const file = structuredClone(base.file);
      put(file, path, number, false);
      try {
        isAnswered(file);
      } catch (error) {
        fell.push(`${path.join(".")} = ${number}: ${String((error as Error).message).slice(0, 200)}`);
      }
    }
  }
  expect(fell).toEqual([]);
});

test.each(BASES)(
  "whatever a file says, it is answered or refused with one sentence, and never throws",
  base => {
    let answered = 0;
    fc.assert(
      fc.property(changesOf(base.places), list => {
        const file = structuredClone(base.file);
        for (const { path, value, remove } of list) put(file, path, structuredClone(value), remove);
        if (isAnswered(file)) answered += 1;
      }),
      { numRuns: runs(1200) },
    );
    expect(answered).toBeGreaterThan(5);
  },
);
