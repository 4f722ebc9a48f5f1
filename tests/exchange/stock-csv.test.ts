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

const KNOWN = {
  description: "Larkmoor Coast campervan",
  priceMinor: 2_430_000,
  costMinor: 2_163_000,
  invoiceMinor: null,
  listPriceMinor: null,
  currency: "USD",
  stockNumber: "0961",
  kind: "campervan" as const,
  condition: "used" as const,
  modelYear: 2021,
  distance: 41_200,
  distanceUnit: "mi" as const,
  identification: "KLX0000961",
  bookValueMinor: 2_284_000,
  bookGuide: "Marrow Bay price guide",
  bookDate: "2026-11-02",
};

test("all that is known of a vehicle goes out and comes in, its number first, plain and as a place writes it", () => {
  expect(stockCsv([KNOWN]).split("\r\n")).toEqual([
    "stock number,description,asking price,cost,invoice,list price,kind,condition,model year,distance,distance unit,identification,book value,book guide,book date,currency",
    "0961,Larkmoor Coast campervan,24300.00,21630.00,,,campervan,used,2021,41200,mi,KLX0000961,22840.00,Marrow Bay price guide,2026-11-02,USD",
    "",
  ]);
  for (const notation of [undefined, US, DE])
    expect(readStockCsv(stockCsv([KNOWN], notation), EUR, notation ?? US)).toEqual({
      ok: true,
      vehicles: [KNOWN],
    });
  // A spreadsheet would make 961 of it.
  expect(stockCsv([KNOWN], DE)).toContain("'0961");
  // Two of one description are two where their numbers say so, and the last line of one number counts.
  const two = readStockCsv("No.,Vehicle,Year\nA-1,Van,2020\nA-2,Van,\nA-2,Van,2022\n", USD, US);
  expect(two).toMatchObject({
    ok: true,
    vehicles: [
      { stockNumber: "A-1", modelYear: 2020 },
      { stockNumber: "A-2", modelYear: 2022 },
    ],
  });
  // What has no column is not told, and stays as it is kept.
  expect(two).not.toHaveProperty("vehicles.0.condition");
});

test("each fact that cannot be read is named", () => {
  const heads = "vehicle,kind,condition,year,distance,unit,book date,stock number";
  const line = (...cells: string[]) =>
    readStockCsv(
      `${heads}\nVan,${["", "", "", "", "", "", ""].map((_, k) => cells[k] ?? "").join()}\n`,
      USD,
      US,
    );
  const long = "x".repeat(41);
  expect([
    line("spaceship"),
    line("", "broken"),
    line("", "", "21"),
    line("", "", "", "-5"),
    line("", "", "", "5", "furlong"),
    line("", "", "", "", "", "soon"),
    line("", "", "", "", "", "", long),
  ]).toEqual(
    [
      "the kind “spaceship” is not one of car, van, campervan, truck, bus, motorcycle, bicycle, trailer, boat, machine, other.",
      "the condition “broken” is not one of new, used, demonstrator.",
      "the model year “21” is not a year from 1885 to 2199.",
      "the distance “-5” is not a whole number of 0 or more.",
      "the distance unit “furlong” is not one of km, mi.",
      "the book date “soon” is not a date.",
      `the stock number “${long}” is not a line of at most 40 letters.`,
    ].map(sentence => ({ ok: false, sentences: [`Line 2: ${sentence}`] })),
  );
});
