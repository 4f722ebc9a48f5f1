// Programs worked out by hand: what is measured, how a rate comes about, and what is not known.
import { costOfCredit, evaluate, parseIsoDate } from "@/core";
import {
  type DealFacts,
  type DealToFit,
  fitterOf,
  type LeaseProgram,
  type LoanProgram,
  limitsOfPlace,
  type Reason,
  whatWouldFit,
} from "@/core/programs";
import type { ProgramFile } from "@/exchange/dealer/program.schema";
import { beyondInWords } from "@/exchange/rates/place-words";
import { programsOf } from "@/exchange/rates/read-rates";
import { reasonInWords } from "@/exchange/rates/reason-words";
import { dealWith, quoteOf } from "./deals";

const DAY = parseIsoDate("2026-12-01") ?? 0;

const FACTS: DealFacts = {
  day: DAY,
  condition: "new",
  modelYear: 2026,
  distance: 12,
  unit: "mi",
  invoice: 3_610_000,
  bookValue: 3_900_000,
  listPrice: 4_290_000,
  score: 704,
  income: 520_000,
  housing: 110_000,
  debts: 64_000,
  paidOff: null,
};

/** 41,850.00 less 1,800.00 and 6,000.00, with 1,850.00 owed beyond a trade-in and extras of 895.00 and 1,295.00: 38,090.00. */
const LOAN = dealWith(
  {
    price: 4_185_000,
    tradeIns: [{ name: "Ostrel U1", allowance: 920_000, owed: 1_105_000 }],
    rebates: [{ name: "Maker’s  Rebate", amount: 180_000, isBeforeTax: false }],
    down: { amount: 600_000 },
    extras: [
      {
        name: "Gap cover",
        amount: { minor: 89_500 },
        isTaxable: false,
        paid: "financed",
        isFinanceCharge: false,
      },
      {
        name: "Awning",
        amount: { minor: 129_500 },
        isTaxable: false,
        paid: "financed",
        isFinanceCharge: false,
      },
    ],
  },
  { yearlyRate: "6.49", payments: 72, signed: DAY },
);

const dealToFit = (facts: Partial<DealFacts> = {}, loan = LOAN): DealToFit => ({
  loan,
  lease: null,
  turned: null,
  facts: { ...FACTS, ...facts },
});

function programWith(change: Partial<ProgramFile> = {}): LoanProgram {
  const file = {
    name: "New vehicles",
    kind: "loan",
    currency: "USD",
    rates: [{ from: 24, to: 84, buyRate: "5.25", mostSpread: "2.00" }],
    rateStep: "0.01",
    ...change,
  } as ProgramFile;
  return programsOf([{ name: "Quillon Mutual", programs: [file] }])[0] as LoanProgram;
}

const fitOf = (program: Partial<ProgramFile>, deal = dealToFit(), spread = "1.24") =>
  fitterOf(deal, spread)(programWith(program));
const said = (reasons: readonly Reason[]) => reasons.map(reason => reasonInWords(reason, "USD"));

test("a program without limits fits, at its buy rate and the dealer's spread", () => {
  const { state, offer } = fitOf({});
  expect(state).toBe("fits");
  // 38,090.00 over 72 months at 6.49 %, worked out apart from this project.
  expect([offer?.buyRate, offer?.rate, offer?.payment]).toEqual(["5.25", "6.49", 64_011]);
});

