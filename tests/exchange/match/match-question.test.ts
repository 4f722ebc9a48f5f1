// The question match of a deal file, and what it is answered in words.
import type { Departure } from "@/core/match";
import { priceFile } from "@/exchange/answers/price-file";
import { departureWords } from "@/exchange/match/departure-words";
import { parseDealDocument } from "@/exchange/whole-deal/parse-document";
import { dealWith, quoteOf } from "../../core/deals";

const FILE = {
  format: "kellux-deal",
  version: 1,
  currency: "USD",
  place: "US",
  structure: { price: "18500.00" },
  plan: { kind: "loan", frequency: "monthly", yearlyRate: "7.25", payments: 48 },
  find: "payment",
};

function asked(stated: object, rest: object = {}): Record<string, unknown> {
  const priced = priceFile(JSON.stringify({ ...FILE, ...rest, ask: [{ ask: "match", stated }] }), false);
  if (!priced.ok) return { error: priced.sentence };
  return (priced.answer as { answers: Record<string, unknown>[] }).answers[0] ?? {};
}

test("ways with their departures, what is near, how many were tried, and whether it matters", () => {
  const answer = asked({
    payment: "445.16",
    lastPayment: 444.57,
    totalOfPayments: "21367.09",
    financeCharge: "2867.09",
    apr: "7.25",
  });
  expect(answer).toMatchObject({
    sentence:
      "Their figures come out to the last digit with the payment rounded up and each row’s interest rounded down.",
    several: true,
    tried: expect.any(Number),
    usual: { payment: "445.15", lastPayment: "445.36", totalOfPayments: "21367.41" },
    matters: {
      apr: { isWithin: true, tolerance: "0.125" },
      financeCharge: { stated: "2867.09", worked: "2867.09", tolerance: "10.00", isWithin: true },
    },
  });
  expect((answer.ways as object[])[0]).toMatchObject({
    departures: [
      { kind: "rounding", rule: "up", step: "0.01" },
      { kind: "rowInterest", rule: "down" },
    ],
    sentence: "With the payment rounded up and each row’s interest rounded down.",
    figures: { payment: "445.16", lastPayment: "444.57", unroundedPayment: "445.154451" },
    rowsWithOtherInterest: 32,
    moreInterest: "-0.32",
  });
  expect(answer.nearest).toHaveLength(3);
});

test("one figure alone never says more than that several fit", () => {
  expect(asked({ payment: "446.00" })).toMatchObject({
    several: true,
    sentence: expect.stringMatching(
      /^Several fit: 29 ways were found .*One more figure of theirs would tell\.$/,
    ),
  });
});

test("a number has the decimals of the currency, a text those that it was typed with", () => {
  expect(asked({ payment: 445.2, lastPayment: 445.4 }).several).toBe(false);
  expect(asked({ payment: "445.2", lastPayment: "445.4" })).toMatchObject({
    sentence: "Their figures are those here, to the last digit.",
  });
});

test("a table, what is owed, and a payoff", () => {
  const owed =
    quoteOf(dealWith({ price: 1_850_000 }, { yearlyRate: "7.25", payments: 48 })).schedule[11]?.balance ?? 0;
  const balance = { after: 12, amount: (owed / 100).toFixed(2) };
  expect(asked({ balance, payment: "445.15" })).toMatchObject({
    ways: [{ departures: [] }],
  });
  const signed = { plan: { ...FILE.plan, signed: "2026-12-01" } };
  expect(
    asked({ payoff: { on: "2027-03-01", amount: "17493.81" }, payment: "445.15" }, signed),
  ).toMatchObject({
    ways: [{ departures: [] }],
  });
  const table = [
    { number: 1, payment: "445.15", interest: "111.77", balance: "18166.62" },
    { number: 2, payment: "445.15", interest: "109.76", balance: "17831.23" },
  ];
  expect(asked({ table })).toMatchObject({ ways: [{ departures: [] }] });
});

test.each([
  [{ payment: "445,16" }, 'payment is "445,16"; it must be an amount as it is said'],
  [{ payments: "445.16" }, "stated.payments is not known"],
  [{ balance: { after: 0, amount: "1" } }, "the number of a payment"],
  [{ payoff: { on: "2027-02-30", amount: "1" } }, "2027-02-30"],
  [{ table: [] }, "a list of 1 to"],
  [
    {
      table: [
        { number: 2, payment: "1" },
        { number: 1, payment: "1" },
      ],
    },
    "put them in order",
  ],
  [{}, "Type one of their figures at least"],
])("%j is refused with its place", (stated, sentence) => {
  expect(JSON.stringify(asked(stated)).replaceAll('\\"', '"')).toContain(sentence);
});

