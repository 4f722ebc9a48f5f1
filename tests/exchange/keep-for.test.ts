// How long a vehicle is kept, in files: read, written, refused and said.

import { priceFile } from "@/exchange/answers/price-file";
import { newId } from "@/exchange/deal-document";
import { curveOfHouse, keepForAtFirst } from "@/exchange/keep-for/start";
import { changesInWords } from "@/exchange/option-words";
import { wholeDealOf } from "@/exchange/whole-deal";
import { parseDealDocument } from "@/exchange/whole-deal/parse-document";

const LOAN = {
  structure: { price: "40000.00", down: { amount: "4000.00" } },
  plan: { kind: "loan", yearlyRate: "6.49", payments: 60, frequency: "monthly", signed: "2026-12-08" },
  find: "payment",
};
const LEASE = {
  structure: { price: "40000.00", down: { amount: "0" } },
  plan: {
    kind: "lease",
    reckoning: "moneyFactor",
    moneyFactor: "0.00225",
    payments: 36,
    frequency: "monthly",
    inAdvance: 1,
    signed: "2026-12-08",
    residual: { amount: "18240.00" },
    surplus: "customer",
  },
  find: "payment",
};
const KEEP_FOR = {
  months: 48,
  distance: 15000,
  unit: "mi",
  value: { points: [{ month: 0, percent: "100" }], from: "Campervans" },
  after: [{ option: 2, then: "again" }],
};
const FILE = {
  format: "kellux-deal",
  version: 2,
  currency: "USD",
  options: [LOAN, LEASE],
  keepFor: KEEP_FOR,
};

const withKept = (change: object) => ({ ...FILE, keepFor: { ...KEEP_FOR, ...change } });
const parsed = (file: object) => parseDealDocument(JSON.stringify(file), newId);

function document(file: object) {
  const read = parsed(file);
  if (!read.ok) throw new Error(read.sentence);
  return read.value.document;
}

test("what becomes of an option stands with it, and is filed by its number again", () => {
  const deal = document(FILE);
  expect(deal.asides?.options?.[deal.options[1]?.id ?? ""]).toEqual({ after: "again" });
  expect(deal.asides?.keepFor).not.toHaveProperty("after");
  expect(wholeDealOf(deal)).toMatchObject({ keepFor: KEEP_FOR, options: [LOAN, LEASE] });
  // An option that is moved takes it along.
  const [first, second] = deal.options;
  if (!first || !second) throw new Error("There are two.");
  expect(wholeDealOf({ ...deal, options: [second, first] }).keepFor?.after).toEqual([
    { option: 1, then: "again" },
  ]);
});

test.each([
  [
    withKept({ after: [{ option: 3, then: "buy" }] }),
    "keepFor/after names option 3; it must be the number of one of the options.",
  ],
  [withKept({ months: 0 }), "keepFor.months is 0; it must be a whole number of months from 1 to 600."],
  [
    withKept({
      value: {
        points: [
          { month: 12, percent: "80" },
          { month: 12, percent: "70" },
        ],
      },
    }),
    "What it will be worth after 12 months is given twice; give each month once.",
  ],
  [withKept({ todaysMoney: true }), "Today’s money needs what money kept earns a year; give the return."],
  [
    withKept({ cash: { taxes: "12.345" } }),
    "The taxes in cash is 12.345; it must be an amount from 0 to 1,000,000,000 with at most 2 decimals.",
  ],
  [withKept({ unit: "leagues" }), 'keepFor.unit is "leagues"; it must be "mi" or "km".'],
])("what cannot be is refused with a sentence", (file, sentence) => {
  expect(parsed(file)).toEqual({ ok: false, sentence });
  expect(JSON.stringify(priceFile(JSON.stringify(file), false))).toContain(
    JSON.stringify(sentence).slice(1, -1),
  );
});

test("a change of what is assumed is told in words, and agrees to nothing", () => {
  const before = document(FILE);
  const keepFor = { ...before.asides?.keepFor, months: 36, todaysMoney: true } as never;
  const after = { ...before, asides: { ...before.asides, keepFor } };
  expect(changesInWords(before, after)).toEqual([
    { figure: "kept for", from: "48 months", to: "36 months" },
    { figure: "costs compared", from: "", to: "in today’s money" },
  ]);
});

test("a deal begins with the house's first curve, in the unit that is driven in there", () => {
  expect(keepForAtFirst("DE")).toMatchObject({ unit: "km", distance: 20_000 });
  expect(keepForAtFirst("US")).toMatchObject({ unit: "mi", distance: 12_000 });
  const curve = {
    name: "Vans",
    unit: "mi" as const,
    points: [{ month: 0, percent: "100" }],
    normalDistance: 10_000,
    beyond: "0.16",
  };
  expect(keepForAtFirst("US", [curve])).toMatchObject({ distance: 10_000, value: { from: "Vans" } });
  // 10,000 miles are 16,100 km to the hundred; 0.16 a mile is a tenth a km.
  expect(curveOfHouse(curve, "km")).toMatchObject({ normalDistance: 16_100, beyond: "0.099" });
});
