// The worked example of a lender's cents, what is said where nothing fits, and whether it matters by the law.
import { parseIsoDate, type Result } from "@/core";
import { type Matched, matchFigures, type Stated } from "@/core/match";
import { dealWith, quoteOf } from "../deals";
import { COUNTY, leaseQuote, van } from "../van-lease";

const value = <Value>(result: Result<Value>): Value => {
  if (!result.ok) throw new Error(result.failure.sentence);
  return result.value;
};
const said = (text: string) => {
  const [whole = "", part = ""] = text.split(".");
  return { units: Number(whole + part), decimals: part.length };
};
const KITCHEN = quoteOf(dealWith({ price: 1_850_000 }, { yearlyRate: "7.25", payments: 48 }));
const matched = (stated: Stated, quote = KITCHEN, place: string | undefined = "US"): Matched =>
  value(matchFigures({ quote, stated, place }));
const departures = ({ ways }: Matched) => ways.map(way => way.departures);

describe("18,500.00 at 7.25 % over 48 months", () => {
  const theirs = { payment: said("445.16"), lastPayment: said("444.57"), totalOfPayments: said("21367.09") };

  test("445.16, 444.57 and 21,367.09: the payment up, each row's interest down", () => {
    const found = matched(theirs);
    const [first] = found.ways;
    expect(first?.departures).toEqual([
      { kind: "rounding", rule: "up", step: 1 },
      { kind: "rowInterest", rule: "down" },
    ]);
    expect(first?.figures).toMatchObject({ payment: 44516, lastPayment: 44457, totalOfPayments: 2136709 });
    expect(first?.figures.unrounded).toBeCloseTo(44515.4451, 3);
    // The other that gives them is a payment from 0.006042 a month.
    expect(departures(found).slice(1)).toEqual([
      [
        { kind: "rounded", what: "rate", decimals: 6 },
        { kind: "rowInterest", rule: "down" },
      ],
    ]);
    expect(found).toMatchObject({ several: true, cutOffAfter: null });
  });

  test("445.16 and 444.89: up, interest to the nearest", () => {
    const found = matched({ payment: said("445.16"), lastPayment: said("444.89") });
    expect(departures(found)[0]).toEqual([{ kind: "rounding", rule: "up", step: 1 }]);
  });

  test("445.15 and 445.16, 21,367.21 in all: to the nearest, interest down", () => {
    const found = matched({
      payment: said("445.15"),
      lastPayment: said("445.16"),
      totalOfPayments: said("21367.21"),
    });
    expect(departures(found)).toEqual([[{ kind: "rowInterest", rule: "down" }]]);
    expect(found.several).toBe(false);
  });

  test("446.00 alone: several fit", () => {
    const found = matched({ payment: said("446.00") });
    expect(found.several).toBe(true);
    expect(found.fitting).toBeGreaterThan(1);
    // 446.00 repays 35 more or less than this than the deal has: 446.00 ÷ 0.0240624…
    expect(found.implied).toEqual({ from: 3494, to: 3534 });
  });

  test("its own figures are its own", () => {
    const found = matched({
      payment: said("445.15"),
      lastPayment: said("445.36"),
      totalOfPayments: said("21367.41"),
    });
    expect(departures(found)).toEqual([[]]);
    expect(found.tried).toBe(1);
  });

  test("figures at fewer decimals are held against figures at as many", () => {
    expect(departures(matched({ payment: said("445.2"), totalOfPayments: said("21367") }))[0]).toEqual([]);
    expect(departures(matched({ payment: said("445.1545"), lastPayment: said("445.36") }))).toEqual([]);
  });

  test("what nothing gives has the nearest three, with what is off", () => {
    const found = matched({ ...theirs, lastPayment: said("444.60") });
    expect(found.ways).toEqual([]);
    expect(found.nearest).toHaveLength(3);
    expect(found.nearest[0]?.off).toEqual({ payment: 0, lastPayment: -3, totalOfPayments: 0 });
  });

  test("a search that is cut off says after how many departures", () => {
    const found = value(
      matchFigures(
        { quote: KITCHEN, stated: { ...theirs, lastPayment: said("444.60") }, place: undefined },
        { most: 500 },
      ),
    );
    expect(found).toMatchObject({ tried: 500, cutOffAfter: 1 });
  });

  test("a whole table: every row agrees, or the first that does not is named", () => {
    const machine = quoteOf(
      dealWith({ price: 1_850_000 }, { yearlyRate: "7.25", payments: 48, rounding: "up" }),
    );
    const table = machine.schedule.map(({ number, payment, interest, principal, balance }) => ({
      number,
      payment: { units: payment, decimals: 2 },
      interest: { units: interest, decimals: 2 },
      principal: { units: principal, decimals: 2 },
      balance: { units: balance, decimals: 2 },
    }));
    const [way] = matched({ table }).ways;
    expect(way?.departures).toEqual([{ kind: "rounding", rule: "up", step: 1 }]);
    const wrong = table.map(row =>
      row.number === 17 ? { ...row, balance: { units: row.balance.units + 1, decimals: 2 } } : row,
    );
    const [nearest] = matched({ table: wrong }).nearest;
    expect(nearest).toMatchObject({ rowsOff: 1, firstOff: { number: 17, cell: "balance", off: -1 } });
  });
});