test("what they say is a part of a deal file, and comes back as it was", () => {
  const theirs = { payment: "445.16", balance: { after: 12 }, table: [{ number: 1, interest: "111.7708" }] };
  let id = 0;
  const read = parseDealDocument(JSON.stringify({ ...FILE, theirs }), () => `id${++id}`);
  if (!read.ok) throw new Error(read.sentence);
  expect(Object.values(read.value.document.asides?.options ?? {})).toEqual([{ theirs }]);
});

describe("departures in words", () => {
  const of = { currency: "USD", isLease: false };
  const SAID: [Departure, string][] = [
    [
      { kind: "lines", more: -29_900, lines: [{ name: "Documents", change: "leftOut" }] },
      "299.00 less financed: Documents left out",
    ],
    [
      {
        kind: "lines",
        more: 48_650,
        lines: [
          { name: "Documents", change: "financed" },
          { name: "Plates", change: "financed" },
        ],
      },
      "486.50 more financed: Documents and Plates financed, too",
    ],
    [{ kind: "amount", more: 12_345, amount: 1 }, "123.45 more financed, which no line explains"],
    [{ kind: "firstDays", how: "notCharged" }, "the odd days before the first period not charged"],
    [{ kind: "firstDays", how: "onFirstPayment" }, "the odd days paid for by the first payment alone"],
    [
      { kind: "interestFrom", date: 20_793, days: 5 },
      "interest from 6 December 2026, 5 days after the contract date",
    ],
    [
      { kind: "interestFrom", date: 20_787, days: -1 },
      "interest from 30 November 2026, 1 day before the contract date",
    ],
    [{ kind: "counting", count: "noLeapDay/365" }, "real days over 365, without 29 February"],
    [{ kind: "timing", timing: "advance" }, "the first payment when the money is lent"],
    [
      { kind: "compounding", compounding: "yearly" },
      "the rate taken for an effective one, interest added once a year",
    ],
    [{ kind: "rounding", rule: "nearest", step: 100 }, "the payment rounded to the nearest 1.00"],
    [{ kind: "rounding", rule: "down", step: 5 }, "the payment rounded down in steps of 0.05"],
    [
      { kind: "rounded", what: "factorPerThousand", decimals: 4 },
      "the payment from a factor for each 1,000 rounded to 4 decimals",
    ],
    [{ kind: "rowInterest", rule: "halfEven" }, "each row’s interest rounded half to even"],
    [{ kind: "lastPayment", how: "likeTheOthers" }, "the last payment like all others"],
    [{ kind: "rate", as: "itsApr" }, "the rate taken for the APR, with the charges in it"],
    [
      { kind: "slip", slip: "payments", from: 48, to: 4, isYears: true },
      "4 payments in place of 48, years taken for payments or the other way round",
    ],
    [
      { kind: "slip", slip: "taxBase", name: "County tax", what: "tradeIn", isTaken: false },
      "County tax without the trade-in taken off what is taxed",
    ],
    [
      { kind: "slip", slip: "taxBase", name: "County tax", what: "fees", isTaken: true },
      "County tax also on the fees",
    ],
    [
      { kind: "slip", slip: "digits", figure: "price", from: "1850000", to: "1580000" },
      "two digits of the price swapped: 15,800.00 in place of 18,500.00",
    ],
    [
      { kind: "slip", slip: "digits", figure: "yearlyRate", from: "7.25", to: "7.52" },
      "two digits of the rate swapped: 7.52 in place of 7.25",
    ],
  ];
  test.each(SAID)("%j", (departure, words) => {
    expect(departureWords(departure, of)).toBe(words);
  });

  test("of a lease", () => {
    const lease = { ...of, isLease: true };
    expect(departureWords({ kind: "timing", timing: "arrears" }, lease)).toBe("no payment at signing");
    expect(departureWords({ kind: "rowInterest", rule: "down" }, lease)).toBe("each row’s rent rounded down");
  });
});
