import { answer, COUNTY, refusal, VAN, van } from "./van-lease";

test("by money factor: the base payment, its parts, the whole term, the implicit rate, the table", () => {
  const lease = answer(VAN);
  expect(lease).toMatchObject({
    adjustedCapitalizedCost: "40000.00",
    loanAmount: "40000.00",
    basePayment: "735.48",
    paymentParts: { depreciation: "604.44", rent: "131.04" },
    payment: "735.48",
    depreciation: "21760.00",
    rentCharge: "4717.28",
    financeCharge: "4717.28",
    moneyFactor: "0.00225",
    yearlyRate: "5.4",
    apr: null,
    rateNotice: "This percentage may not measure the overall cost of financing this lease.",
  });
  expect(Number(lease.implicitYearlyRate).toFixed(4)).toBe("5.4257");
  expect(lease.schedule[1]).toMatchObject({ rent: "177.53", balance: "38706.57" });
  expect(lease.schedule.at(-1)).toMatchObject({ kind: "closing", payment: "0.00", balance: "18240.00" });
  expect(Number(answer(van({ inAdvance: 0 })).implicitYearlyRate).toFixed(4)).toBe("5.2927");
});

test("with a tax on each payment, a deposit rounded up, and a tax on the sum of payments, capitalized", () => {
  expect(answer(van({ taxes: [COUNTY], securityDeposit: { roundedUpTo: "50" } }))).toMatchObject({
    payment: "781.45",
    paymentTax: "45.97",
    securityDeposit: "800.00",
    dueAtSigning: { total: "1581.45" },
    // 36 payments; the deposit comes back.
    totalIfReturned: "28132.20",
  });
  // An exact step stays.
  expect(answer(van({ securityDeposit: { roundedUpTo: "735.48" } })).securityDeposit).toBe("735.48");
  expect(answer(van({ taxes: [{ ...COUNTY, on: ["sumOfPayments"] }] }))).toMatchObject({
    basePayment: "788.78",
    taxes: [{ name: "County tax", base: "28396.08", amount: "1774.76", financed: true }],
  });
});

test("all paid at once is one row, rounded once", () => {
  const once = answer(van({ inAdvance: 36 }));
  expect(once.basePayment).toBe("26477.44");
  expect(once.schedule).toHaveLength(2);
  expect(
    answer(van({ inAdvance: 36, reckoning: "levelYield", moneyFactor: undefined, yearlyRate: "5.4" }))
      .basePayment,
  ).toBe("24482.31");
});

test("by level yield, three in advance: the payment, what its flows are worth elsewhere, the last rent", () => {
  const campervan = answer({
    ...van({
      reckoning: "levelYield",
      moneyFactor: undefined,
      yearlyRate: "8.4",
      payments: 48,
      inAdvance: 3,
      residual: { amount: "9600.00" },
      residualDue: "onePeriodAfter",
    }),
    structure: { price: "64000.00" },
  });
  expect(campervan.payment).toBe("1374.77");
  expect(campervan.schedule.at(-1)?.rent).toBe("66.94");
  const at = (period: number) => (1 + 0.055 / 12) ** -period;
  const later = Array.from({ length: 45 }, (_, k) => 1374.77 * at(k + 1)).reduce(
    (sum, each) => sum + each,
    0,
  );
  expect((3 * 1374.77 + later + 9600 * at(46)).toFixed(2)).toBe("67689.91");
});

test("a fixed sum at signing: the cash follows; where the sum does not pay for that day, the rest is capitalized", () => {
  const structure = {
    price: "42029.37",
    fees: [{ name: "Plates", amount: "399.55", financed: false }],
    down: { dueAtSigning: "3000.00" },
  };
  expect(answer({ ...van({ taxes: [COUNTY] }), structure })).toMatchObject({
    down: "1812.06",
    basePayment: "742.01",
    payment: "788.39",
    dueAtSigning: {
      items: [
        { figure: "down", amount: "1812.06" },
        { figure: "payment", name: "first payment", amount: "788.39" },
        { figure: "fee", name: "Plates", amount: "399.55" },
      ],
      total: "3000.00",
    },
  });
  const nothing = answer({ ...van(), structure: { ...structure, down: { dueAtSigning: "0" } } });
  expect(nothing).toMatchObject({ dueAtSigning: { total: "0.00" } });
  expect(Number(nothing.down)).toBeLessThan(0);
  expect(nothing.note).toMatch(/of it is capitalized/);
});

