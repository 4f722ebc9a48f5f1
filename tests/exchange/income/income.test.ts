// What deals earn, by their files: figures that were worked out apart.
import { priceFile } from "@/exchange/answers/price-file";

const FRAME = { format: "kellux-deal", version: 1, currency: "USD", find: "payment" };
const PLAN = { kind: "loan", frequency: "monthly", yearlyRate: "6.49", payments: 72 };
const STRUCTURE = {
  price: "41850.00",
  fees: [
    { name: "Title", amount: "336.00" },
    { name: "Document fee", amount: "299.00" },
  ],
  extras: [{ name: "Service contract", amount: "1890.00" }],
  tradeIns: [{ name: "Ostrel U1", allowance: "9200.00", owed: "11050.00" }],
  rebates: [{ name: "Maker's rebate", amount: "1800.00" }],
  down: { amount: "6000.00" },
};
const DEALER = {
  cost: "36100.00",
  tradeInValues: ["8700.00"],
  feeCosts: [null, "0.00"],
  extraCosts: ["1040.00"],
  buyRate: "5.25",
  reserve: {
    method: "presentValue",
    share: "100",
    most: "2500.00",
    chargeback: { until: 6, then: "byInterest" },
  },
  officerShare: { percent: "12", of: "back", less: "200.00" },
};
type Answer = { dealer: Record<string, string | null>; answers: Record<string, unknown>[] };

function answered(
  change: object,
  { structure = STRUCTURE, plan = PLAN }: { structure?: object; plan?: object } = {},
): Answer {
  const file = { ...FRAME, structure, plan, ...change };
  const priced = priceFile(JSON.stringify(file), false);
  if (!priced.ok) throw new Error(priced.sentence);
  return priced.answer as Answer;
}

const earned = (dealer: object, given: Parameters<typeof answered>[1] = {}) =>
  answered({ dealer }, given).dealer;

test("front and back gross, the reserve and the officer's share of a loan", () => {
  const loan = answered({ dealer: DEALER });
  expect(loan).toMatchObject({ loanAmount: "38425.00", payment: "645.74" });
  expect(loan.dealer).toEqual({
    front: "5549.00",
    back: "2233.44",
    reserve: "1383.44",
    total: "7782.44",
    officerShare: "244.01",
  });
});

test("a rebate of its own, a lender's fee and other amounts count on their side, and in the officer's share or not", () => {
  const others = [
    { name: "Holdback", amount: "837.00", in: "front", shared: false },
    { name: "Pack", amount: "-300.00", in: "back" },
  ];
  expect(earned({ ...DEALER, ownRebates: ["500.00"], lenderFee: "95.00", others })).toEqual({
    front: "5886.00",
    back: "1838.44",
    reserve: "1383.44",
    total: "7724.44",
    officerShare: "196.61",
  });
  const ofAll = { percent: "10", of: "all" };
  expect(earned({ ...DEALER, others, officerShare: ofAll }).officerShare).toBe("748.24");
  expect(
    earned({ ...DEALER, officerShare: { percent: "10", of: "reserve", less: "2000.00" } }).officerShare,
  ).toBe("0.00");
});

test("without a cost there is no front gross and no total, and it is said", () => {
  const { cost: _, ...unknown } = DEALER;
  expect(earned({ ...unknown, extraCosts: [null] })).toEqual({
    front: null,
    back: "1383.44",
    reserve: "1383.44",
    total: null,
    officerShare: "142.01",
    note: "What the vehicle cost is missing: without it there is no front gross. Not counted, for its cost is not known: Service contract.",
  });
});