test.each<[limit: string, program: Partial<ProgramFile>, reasons: string[], facts?: Partial<DealFacts>]>([
  // 38,090.00 ÷ 36,100.00 is 105.512… %.
  [
    "loan to invoice",
    { mostLoanTo: [{ percent: "105", of: "invoice", what: "all" }] },
    ["loan 105.5 % of invoice, at most 105 %"],
  ],
  [
    "as many decimals as tell",
    { mostLoanTo: [{ percent: "105.51", of: "invoice", what: "all" }] },
    ["loan 105.512 % of invoice, at most 105.51 %"],
  ],
  // Without extras 35,900.00, of 39,000.00.
  [
    "the vehicle alone",
    { mostLoanTo: [{ percent: "92", of: "bookValue", what: "vehicle" }] },
    ["loan without taxes, fees and extras 92.1 % of book value, at most 92 %"],
  ],
  ["the vehicle alone, met", { mostLoanTo: [{ percent: "92.06", of: "bookValue", what: "vehicle" }] }, []],
  // 6,000.00 and 1,800.00 of 41,850.00: the trade-in, worth less than is owed, brings nothing.
  ["paid down", { leastDown: "18.64" }, ["paid down 18.6 % of the price, at least 18.64 %"]],
  ["paid down, met", { leastDown: "18.63" }, []],
  ["extras", { mostExtras: { percent: "5", of: "price" } }, ["extras 5.2 % of the price, at most 5 %"]],
  // 640.11 of 5,200.00; with 1,100.00 and 640.00 more 2,380.11.
  ["payment to income", { mostPaymentToIncome: "12" }, ["payment 12.3 % of income, at most 12 %"]],
  ["debt to income", { mostDebtToIncome: "45.77" }, ["payment and debts 45.8 % of income, at most 45.77 %"]],
  ["debt to income without what is paid off", { mostDebtToIncome: "45.77" }, [], { paidOff: 5_000 }],
  ["least amount", { amount: { least: "40000.00" } }, ["38,090.00 lent, at least 40,000.00"]],
  ["most amount", { amount: { most: "38000.00" } }, ["38,090.00 lent, at most 38,000.00"]],
  ["years", { vehicle: { mostYears: 2 } }, ["3 years old, at most 2"], { modelYear: 2023 }],
  // The last payment is on 1 December 2032.
  ["years at the end", { vehicle: { mostYearsAtEnd: 5 } }, ["6 years old at the end, at most 5"]],
  [
    "distance",
    { vehicle: { mostDistance: 60_000 } },
    ["gone 60,001 mi, at most 60,000"],
    { distance: 60_001 },
  ],
  // 60,000 miles are 96,560.64 km.
  [
    "distance in another unit",
    { vehicle: { mostDistance: 96_560, unit: "km" } },
    ["gone 96,561 km, at most 96,560"],
    { distance: 60_000 },
  ],
  [
    "distance in another unit, met",
    { vehicle: { mostDistance: 96_561, unit: "km" } },
    [],
    { distance: 60_000 },
  ],
  ["first payment", { firstPaymentWithin: 30 }, ["first payment after 31 days, at most 30"]],
  ["not begun", { valid: { from: "2026-12-02" } }, ["begins on 2 Dec 2026"]],
  ["run out", { valid: { to: "2026-11-30" } }, ["ran out on 30 Nov 2026"]],
  ["its last day", { valid: { from: "2026-12-01", to: "2026-12-01" } }, []],
  ["condition", { condition: "used" }, ["this one is new"]],
  ["currency", { currency: "CAD" }, ["in CAD; this deal is in USD"]],
  [
    "names, without capitals and spaces",
    { notWith: ["maker’s rebate", "gapcover", "Bonus"] },
    ["not with maker’s rebate, gapcover"],
  ],
  ["term", { rates: [{ from: 24, to: 60, buyRate: "5" }] }, ["72 payments, at most 60"]],
  [
    "score",
    { rates: [{ from: 24, to: 84, score: { least: 720 }, buyRate: "5" }] },
    ["score 704, at least 720"],
  ],
  [
    "score beyond",
    { rates: [{ from: 24, to: 84, score: { most: 699 }, buyRate: "5" }] },
    ["score 704, at most 699"],
  ],
  [
    "a term that its score is offered",
    {
      rates: [
        { from: 24, to: 60, score: { most: 719 }, buyRate: "5" },
        { from: 61, to: 84, score: { least: 720 }, buyRate: "5" },
      ],
    },
    ["72 payments, at most 60"],
  ],
])("a limit is measured: %s", (_, program, reasons, facts = {}) => {
  const { state, reasons: told } = fitOf(program, dealToFit(facts));
  expect(said(told)).toEqual(reasons);
  expect(state).toBe(reasons.length > 0 ? "unfit" : "fits");
});

test("what is not known is neither: not fit and not unfit", () => {
  const unknown = { invoice: null, score: null, income: null, housing: null, condition: null } as const;
  const program: Partial<ProgramFile> = {
    condition: "new",
    mostLoanTo: [{ percent: "115", of: "invoice", what: "all" }],
    mostDebtToIncome: "45",
  };
  const { state, reasons } = fitOf(program, dealToFit(unknown));
  expect(state).toBe("unknown");
  expect(said(reasons)).toEqual([
    "not known: whether it is new",
    "not known: the invoice",
    "not known: the customer’s income, the customer’s housing",
  ]);
  const scored = fitOf(
    { rates: [{ from: 24, to: 84, score: { least: 600 }, buyRate: "5" }] },
    dealToFit(unknown),
  );
  expect([scored.state, scored.offer, said(scored.reasons)]).toEqual([
    "unknown",
    null,
    ["not known: the customer’s score"],
  ]);
});

test("a personal loan is no vehicle's: programs that ask what only one has do not fit it, others can", () => {
  const loan = dealWith({ price: 1_000_000, personal: { purpose: "Piano", payoffs: [] } }, { payments: 36 });
  const deal = dealToFit({ condition: null, modelYear: null, invoice: null }, loan);
  expect(said(fitOf({ condition: "new" }, deal).reasons)).toEqual(["for vehicles; this is a personal loan"]);
  expect(said(fitOf({ vehicle: { mostYears: 6 } }, deal).reasons)).toEqual([
    "for vehicles; this is a personal loan",
  ]);
  expect(fitOf({ mostPaymentToIncome: "15" }, deal).state).toBe("fits");
});

