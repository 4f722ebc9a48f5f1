import { type EarnedFigures, earnedFigures, earnedSums, spreadSide } from "@/exchange/income";
import { earnedCsv } from "@/exchange/income/earned-csv";
import type { LoanFile } from "@/exchange/kinds/loan";
import { notationOf } from "@/exchange/notation";

const NOTHING: EarnedFigures = {
  currency: "USD",
  ...{ front: null, back: null, reserve: null, officerShare: null, spread: null },
  ...{ extras: [], reason: null, approval: null, chargedBack: [] },
};

test("deals are summed by currency; an average counts those of which the figure is known", () => {
  const sums = earnedSums([
    { ...NOTHING, front: 100_01, back: 50_00, reserve: 40_00, officerShare: 6_00, extras: ["Gap cover"] },
    { ...NOTHING, front: 200_00, back: -10_00, reserve: 0, officerShare: 0, extras: ["Awning", "Gap cover"] },
    { ...NOTHING, back: 0 },
    { ...NOTHING, currency: "EUR", front: 70_00, back: 5_00, reserve: 5_00 },
  ]);
  expect(sums).toEqual([
    {
      ...{ currency: "EUR", deals: 1, front: 70_00, back: 5_00, averageFront: 70_00, averageBack: 5_00 },
      ...{ officerShare: 0, withReserve: 1, extras: [] },
    },
    {
      ...{ currency: "USD", deals: 3, front: 300_01, back: 40_00, averageFront: 150_01, averageBack: 13_33 },
      ...{ officerShare: 6_00, withReserve: 1 / 3 },
      extras: [
        { name: "Gap cover", share: 2 / 3 },
        { name: "Awning", share: 1 / 3 },
      ],
    },
  ]);
  expect(earnedSums([])).toEqual([]);
});

test("a spread is above what every customer is offered, below it, or the same", () => {
  expect([spreadSide(1.5, "1.25"), spreadSide(0.8, 1.25), spreadSide(1.25, "1.250")]).toEqual([
    "above",
    "below",
    null,
  ]);
  expect([spreadSide(null, "1.25"), spreadSide(1, undefined)]).toEqual([null, null]);
});

const INPUTS = {
  ...{ format: "kellux-deal", version: 1, currency: "USD", find: "payment" },
  structure: { price: "38425.00", extras: [{ name: "Gap cover", amount: "0" }] },
  plan: { kind: "loan", frequency: "monthly", yearlyRate: "6.49", payments: 72 },
} as LoanFile;

test("what is kept of a deal: what it earns, its spread, and the lender that has still to pay", () => {
  const known = {
    cost: "36100.00",
    extraCosts: {},
    buyRate: "5.25",
    reserve: { method: "presentValue" as const },
    spreadReason: { words: "Longer advice" },
    chargedBack: [{ on: "2026-12-01", amount: "12.50" }],
    lenderAnswers: [
      { lender: "Bramblewick Credit", state: "declined" as const },
      {
        lender: "Quillon Mutual",
        state: "approved" as const,
        amount: "38425.00",
        stipulations: [{ name: "Insurance" }],
      },
      { lender: "Saltmarsh Savings", state: "sent" as const },
    ],
  };
  const { extraCosts: _, ...side } = known;
  expect(earnedFigures(INPUTS, side, "US")).toEqual({
    ...{ currency: "USD", front: 2325_00, back: 1383_44, reserve: 1383_44, officerShare: null, spread: 1.24 },
    ...{ extras: ["Gap cover"], reason: "Longer advice", chargedBack: [{ on: "2026-12-01", amount: 12_50 }] },
    approval: { lender: "Quillon Mutual", amount: 38425_00, open: ["Insurance"], isFunded: false },
  });
  const funded = [...known.lenderAnswers, { lender: "Late Lender", state: "funded" as const }];
  expect(earnedFigures(INPUTS, { ...side, lenderAnswers: funded }, "US").approval).toEqual({
    ...{ lender: "Late Lender", amount: null, open: [], isFunded: true },
  });
});

test("a deal without an answer earns nothing that is known", () => {
  const { yearlyRate: _, ...plan } = INPUTS.plan;
  const figures = earnedFigures({ ...INPUTS, plan } as LoanFile, { cost: "1.00" }, undefined);
  expect(figures).toMatchObject({ front: null, back: null, spread: null, extras: ["Gap cover"] });
});

test("the table leaves as CSV, plain or as a spreadsheet of the place reads it", () => {
  const line = {
    ...{ customer: "=Vale, Hesper", vehicle: "Van", signedOn: "2026-11-24", currency: "EUR" },
    ...{ front: 5549_00, back: -12_50, reserve: null, officerShare: 0, spread: 1.24, reason: null },
  };
  const [heading = "", plain] = earnedCsv([line]).split("\r\n");
  expect(heading).toMatch(/^Signed on,Customer,Vehicle,Currency,Front gross,Back gross,Reserve,/);
  expect(plain).toBe(`2026-11-24,"'=Vale, Hesper",Van,EUR,5549.00,-12.50,,0.00,1.24,`);
  expect(earnedCsv([line], notationOf("de-DE"))).toContain(";5549,00;-12,50;;0,00;1,24;");
});