test("what lowers the cost: equity, rebates, deposit and cash; negative equity is capitalized", () => {
  const structure = {
    price: "40900.00",
    fees: [{ name: "Documents", amount: "299.00" }],
    rebates: [{ name: "Maker's rebate", amount: "1800.00" }],
    tradeIns: [{ allowance: "9200.00", owed: "11050.00" }],
    deposit: "500.00",
    down: { amount: "1500.00" },
  };
  expect(
    answer({ ...van({ acquisitionFee: { amount: "595.00" }, dispositionFee: "395.00" }), structure }),
  ).toMatchObject({
    grossCapitalizedCost: "43644.00",
    capitalizedCostReduction: "3800.00",
    adjustedCapitalizedCost: "39844.00",
    dueAtSigning: { beside: { tradeIn: "0.00", rebates: "1800.00" } },
  });
});

test("ending early, and driving further than is allowed", () => {
  const file = {
    ...van({
      distance: { perYear: 12000, unit: "mi", beyond: "0.22", expected: 15000 },
      earlyFee: "250.00",
      purchaseFee: "300.00",
    }),
    ask: [
      { ask: "endEarly", after: 24, value: "21000" },
      { ask: "excessDistance" },
      { ask: "endEarly", after: 36 },
    ],
  };
  const { schedule, answers } = answer(file);
  const balance = Number(schedule[23]?.balance);
  expect(answers).toEqual([
    {
      after: 24,
      balance: balance.toFixed(2),
      paymentsLeft: 12,
      costToBuy: (balance + 300).toFixed(2),
      costToReturn: (balance + 250 - 21000).toFixed(2),
    },
    // 3,000 miles a year beyond, for three years, at 22 cents.
    { excessDistance: "1980.00" },
    expect.objectContaining({ after: 36, paymentsLeft: 0 }),
  ]);
});

test.each<[string, object, object]>([
  ["residual", { find: "residual", plan: { taxes: [COUNTY], payment: "781.45" } }, { residual: "18239.98" }],
  ["money factor", { find: "moneyFactor", plan: { payment: "735.48" } }, { moneyFactor: "0.00225" }],
  ["price", { find: "price", plan: { payment: "735.48" }, structure: {} }, { payment: "735.48" }],
  ["term", { find: "payments", plan: { payment: "735.48" } }, { payments: 36 }],
  [
    "price from a total",
    { find: "price", from: { totalIfReturned: "26477.28" }, structure: {} },
    { payment: "735.48" },
  ],
])("the %s is found", (_name, { plan = {}, ...rest }: { plan?: object }, expected) => {
  const left: Record<string, object> = {
    residual: { residual: undefined },
    moneyFactor: { moneyFactor: undefined },
    payments: { payments: undefined },
  };
  const { find } = rest as { find: string };
  expect(answer(van({ ...left[find], ...plan }, rest))).toMatchObject(expected);
});