test("every adjustment that holds adds up, before the most rate and the spread; a rate is rounded up to its step", () => {
  const adjust: ProgramFile["adjust"] = [
    { when: { loanTo: { above: "105", of: "invoice", what: "all" } }, add: "0.50" },
    { when: { loanTo: { above: "106", of: "invoice", what: "all" } }, add: "4" },
    { when: { distance: { above: 10 } }, add: "0.755" },
  ];
  const rate = (change: Partial<ProgramFile>, spread = "1.24") => {
    const { offer } = fitOf({ adjust, ...change }, dealToFit(), spread);
    return [offer?.buyRate, offer?.rate];
  };
  expect(rate({})).toEqual(["6.505", "7.75"]);
  expect(rate({}, "3")).toEqual(["6.505", "8.51"]);
  expect(rate({ rateStep: "0.125" })).toEqual(["6.505", "7.75"]);
  expect(rate({ mostRate: "7.60" })).toEqual(["6.505", "7.6"]);
  expect(rate({ mostRate: "6.30" })).toEqual(["6.3", "6.3"]);
});

test("a fee that the customer pays is lent, and counts in every limit", () => {
  const fee = { amount: "395.00", paidBy: "customer" } as const;
  // 38,485.00 of 36,100.00.
  const limit = { mostLoanTo: [{ percent: "106", of: "invoice", what: "all" } as const] };
  expect(said(fitOf({ fee, ...limit }).reasons)).toEqual(["loan 106.6 % of invoice, at most 106 %"]);
  expect(said(fitOf({ fee: { ...fee, paidBy: "dealer" }, ...limit }).reasons)).toEqual([]);
});

test("a balloon is held against its limit, and a balloon program brings its own", () => {
  const balloon = [
    { to: 48, most: "35", of: "listPrice" as const },
    { from: 49, to: 72, most: "20", of: "listPrice" as const },
  ];
  const withBalloon = { ...LOAN, plan: { ...LOAN.plan, balloon: { amount: 900_000 } } };
  // 9,000.00 of 42,900.00.
  expect(said(fitOf({ balloon }, dealToFit({}, withBalloon)).reasons)).toEqual([
    "balloon 21.0 % of list price, at most 20 %",
  ]);
  expect(said(fitOf({ balloon: [] }, dealToFit({}, withBalloon)).reasons)).toEqual([
    "no balloon over this term",
  ]);
  expect(fitOf({ balloon }).offer?.payment).toBe(64_011);
  // 38,090.00 down to 8,580.00 over 72 months at 6.49 %.
  const own = quoteOf({ ...LOAN, plan: { ...LOAN.plan, balloon: { amount: 858_000 } } });
  expect(fitOf({ kind: "balloon", balloon }).offer?.payment).toBe(own.payment);
});

test("a lease's spread is points ÷ 2,400, at most what may be added, and its residual a percent of list price by distance", () => {
  const file = {
    name: "Lease",
    kind: "lease",
    currency: "USD",
    vehicle: { unit: "mi" },
    rates: [{ from: 24, to: 36, moneyFactor: "0.00195", mostSpread: "0.00040" }],
    rateStep: "0.00001",
    residuals: [
      { from: 24, to: 36, distance: 10_000, percent: "52" },
      { from: 24, to: 36, distance: 15_000, percent: "49" },
    ],
    mostCostToListPrice: "90",
  } as ProgramFile;
  const program = programsOf([{ name: "Quillon Mutual", programs: [file] }])[0] as LeaseProgram;
  const lease = {
    currency: "USD",
    structure: { price: 4_000_000, tradeIns: [], down: { amount: 0 } },
    listPrice: 4_290_000,
    plan: {
      kind: "lease",
      reckoning: "levelYield",
      moneyFactor: null,
      yearlyRate: "6",
      payments: 36,
      frequency: "monthly",
      rounding: "nearest",
      signed: DAY,
      payment: null,
      inAdvance: 1,
      residual: null,
      residualDue: "end",
      taxes: [],
      distance: { perYear: 12_000, unit: "mi", beyond: "0.22", expected: null },
      earlyFee: 0,
      dispositionFee: 0,
      purchaseFee: 0,
    },
    find: "payment",
  } as const;
  const deal: DealToFit = { ...dealToFit(), loan: null, lease };
  // 0.72 points are 0.0003; 1.24 would be 0.00052, and 0.00040 may be added.
  expect(fitterOf(deal, "0.72")(program).offer?.rate).toBe("0.00225");
  expect(fitterOf(deal, "1.24")(program).offer?.rate).toBe("0.00235");
  // 40,000.00 down to 21,021.00: 18,979.00 ÷ 36 + 61,021.00 × 0.00225.
  const { offer, reasons } = fitterOf(deal, "0.72")(program);
  expect(offer?.payment).toBe(Math.round(1_897_900 / 36 + 6_102_100 * 0.00225));
  expect(said(reasons)).toEqual(["capitalized cost 93.2 % of list price, at most 90 %"]);
});

