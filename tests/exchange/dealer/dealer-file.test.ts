import { priceFile } from "@/exchange/answers/price-file";
import { dealerApart } from "@/exchange/dealer";
import { lineIds, withLineIds } from "@/exchange/structure/line-ids";
import { wholeDealOf } from "@/exchange/whole-deal";
import { parseDealDocument } from "@/exchange/whole-deal/parse-document";

const OPTION = {
  structure: {
    price: "30000.00",
    fees: [
      { name: "Title", amount: "85.00" },
      { name: "Documents", amount: "299.00" },
    ],
    extras: [{ name: "Gap cover", amount: "640.00" }],
    tradeIns: [{ name: "Ostrel U1", allowance: "9000.00", owed: "0" }],
  },
  plan: { kind: "loan", frequency: "monthly", yearlyRate: "6.49", payments: 72 },
  find: "payment",
};
const FRAME = { format: "kellux-deal", version: 2, currency: "USD" };
const DEALER = {
  cost: "25000.00",
  feeCosts: [null, "0.00"],
  extraCosts: ["310.00"],
  tradeInValues: ["8700.00"],
};

let ids = 0;
const newId = () => `00000000-0000-4000-8000-${String(++ids).padStart(12, "0")}`;
const parsed = (file: object) => parseDealDocument(JSON.stringify(file), newId);

function read(file: object) {
  const deal = parsed(file);
  if (!deal.ok) throw new Error(deal.sentence);
  const { document, dealer } = deal.value;
  return { document: { ...document }, dealer };
}

test("lines have the ids that they were given, else by their places, and no two the same", () => {
  const line = (id?: string) => ({ name: "Fee", amount: "1", ...(id !== undefined && { id }) });
  expect(lineIds({ fees: [line(), line("a"), line()] }, "fees")).toEqual(["fee-1", "a", "fee-3"]);
  // One that was there by its place before others went, and a copy of a line.
  expect(lineIds({ fees: [line("fee-2"), line()] }, "fees")).toEqual(["fee-2", "fee-3"]);
  expect(lineIds({ fees: [line("a"), line("a")] }, "fees")).toEqual(["a", "fee-2"]);
  expect(lineIds({ tradeIn: { owed: "0" } }, "tradeIns")).toEqual(["trade-in-1"]);
  const whole = { fees: [line("a")], extras: [line("b")] };
  expect(withLineIds(whole)).toBe(whole);
});

test("the dealer's side comes in with a file in the order of the lines, and goes out so where it is asked for", () => {
  const { document, dealer } = read({ ...FRAME, options: [{ ...OPTION, dealer: DEALER }, OPTION] });
  const [first = "", second = ""] = document.options.map(({ id }) => id);
  expect(dealer).toEqual({
    options: {
      [first]: { cost: "25000.00", costs: { "fee-2": "0.00", "extra-1": "310.00", "trade-in-1": "8700.00" } },
    },
  });
  expect(wholeDealOf(document, { dealer }).options.map(option => option.dealer)).toEqual([DEALER, undefined]);
  expect(JSON.stringify(wholeDealOf(document))).not.toContain("8700");
  // A line that is gone takes its cost along; another order is that of the costs.
  const [{ inputs }] = document.options as [(typeof document.options)[0], ...unknown[]];
  const { fees = [], extras: _, ...rest } = inputs.structure;
  const changed = { ...inputs, structure: { ...rest, fees: fees.toReversed() } };
  const filed = wholeDealOf({ ...document, options: [{ id: first, name: "", inputs: changed }] }, { dealer });
  expect(filed.options[0]?.dealer).toEqual({
    cost: "25000.00",
    feeCosts: ["0.00", null],
    tradeInValues: ["8700.00"],
  });
  expect(second).not.toBe("");
});

test("a file of before has what an extra cost beside its amount: it is of the dealer's side", () => {
  const extras = [
    { name: "Paint", amount: "220.00" },
    { name: "Gap cover", amount: "640.00", cost: "310.00" },
  ];
  const option = { ...OPTION, structure: { price: "30000.00", extras } };
  for (const file of [
    { ...FRAME, options: [option] },
    { ...FRAME, ...option, version: 1 },
  ]) {
    const { document, dealer } = read(file);
    expect(Object.values(dealer.options ?? {})).toEqual([{ costs: { "extra-2": "310.00" } }]);
    expect(JSON.stringify(document)).not.toContain("cost");
    expect(priceFile(JSON.stringify(file), false)).toMatchObject({ ok: true });
  }
  expect(dealerApart("no object")).toEqual({ option: "no object", dealer: undefined });
});

test.each([
  ["a cost that is none", { dealer: { cost: "cheap" } }, /dealer\.cost is "cheap"; it must be an amount/],
  [
    "a list of them",
    { dealer: { extraCosts: ["1", -2] } },
    /dealer\.extraCosts\.1 is -2; it must be an amount/,
  ],
  [
    "of a file of before",
    { structure: { price: "1", extras: [{ name: "A", amount: "1", cost: "x" }] } },
    /extraCosts\.0 is "x"/,
  ],
  ["what there is no place for yet", { dealer: { buyRate: "5.25" } }, /dealer\.buyRate is not known/],
  [
    "an id that is none",
    { structure: { price: "1", fees: [{ id: "A B", name: "F", amount: "1" }] } },
    /id is "A B"; it must be an id/,
  ],
])("%s is refused with its place", (_, change, sentence) => {
  const option = { ...OPTION, ...change };
  for (const file of [
    { ...FRAME, options: [option] },
    { ...FRAME, ...option, version: 1 },
  ]) {
    const read = parsed(file);
    expect(read).toMatchObject({ ok: false, sentence: expect.stringMatching(sentence) });
    const priced = priceFile(JSON.stringify(file), false);
    expect(JSON.stringify(priced)).toContain((read as { sentence: string }).sentence.replaceAll('"', '\\"'));
  }
});

test.each(["keepFor", "applicant"])("%s is refused by name at the deal until it has its place", name => {
  expect(parsed({ ...FRAME, [name]: "x", options: [OPTION] })).toEqual({
    ok: false,
    sentence: `${name} is not known.`,
  });
});

test.each(["lender"])("%s is refused by name at an option", name => {
  expect(parsed({ ...FRAME, options: [{ ...OPTION, [name]: "x" }] })).toEqual({
    ok: false,
    sentence: `${name} is not known.`,
  });
});