test("299.00 more is Documents, twice or financed as well", () => {
  const fee = (paid: "financed" | "atSigning") => ({
    name: "Documents",
    amount: { minor: 29_900 },
    isTaxable: false,
    paid,
    isFinanceCharge: false,
  });
  for (const [paid, change] of [
    ["financed", "twice"],
    ["atSigning", "financed"],
  ] as const) {
    const quote = quoteOf(
      dealWith({ price: 1_850_000, fees: [fee(paid)] }, { yearlyRate: "7.25", payments: 48 }),
    );
    const theirs = quoteOf(
      dealWith({ price: quote.loanAmount + 29_900 }, { yearlyRate: "7.25", payments: 48 }),
    );
    const found = matched(
      {
        payment: { units: theirs.payment, decimals: 2 },
        totalOfPayments: { units: theirs.totalOfPayments, decimals: 2 },
      },
      quote,
    );
    expect(departures(found)[0]).toEqual([
      { kind: "lines", more: 29_900, lines: [{ name: "Documents", change }] },
    ]);
  }
});

describe("what the rate is", () => {
  const charged = (yearlyRate: string) =>
    quoteOf(
      dealWith(
        {
          price: 1_850_000,
          fees: [
            {
              name: "Origination",
              amount: { minor: 46_250 },
              isTaxable: false,
              paid: "financed",
              isFinanceCharge: true,
            },
          ],
        },
        { yearlyRate, payments: 48 },
      ),
    );
  const saidOf = (quote: ReturnType<typeof quoteOf>): Stated => ({
    payment: { units: quote.payment, decimals: 2 },
    lastPayment: { units: quote.finalPayment, decimals: 2 },
    totalOfPayments: { units: quote.totalOfPayments, decimals: 2 },
  });

  test("the APR with its charges typed as the rate", () => {
    // 18,500.00 financed and 462.50 in the note: 8.5 % and a little more.
    const apr = matched({ apr: said("8.5"), payment: said("1.00") }, charged("7.25")).usual.figures.apr ?? 0;
    expect(apr).toBeGreaterThan(8.5);
    expect(apr).toBeLessThan(8.6);
    const found = matched(saidOf(charged(apr.toFixed(2))), charged("7.25"));
    expect(departures(found)).toContainEqual([{ kind: "rate", as: "isTheApr" }]);
  });

  test("the rate typed is the APR, and the note's is lower", () => {
    const found = matched({ payment: said("445.15"), apr: said("7.25") }, charged("7.25"));
    expect(departures(found)).toContainEqual([{ kind: "rate", as: "itsApr" }]);
  });

  test("flat for nominal, nominal for flat, rounded to two decimals", () => {
    const flat = quoteOf(
      dealWith({ price: 1_850_000 }, { kind: "flatRate", yearlyRate: "7.25", payments: 48 }),
    );
    expect(departures(matched(saidOf(flat)))[0]).toEqual([{ kind: "rate", as: "flat" }]);
    expect(departures(matched(saidOf(KITCHEN), flat))[0]).toEqual([{ kind: "rate", as: "nominal" }]);
    const fine = quoteOf(dealWith({ price: 1_850_000 }, { yearlyRate: "7.2549", payments: 48 }));
    expect(departures(matched(saidOf(KITCHEN), fine))).toContainEqual([{ kind: "rate", as: "twoDecimals" }]);
  });

  test("an APR that is an effective rate, as the place has it or not", () => {
    // 7.25 % a month is 7.4957 % a year.
    const effective = { payment: said("445.15"), lastPayment: said("445.36"), apr: said("7.50") };
    expect(departures(matched(effective))).toEqual([[{ kind: "rate", as: "effectiveApr" }]]);
    expect(departures(matched(effective, KITCHEN, "GB"))).toEqual([[]]);
    expect(departures(matched({ ...effective, apr: said("7.25") }, KITCHEN, "GB"))).toEqual([
      [{ kind: "rate", as: "actuarialApr" }],
    ]);
  });

  test("of long loans fewer ways are tried", () => {
    const long = quoteOf(
      dealWith({ price: 18_500_000 }, { yearlyRate: "7.25", payments: 1200, signed: 20_788 }),
    );
    const found = matched({ payment: said("1.00"), totalOfPayments: said("2.00") }, long);
    expect(found.tried).toBe(12_000);
    expect(found.cutOffAfter).not.toBeNull();
  });
});