test("more cash down makes it fit first, then a term, extras and the price; nothing moves a score or a day", () => {
  const would = (program: Partial<ProgramFile>, facts: Partial<DealFacts> = {}) => {
    const deal = dealToFit(facts);
    return whatWouldFit(fitOf(program, deal), deal, "1.24", [48, 60, 84]);
  };
  // 38,090.00 less 36,100.00.
  const { levers } = would({ mostLoanTo: [{ percent: "100", of: "invoice", what: "all" }] });
  expect(levers.map(({ moved }) => moved)).toEqual([
    { by: "down", to: 799_000 },
    { by: "extras", left: [0, 1] },
    { by: "price", to: 3_986_000 },
  ]);
  const term = would({ mostPaymentToIncome: "12" }).levers.find(({ by }) => by === "payments");
  expect(term).toMatchObject({ usual: 84, moved: { by: "payments", payments: 75 } });
  // Either extra does it alone: the one of least price is left out.
  const extras = would({ mostExtras: { percent: "4", of: "price" } }).levers;
  expect(extras.map(({ moved }) => moved)).toEqual([{ by: "extras", left: [0] }]);
  for (const unmoved of [
    { rates: [{ from: 24, to: 84, score: { least: 720 }, buyRate: "5" }] },
    { valid: { to: "2026-11-01" } },
    { condition: "used" as const },
  ])
    expect(would({ ...unmoved, mostLoanTo: [{ percent: "100", of: "invoice", what: "all" }] })).toEqual({
      levers: [],
      each: [],
    });
});

test("months of a term are those of its payments, one begun as a whole one", () => {
  const weekly = { ...LOAN, plan: { ...LOAN.plan, frequency: "weekly" as const, payments: 260 } };
  const deal = dealToFit({}, weekly);
  const would = (from: number, to: number) => {
    const fit = fitOf({ rates: [{ from, to, buyRate: "5" }] }, deal);
    return [said(fit.reasons), whatWouldFit(fit, deal, "0", []).levers.map(({ moved }) => moved)];
  };
  // 208 weeks are 48 months; of 308 weeks, 71.08 months, the 72nd has begun.
  expect(would(24, 48)).toEqual([["260 payments, at most 208"], [{ by: "payments", payments: 208 }]]);
  expect(would(72, 84)).toEqual([["260 payments, at least 308"], [{ by: "payments", payments: 308 }]]);
});

test("where no one thing does it, each reason has its own", () => {
  const deal = dealToFit();
  const fit = fitOf({ rates: [{ from: 24, to: 60, buyRate: "5" }], leastDown: "25" }, deal);
  const { levers, each } = whatWouldFit(fit, deal, "0", []);
  expect(levers).toEqual([]);
  expect(each.map(lever => lever?.moved)).toEqual([
    { by: "payments", payments: 60 },
    // A quarter of 41,850.00, less the rebate.
    { by: "down", to: 866_250 },
  ]);
});

test("the limits of the place are held against rate, term, document fee and a personal loan's APR", () => {
  const fee = (minor: number) => ({
    name: "documents",
    amount: { minor },
    isTaxable: false,
    paid: "financed" as const,
    isFinanceCharge: true,
  });
  const limits = {
    mostRate: "6.4",
    mostTerm: 60,
    mostPersonalApr: "8",
    documentFee: { name: "Documents", most: 29_900 },
  };
  const told = (deal: typeof LOAN) => {
    const quote = evaluate(deal);
    if (!quote.ok) throw new Error(quote.failure.sentence);
    const cost = costOfCredit(quote.value);
    return limitsOfPlace(quote.value, limits, cost.ok ? cost.value.apr : null).map(each =>
      beyondInWords(each, "USD"),
    );
  };
  expect(told({ ...LOAN, structure: { ...LOAN.structure, fees: [fee(29_901)] } })).toEqual([
    "rate 6.49 %, at most 6.4 %",
    "72 months, at most 60",
    "documents 299.01, at most 299.00",
  ]);
  const personal = dealWith(
    {
      price: 1_000_000,
      personal: { purpose: "Kitchen refit", payoffs: [] },
      fees: [{ ...fee(29_900), paid: "keptBack" }],
    },
    { yearlyRate: "6", payments: 36 },
  );
  expect(told(personal)).toEqual(["APR of a personal loan 8.05 %, at most 8 %"]);
  expect(told(dealWith({}, { yearlyRate: "6.4" }))).toEqual([]);
});