test("a reserve: its share, its most, what is below zero, both rates equal, a flat one", () => {
  const reserve = (terms: object, buyRate = "5.25") => earned({ buyRate, reserve: terms }).reserve;
  expect(reserve({ method: "interestShare", share: "75" })).toBe("1211.81");
  expect(reserve({ method: "presentValue", most: "1000.00" })).toBe("1000.00");
  expect(reserve({ method: "presentValue" }, "6.490")).toBe("0.00");
  expect(reserve({ method: "interestShare" }, "7.1")).toBe("-807.69");
  expect(reserve({ method: "flat", amount: "400.00" })).toBe("400.00");
  expect(reserve({ method: "flat", percent: "1.5" })).toBe("576.38");
  expect(earned({ reserve: { method: "presentValue" } })).toMatchObject({
    reserve: null,
    note: expect.stringContaining("The buy rate is missing"),
  });
});

test("where commission may not follow the rate only a flat reserve is reckoned", () => {
  const place = "GB";
  expect(answered({ place, dealer: DEALER }).dealer).toMatchObject({
    reserve: null,
    note: expect.stringMatching(/In the United Kingdom commission may not follow the rate/),
  });
  const flat = { ...DEALER, reserve: { method: "flat", amount: "400.00" } };
  expect(answered({ place, dealer: flat }).dealer).toMatchObject({ reserve: "400.00", back: "1250.00" });
});

test("taxes that are in prices, fees and extras are not earned", () => {
  const structure = {
    price: "11900.00",
    taxIncluded: true,
    taxes: [{ name: "VAT", rate: "19", on: ["price", "extras"] }],
    extras: [{ name: "Cover", amount: "1190.00", taxable: true }],
  };
  const dealer = { cost: "9000.00", extraCosts: ["400.00"] };
  expect(earned(dealer, { structure })).toMatchObject({ front: "1000.00", back: "600.00" });
  // A tax on the extras alone leaves the price as it is; two taxes share what they are in.
  const onExtras = { ...structure, taxes: [{ name: "VAT", rate: "19", on: ["extras"] }] };
  expect(earned(dealer, { structure: onExtras })).toMatchObject({ front: "2900.00", back: "600.00" });
  const two = [
    { name: "State", rate: "9", on: ["price", "extras"] },
    { name: "County", rate: "10", on: ["price"] },
  ];
  expect(earned(dealer, { structure: { ...structure, taxes: two } })).toMatchObject({
    front: "1000.00",
    back: "700.00",
  });
});

test("an extra that falls with each payment is earned as often; a personal loan sells nothing", () => {
  const extras = [{ name: "Cover", amount: "12.00", with: "eachPayment" }];
  expect(earned({ extraCosts: ["500.00"] }, { structure: { price: "9000.00", extras } }).back).toBe("364.00");
  const personal = { price: "9000.00", purpose: "A piano", fees: [{ name: "Set-up", amount: "150.00" }] };
  expect(earned({ feeCosts: ["20.00"] }, { structure: personal })).toMatchObject({
    front: "130.00",
    total: "130.00",
  });
});

test("what comes back: of the reserve by time or by interest, of an extra by its own term", () => {
  const back = (dealer: object, after: number, plan: object = PLAN) =>
    answered({ dealer: { ...DEALER, ...dealer }, ask: [{ ask: "chargeback", after }] }, { plan }).answers[0];
  const share = { method: "interestShare", share: "75" };
  const reserve = (chargeback: object) => ({ reserve: { ...share, chargeback } });
  expect(back(reserve({ then: "byTime" }), 10)).toEqual({
    after: 10,
    reserve: "1043.50",
    extras: "0.00",
    total: "1043.50",
  });
  expect(back(reserve({ then: "byInterest" }), 10)).toMatchObject({ reserve: "915.92" });
  expect(back(reserve({ until: 10, then: "byTime" }), 10)).toMatchObject({ reserve: "1211.81" });
  expect(back(reserve({ until: 9 }), 10)).toMatchObject({ reserve: "0.00" });
  expect(back(reserve({ until: 72, then: "byTime" }), 72)).toMatchObject({ reserve: "0.00" });
  const dated = { ...PLAN, signed: "2026-11-24", firstPayment: "2026-12-24" };
  const extraBack = (terms: object, after: number) =>
    back({ ...reserve({}), extraChargebacks: [terms] }, after, dated)?.extras;
  expect(extraBack({ term: 60 }, 10)).toBe("708.33");
  expect(extraBack({}, 10)).toBe("731.94");
  expect(extraBack({ term: 60, untilDays: 30 }, 1)).toBe("850.00");
  expect(extraBack({ term: 60, untilDays: 29 }, 1)).toBe("835.83");
  expect(extraBack({ term: 6 }, 10)).toBe("0.00");
  expect(answered({ ask: [{ ask: "chargeback", after: 10 }] }).answers[0]).toMatchObject({ total: "0.00" });
});