describe("whether it matters", () => {
  const LOAN = quoteOf(dealWith({ price: 1_850_000 }, { yearlyRate: "7.25", payments: 48 }));

  test("an APR within an eighth of a point, or beyond", () => {
    const at = (apr: string) =>
      matched({ payment: said("445.15"), lastPayment: said("445.36"), apr: said(apr) }, LOAN).matters?.apr;
    expect(at("7.374")).toMatchObject({ tolerance: 0.125, isWithin: true });
    expect(at("7.376")).toMatchObject({ tolerance: 0.125, isWithin: false });
  });

  test("a quarter where payments are irregular", () => {
    const quote = quoteOf(
      dealWith({ price: 1_850_000 }, { yearlyRate: "7.25", payments: 48, interestOnly: 6 } as never),
    );
    const table = quote.schedule.map(({ number, payment }) => ({
      number,
      payment: { units: payment, decimals: 2 },
    }));
    expect(matched({ table, apr: said("7.45") }, quote).matters).toMatchObject({
      isIrregular: true,
      apr: { tolerance: 0.25, isWithin: true },
    });
  });

  test("a finance charge within 10.00, or 5.00 of up to 1,000.00", () => {
    const charge = (price: number, stated: string, total: string) =>
      matched(
        { financeCharge: said(stated), totalOfPayments: said(total) },
        quoteOf(dealWith({ price }, { yearlyRate: "7.25", payments: 12 })),
      ).matters?.financeCharge;
    expect(charge(1_850_000, "750.00", "19260.00")).toMatchObject({
      worked: 76_000,
      tolerance: 1_000,
      isWithin: true,
    });
    expect(charge(1_850_000, "749.99", "19260.00")).toMatchObject({ isWithin: false });
    expect(charge(100_000, "45.00", "1040.00")).toMatchObject({ tolerance: 500, isWithin: true });
    expect(charge(100_000, "45.01", "1040.00")).toMatchObject({ isWithin: false });
  });

  test("it says where their payments are not all known, and nothing elsewhere", () => {
    expect(matched({ payment: said("445.15"), apr: said("7.25") }, LOAN).matters?.apr).toEqual({
      why: "paymentsNotKnown",
    });
    expect(matched({ payment: said("445.15"), apr: said("7.25") }, LOAN, "GB").matters).toBeNull();
  });
});

test("what cannot be asked is told", () => {
  const failed = (stated: Stated) => {
    const result = matchFigures({ quote: KITCHEN, stated, place: "US" });
    return result.ok ? "answered" : result.failure.sentence;
  };
  expect(failed({})).toContain("Type one of their figures at least");
  expect(failed({ balance: { after: 49, amount: said("1.00") } })).toContain("There is no payment 49");
  expect(failed({ payoff: { on: parseIsoDate("2027-03-01") ?? 0, amount: said("1.00") } })).toContain(
    "needs the contract date",
  );
});

test("a lease: tax on the payment before it is rounded", () => {
  const quote = leaseQuote(van({ taxes: [COUNTY] }, { structure: { price: "40000.02" } }));
  // 735.485045 before tax: 735.49 and 45.97 of tax are 781.46, together 781.4529 is 781.45.
  expect(quote.payment).toBe(78_146);
  const found = value(
    matchFigures({
      quote,
      stated: { payment: said("781.45"), financeCharge: { units: quote.rentCharge, decimals: 2 } },
      place: "US",
    }),
  );
  expect(departures(found)[0]).toEqual([{ kind: "taxOn", what: "unrounded" }]);
  expect(found.matters).toBeNull();
});
