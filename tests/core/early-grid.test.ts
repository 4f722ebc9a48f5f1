// Extra money of two kinds against one another, place by place.
import { type EarlyGrid, type Extra, inPlaceOf, repaidEarly, walkEarlyGrid } from "@/core";
import { date, dealWith, quoteOf } from "./deals";

/** 38,425.00 at 6.49 % over 72 months. */
const campervan = quoteOf(dealWith({ price: 3_842_500 }, { yearlyRate: "6.49", payments: 72 }));

const places = (early: Extra, grid: EarlyGrid, quote = campervan) => [...walkEarlyGrid(quote, early, grid)];

test("row by row, each place what both moneys together make of the loan", () => {
  const grid = { each: [0, 5_426], once: [0, 400_000], after: 24 };
  const all = places({}, grid);
  expect(all.map(({ each, once }) => [each, once])).toEqual([
    [0, 0],
    [5_426, 0],
    [0, 400_000],
    [5_426, 400_000],
  ]);
  const saved = all.map(({ repaid }) => repaid.ok && repaid.value.interestSaved);
  expect(saved.slice(0, 3)).toEqual([0, 78_099, 108_625]);
  const both = repaidEarly(campervan, {
    each: { amount: 5_426 },
    once: [{ after: 24, amount: 400_000 }],
  });
  expect(all[3]?.repaid).toEqual(both);
});

test("a place stands in for what is tried of its kinds; all else that is tried comes besides", () => {
  const early: Extra = {
    each: { amount: 99_900, from: 25 },
    once: [
      { after: 24, amount: 700_000 },
      { after: 36, amount: 100_000 },
    ],
  };
  const [place] = places(early, { each: [5_000], once: [200_000], after: 24 });
  expect(place?.repaid).toEqual(
    repaidEarly(campervan, {
      each: { amount: 5_000, from: 25 },
      once: [
        { after: 36, amount: 100_000 },
        { after: 24, amount: 200_000 },
      ],
    }),
  );
});

test("money on the day of a payment is money after it", () => {
  const dated = quoteOf(
    dealWith(
      { price: 3_842_500 },
      { yearlyRate: "6.49", payments: 72, signed: date("2026-12-08"), firstPayment: date("2027-01-08") },
    ),
  );
  const early: Extra = { once: [{ date: date("2028-12-08"), amount: 700_000 }] };
  expect(inPlaceOf(dated, early, { after: 24 }, 0)).toEqual({ once: [] });
  expect(inPlaceOf(dated, early, { after: 23 }, 0)).toEqual(early);
});
