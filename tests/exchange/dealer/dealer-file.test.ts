import { priceFile } from "@/exchange/answers/price-file";
import { dealerApart, dealerInWords } from "@/exchange/dealer";
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
  ["what there is no place for yet", { dealer: { income: "1" } }, /dealer\.income is not known/],
  [
    "a reserve of another kind",
    { dealer: { reserve: { method: "guess" } } },
    /dealer\.reserve is an object; it must be how a reserve is reckoned: .*"presentValue", "interestShare"/,
  ],
  [
    "an answer of no state",
    { dealer: { lenderAnswers: [{ lender: "Quillon Mutual", state: "maybe" }] } },
    /state is "maybe"/,
  ],
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

test("who lends is of the option and the customer's to see; what a lender asks of the customer is not", () => {
  const applicant = { score: 704, income: "5200.00", housing: "1100.00", debts: "640.00" };
  const file = { ...FRAME, applicant, options: [{ ...OPTION, lender: "Quillon Mutual" }] };
  const { document, dealer } = read(file);
  expect(document.options[0]?.inputs.lender).toBe("Quillon Mutual");
  expect(dealer).toEqual({ applicant });
  expect(wholeDealOf(document, { dealer })).toMatchObject(file);
  expect(JSON.stringify(wholeDealOf(document))).not.toMatch(/704|5200/);
  expect(read({ ...FRAME, ...OPTION, version: 1, applicant }).dealer).toEqual({ applicant });
  expect(parsed({ ...FRAME, ...OPTION, version: 1, applicant: { score: -1 } })).toMatchObject({
    sentence: expect.stringMatching(/applicant\.score is -1; it must be a score from 0/),
  });
});

test("all that the dealer's side can hold goes out as it came in", () => {
  const all = {
    ...DEALER,
    ownRebates: [null, "250.00"],
    extraChargebacks: [{ term: 60, untilDays: 30 }],
    lenderFee: "95.00",
    others: [
      { name: "Holdback", amount: "837.00", in: "front", shared: false },
      { name: "Pack", amount: "-300.00", in: "front" },
    ],
    buyRate: "5.25",
    reserve: {
      method: "presentValue",
      share: "100",
      most: "2500.00",
      chargeback: { until: 6, untilDays: 180, then: "byInterest" },
    },
    officerShare: { percent: "12", of: "back", less: "200.00" },
    spreadReason: { reason: "competingOffer", words: "5.9 % from a bank" },
    lenderAnswers: [
      {
        lender: "Quillon Mutual",
        state: "funded",
        on: "2026-11-24",
        amount: "38425.00",
        payments: 72,
        buyRate: "5.25",
        stipulations: [{ name: "Proof of income", on: "2026-11-25" }, { name: "Insurance" }],
        goodThrough: "2026-12-24",
        fundedOn: "2026-12-01",
        funded: "38425.00",
        reserveReceived: "1383.44",
      },
    ],
  };
  const rebates = [
    { name: "Maker's rebate", amount: "1800.00" },
    { name: "Ours", amount: "250.00" },
  ];
  const option = { ...OPTION, structure: { ...OPTION.structure, rebates }, dealer: all };
  const { document, dealer } = read({ ...FRAME, options: [option] });
  expect(wholeDealOf(document, { dealer }).options[0]?.dealer).toEqual(all);
  // Each of it is told where it was changed.
  const words = dealerInWords(document, {}, dealer).join("\n");
  for (const said of [
    "cost of the vehicle 25,000.00",
    "our part of Ours 250.00",
    "what comes back, cost of Gap cover over 60 months, all of it up to day 30",
    "lender’s fee 95.00",
    "Pack −300.00",
    "buy rate 5.25",
    "reserve by present value, 100 %, at most 2,500.00; all of it comes back up to payment 6 or day 180, then by the interest still to come",
    "officer’s share 12 % of the back gross less 200.00",
    "why this rate competing offer: 5.9 % from a bank",
    "Quillon Mutual: funded on 24 Nov 2026, 38,425.00, 72 payments, bought at 5.25, 1 of 2 stipulations open, paid on 1 Dec 2026",
  ])
    expect(words).toContain(said);
  expect(dealerInWords(document, dealer, {}).join("\n")).toContain("buy rate 5.25 removed");
});
