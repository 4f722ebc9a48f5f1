import { parseIsoDate } from "@/core";
import { notationOf } from "@/exchange/notation";
import { readStockCsv, stockCsv } from "@/exchange/stock/stock-csv";

const US = notationOf("en-US");
const DE = notationOf("de-DE");
const today = parseIsoDate("2026-11-24") ?? 0;
const [USD, EUR] = [
  { currency: "USD", today },
  { currency: "EUR", today },
];
const STOCK = [
  {
    description: "Larkmoor 240, stock 1187",
    priceMinor: 4_185_000,
    costMinor: 3_725_000,
    listPriceMinor: null,
    currency: "USD",
  },
  {
    description: '=Ostrel "U2" van',
    priceMinor: null,
    costMinor: null,
    listPriceMinor: 3_243_000,
    currency: "USD",
  },
];

test("stock comes back from its CSV as it was, plain and as a spreadsheet writes it", () => {
  expect(stockCsv(STOCK)).toBe(
    'description,asking price,cost,list price,currency\r\n"Larkmoor 240, stock 1187",41850.00,37250.00,,USD\r\n"\'=Ostrel ""U2"" van",,,32430.00,USD\r\n',
  );
  expect(stockCsv(STOCK, DE)).toContain("41850,00;37250,00;;USD");
  expect(readStockCsv(stockCsv(STOCK), EUR, DE)).toEqual({ ok: true, vehicles: STOCK });
  expect(readStockCsv(stockCsv(STOCK, DE), EUR, DE)).toEqual({ ok: true, vehicles: STOCK });
});

test("what vehicles cost has a column only where it is told; a file without one says nothing of it", () => {
  const told = STOCK.map(({ costMinor: _, ...vehicle }) => vehicle);
  expect(stockCsv(told)).toBe(
    'description,asking price,list price,currency\r\n"Larkmoor 240, stock 1187",41850.00,,USD\r\n"\'=Ostrel ""U2"" van",,32430.00,USD\r\n',
  );
  expect(readStockCsv(stockCsv(told), EUR, US)).toEqual({ ok: true, vehicles: told });
});

test("columns in any order, amounts as the place writes them, the house's currency where none is named", () => {
  expect(readStockCsv('Price;Vehicle\n"41.850,50";Van\n;Trailer\n', EUR, DE)).toEqual({
    ok: true,
    vehicles: [
      { description: "Van", priceMinor: 4_185_050, listPriceMinor: null, currency: "EUR" },
      { description: "Trailer", priceMinor: null, listPriceMinor: null, currency: "EUR" },
    ],
  });
});

test("each wrong line is named, and nothing is taken of such a file", () => {
  const text = "description,asking price,currency\nVan,abc,\n,5,\nBike,10,XXL\nTrailer,-5,\nFine,5,\n";
  expect(readStockCsv(text, USD, US)).toEqual({
    ok: false,
    sentences: [
      "Line 2: the asking price “abc” is not an amount of 0 or more.",
      "Line 3: it has no description.",
      "Line 4: “XXL” is not a currency of ISO 4217.",
      "Line 5: the asking price “-5” is not an amount of 0 or more.",
    ],
  });
  expect(readStockCsv("price\n5\n", USD, US)).toMatchObject({ ok: false });
  expect(readStockCsv("", USD, US)).toMatchObject({ ok: false });
});

test.each(["=1+1", "+1+1", "-1+1", "@sum", "＝1+1", "＋1", "－1+1", "＠a", " =1+1"])(
  "%s is no formula in a spreadsheet, and comes back as it was",
  description => {
    const [vehicle] = STOCK.map(each => ({ ...each, description: description.trim() }));
    const csv = stockCsv(vehicle ? [vehicle] : []);
    expect(csv.split("\r\n")[1]?.[0]).toBe("'");
    expect(readStockCsv(csv, USD, US)).toEqual({ ok: true, vehicles: [vehicle] });
  },
);

test.each(["a;=1+1", "a,=1+1", "a\t=1+1"])(
  "%j is one cell, whatever parts the columns where it is opened",
  description => {
    const [vehicle] = STOCK.map(each => ({ ...each, description }));
    for (const notation of [undefined, US, DE]) {
      const csv = stockCsv(vehicle ? [vehicle] : [], notation);
      expect(csv).toContain(`"${description}"`);
      expect(readStockCsv(csv, USD, DE)).toEqual({ ok: true, vehicles: [vehicle] });
    }
  },
);