test.each<[string, object, string]>([
  ["nothing given", { structure: {}, find: "payment" }, "The price is missing."],
  ["no residual", van({ residual: undefined }), "The residual is missing."],
  ["a percent of no list price", van({ residual: { percent: "43.6" } }), "The list price is missing."],
  ["a loan's balloon", van({ balloon: { amount: "1" } }), "plan.balloon is not known."],
  ["a loan's compounding", van({ compounding: "yearly" }), "plan.compounding is not known."],
  [
    "another reckoning",
    van({ reckoning: "guess" }),
    'plan.reckoning is "guess"; it must be "moneyFactor" or "levelYield".',
  ],
  ["a rate beside a factor", van({ yearlyRate: "5.4" }), "leave the yearly rate out, it follows."],
  [
    "a personal loan's purpose",
    { ...VAN, structure: { price: "1", purpose: "A piano" } },
    "A lease has no purpose",
  ],
  [
    "more in advance than there are",
    van({ inAdvance: 40 }),
    "40 payments in advance are more than the 36 of the term.",
  ],
  [
    "a residual with a payment that is not there",
    van({ inAdvance: 36, residualDue: "lastPayment" }),
    "no payment is left for the residual",
  ],
  [
    "a residual that pays for itself",
    van({ residual: { amount: "50000" } }),
    "asks for a payment below zero",
  ],
  [
    "nothing left to lease",
    { ...VAN, structure: { price: "40000", down: { amount: "40000" } } },
    "Nothing is left to lease",
  ],
  [
    "all of it paid at signing",
    van({ inAdvance: 36, residual: { amount: "0" } }),
    "nothing is left to bear rent",
  ],
  [
    "a payment given and looked for",
    van({ payment: "700" }),
    "The payment is being found, so the file must leave it out.",
  ],
  [
    "a payment that no money factor gives",
    { ...van({ moneyFactor: undefined, payment: "500.00" }), find: "moneyFactor" },
    "No money factor gives a payment of 500.00; the least is 604.44.",
  ],
  ["a tax of 101 %", van({ taxes: [{ ...COUNTY, rate: 101 }] }), "plan.taxes.0.rate is 101"],
])("refused, with the reason: %s", (_name, file, sentence) => {
  expect(refusal("format" in file ? file : { ...VAN, ...file })).toContain(sentence);
});

test("taxes of the structure are a loan's: they stay in the file, and a lease does not use them", () => {
  const taxes = [{ name: "Sales tax", rate: "8", on: ["price"] }];
  expect(answer({ ...VAN, structure: { price: "40000.00", taxIncluded: true, taxes } }).payment).toBe(
    "735.48",
  );
});

test("a balloon loan is the same table, ending at the balloon", () => {
  const lease = answer(
    van({
      reckoning: "levelYield",
      moneyFactor: undefined,
      yearlyRate: "6",
      inAdvance: 0,
      residualDue: "lastPayment",
    }),
  );
  const loan = answer({
    ...VAN,
    plan: {
      kind: "loan",
      yearlyRate: "6",
      payments: 36,
      frequency: "monthly",
      balloon: { amount: "18240.00" },
    },
  }) as unknown as { payment: string; schedule: { interest: string; balance: string }[] };
  expect(lease.payment).toBe(loan.payment);
  expect(lease.schedule.slice(0, 35).map(({ rent, balance }) => [rent, balance])).toEqual(
    loan.schedule.slice(0, 35).map(({ interest, balance }) => [interest, balance]),
  );
});

test("the effective rate makes what is paid, then the residual and the fee for buying, worth what was got", () => {
  const lease = answer(
    van(
      {
        signed: "2026-11-24",
        acquisitionFee: { amount: "595.00" },
        purchaseFee: "300.00",
        taxes: [COUNTY],
        securityDeposit: { amount: "500" },
      },
      {
        structure: {
          price: "40000.00",
          fees: [
            { name: "Origination", amount: "200.00", financeCharge: true, financed: false },
            { name: "Account fee", amount: "4.50", with: "eachPayment", financeCharge: true },
            { name: "Documents", amount: "99.00" },
          ],
        },
      },
    ),
  );
  const growth = 1 + Number(lease.effectiveRate) / 100;
  const base = Number(lease.basePayment) + 4.5;
  let worth = (18_240 + 300) / growth ** 3;
  for (let month = 0; month < 36; month++) worth += base / growth ** (month / 12);
  // 40,000 + 595 + 99 are capitalized; the first and 200 at signing are costs of the credit.
  expect(worth).toBeCloseTo(40_694 - 595 - 200, 2);
  // Without any fee it is the implicit rate, compounded over a year.
  const plain = answer(VAN);
  const effective = 100 * ((1 + Number(plain.implicitYearlyRate) / 1200) ** 12 - 1);
  expect(Number(plain.effectiveRate)).toBeCloseTo(effective, 8);
});