test("the least rate, and the least price, with which so much is earned", () => {
  const ask = (question: object, dealer: object = DEALER) => answered({ dealer, ask: [question] }).answers[0];
  expect(ask({ ask: "income", reserve: "2000.00", find: "yearlyRate" })).toMatchObject({
    yearlyRate: "7.035",
    payment: "655.75",
    dealer: { reserve: "2000.86" },
  });
  expect(ask({ ask: "income", reserve: "2000.00", find: "yearlyRate", rateStep: "0.05" })).toMatchObject({
    yearlyRate: "7.05",
  });
  const priced = ask({ ask: "income", total: "8000.00", find: "price" }) as {
    price: string;
    dealer: { total: string };
  };
  expect(Number(priced.price)).toBeCloseTo(41_850 + 217.56 / (1 + 1383.44 / 38_425), 1);
  expect(priced.dealer.total).toBe("8000.00");
});

test.each([
  [{ reserve: "2600.00", find: "yearlyRate" }, {}, /The reserve is at most 2,500.00/],
  [
    { reserve: "400.00", find: "yearlyRate" },
    { reserve: { method: "flat", amount: "300" } },
    /does not follow the rate/,
  ],
  [{ reserve: "400.00", find: "yearlyRate" }, { reserve: undefined }, /No reserve is agreed/],
  [{ total: "400.00", find: "price" }, { cost: undefined }, /What the vehicle cost is missing/],
  [{ find: "price" }, {}, /give one of the two/],
  [{ total: "400.00", find: "moneyFactor" }, {}, /The rate of this deal is its yearlyRate/],
  [{ reserve: "100.00", find: "yearlyRate", rateStep: "0" }, {}, /A step of 0 is not possible/],
])("%j is answered with a sentence where nothing earns it", (question, dealer, sentence) => {
  const file = {
    ...FRAME,
    structure: STRUCTURE,
    plan: PLAN,
    dealer: JSON.parse(JSON.stringify({ ...DEALER, ...dealer })),
    ask: [{ ask: "income", ...question }],
  };
  expect(priceFile(JSON.stringify(file), false)).toMatchObject({
    ok: false,
    sentence: expect.stringMatching(sentence),
  });
});

test("leases earn by money factor and by level yield", () => {
  const lease = (plan: object, price: string, dealer: object) =>
    answered(
      { dealer },
      { structure: { price, down: { amount: "0" } }, plan: { kind: "lease", frequency: "monthly", ...plan } },
    ).dealer.reserve;
  const level = {
    reckoning: "levelYield",
    yearlyRate: "8.4",
    payments: 48,
    inAdvance: 3,
    residual: { amount: "9600.00" },
    residualDue: "onePeriodAfter",
  };
  const presentValue = { method: "presentValue" };
  expect(lease(level, "64000.00", { buyRate: "5.5", reserve: presentValue })).toBe("3689.91");
  const factor = {
    reckoning: "moneyFactor",
    moneyFactor: "0.00225",
    payments: 36,
    inAdvance: 1,
    residual: { amount: "18240.00" },
  };
  expect(lease(factor, "40000.00", { buyRate: "0.00195", reserve: presentValue })).toBe("587.77");
  expect(lease(factor, "40000.00", { buyRate: "0.00195", reserve: { method: "interestShare" } })).toBe(
    "628.92",
  );
  expect(lease(factor, "40000.00", { buyRate: "0.00225", reserve: presentValue })).toBe("0.00");
});
