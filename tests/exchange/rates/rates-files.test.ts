import { DEMO_RATES } from "#demo/rates";
import { parseIsoDate } from "@/core";
import type { ProgramFile } from "@/exchange/dealer/program.schema";
import { type Locale, notationOf } from "@/exchange/notation";
import type { Lender } from "@/exchange/rates/rates.schema";
import { ratesChanges, withLenders } from "@/exchange/rates/rates-changes";
import { ratesCsv } from "@/exchange/rates/rates-csv";
import { readRatesJson } from "@/exchange/rates/read-rates";
import { readRatesCsv } from "@/exchange/rates/read-rates-csv";

const TODAY = parseIsoDate("2026-11-24") ?? 0;
const plain = (value: unknown) => JSON.parse(JSON.stringify(value));
const jsonOf = (lenders: readonly Lender[]) =>
  JSON.stringify({ format: "kellux-rates", version: 1, lenders }, null, 1);
const readCsv = (text: string, locale: Locale = "en-US") =>
  readRatesCsv(text, { notation: notationOf(locale), today: TODAY });

const told = (read: ReturnType<typeof readRatesJson>): string =>
  read.ok ? "It was read." : read.sentences.join("\n");

/** A program that says all that one can. */
const WHOLE: ProgramFile = {
  name: "All; of it",
  kind: "loan",
  currency: "USD",
  valid: { from: "2026-11-01", to: "2027-01-31" },
  condition: "demonstrator",
  vehicle: { mostYears: 6, mostYearsAtEnd: 10, mostDistance: 120_000, unit: "km" },
  amount: { least: "5000.00", most: "90000.00" },
  mostLoanTo: [
    { percent: "115", of: "invoice", what: "all" },
    { percent: "100.5", of: "bookValue", what: "vehicle" },
  ],
  leastDown: "10",
  mostExtras: { percent: "20", of: "price" },
  mostPaymentToIncome: "15",
  mostDebtToIncome: "45.5",
  firstPaymentWithin: 45,
  rates: [
    { from: 24, to: 60, score: { least: 720 }, buyRate: "5.25", mostSpread: "2.00" },
    { from: 61, to: 84, score: { least: 660, most: 719 }, buyRate: "6.85" },
  ],
  adjust: [
    { when: { loanTo: { above: "110", of: "invoice", what: "all" } }, add: "0.50" },
    { when: { distance: { above: 80_000 } }, add: "0.75" },
  ],
  mostRate: "17.99",
  rateStep: "0.01",
  balloon: [
    { to: 48, most: "35", of: "listPrice" },
    { from: 49, to: 60, most: "20.25", of: "price" },
  ],
  notWith: ["Maker’s rebate", "A; B\\C"],
  fee: { amount: "395.00", paidBy: "customer", financeCharge: true },
  reserve: {
    method: "presentValue",
    share: "90",
    most: "2500.00",
    chargeback: { until: 6, untilDays: 180, then: "byTime" },
  },
};

const ALL: Lender[] = [...DEMO_RATES, { name: "Tern & Sons, Ltd", programs: [WHOLE] }];

test("rates come back from JSON as they were", () => {
  expect(readRatesJson(jsonOf(ALL))).toEqual({ ok: true, lenders: plain(ALL) });
});

test.each<Locale>(["en-US", "de-DE", "fr-CA", "ja-JP", "en-IN"])(
  "rates come back from a spreadsheet of %s as they were, and from plain CSV",
  locale => {
    for (const csv of [ratesCsv(ALL), ratesCsv(ALL, notationOf(locale))]) {
      const read = readCsv(csv, locale);
      expect(told(read)).toBe("It was read.");
      expect(read).toEqual({ ok: true, lenders: plain(ALL) });
    }
  },
);

const program = (change: object = {}): ProgramFile => ({
  name: "New",
  kind: "loan",
  currency: "USD",
  rates: [{ from: 24, to: 60, buyRate: "5.25" }],
  ...change,
});
/** Where a text stands in a file. */
function place(text: string, of: string): string {
  const lines = text.slice(0, text.indexOf(of)).split("\n");
  return `Line ${lines.length}, column ${(lines.at(-1)?.length ?? 0) + 1}: `;
}
const offered = (...programs: ProgramFile[]) => jsonOf([{ name: "Quillon Mutual", programs }]);

test.each<[what: string, text: string, sentence: RegExp]>([
  ["no JSON", offered(program()).slice(0, 90), /^Line \d+, column \d+: This is not JSON\.$/],
  [
    "rows that overlap",
    offered(
      program({
        rates: [
          { from: 24, to: 60, score: { least: 700 }, buyRate: "5" },
          { from: 60, to: 84, score: { least: 650, most: 720 }, buyRate: "6" },
        ],
      }),
    ),
    /^Line \d+, column \d+: Quillon Mutual, New: rows 1 and 2 of its rates overlap: both hold for 60 months and a score of 700\./,
  ],
  [
    "rows of one term beside each other by score",
    offered(
      program({
        rates: [
          { from: 24, to: 60, score: { least: 700 }, buyRate: "5" },
          { from: 24, to: 60, score: { most: 699 }, buyRate: "6" },
        ],
      }),
    ),
    /^It was read\.$/,
  ],
  [
    "a row that ends before it begins",
    offered(program({ rates: [{ from: 60, to: 24, buyRate: "5" }] })),
    /from 60 to 24 months; the first is above the last/,
  ],
  [
    "a program that ends before it begins",
    offered(program({ valid: { from: "2026-12-01", to: "2026-11-01" } })),
    /ends on 2026-11-01, before it begins on 2026-12-01/,
  ],
  ["a day that is none", offered(program({ valid: { to: "2026-02-30" } })), /2026-02-30 is not a date/],
  ["a currency that is none", offered(program({ currency: "QQQ" })), /QQQ is not a currency of ISO 4217/],
  [
    "more decimals than the currency has",
    offered(program({ currency: "JPY", amount: { least: "5000.50" } })),
    /5000\.50 is not an amount with at most 0 decimals/,
  ],
  [
    "two programs of one name",
    offered(program(), program({ name: "N EW" })),
    /of that name is there already/,
  ],
  [
    "a lease with rates of two kinds",
    offered(
      program({
        kind: "lease",
        rates: [
          { from: 24, to: 36, moneyFactor: "0.002" },
          { from: 37, to: 48, buyRate: "5" },
        ],
      }),
    ),
    /each row of a lease has a moneyFactor or a buyRate/,
  ],
  [
    "residuals that overlap",
    offered(
      program({
        kind: "lease",
        rates: [{ from: 24, to: 36, moneyFactor: "0.002" }],
        residuals: [
          { from: 24, to: 36, distance: 12_000, percent: "55" },
          { from: 36, to: 48, distance: 12_000, percent: "50" },
        ],
      }),
    ),
    /rows 1 and 2 of its residuals overlap: both hold for 36 months and a distance of 12000 a year/,
  ],
])("a file of rates with %s is told, at its line and column", (_, text, sentence) => {
  expect(told(readRatesJson(text))).toMatch(sentence);
});

test("the line and the column are those of what is wrong", () => {
  const rate = offered(program()).replace('"5.25"', '"x"');
  expect(told(readRatesJson(rate))).toBe(
    `${place(rate, '"x"')}lenders.0.programs.0.rates.0.buyRate is "x"; it must be a rate from 0 to 1000, such as "5.25".`,
  );
  const unknown = offered(program({ speed: 77 }));
  expect(told(readRatesJson(unknown))).toBe(
    `${place(unknown, "77")}lenders.0.programs.0.speed is not known.`,
  );
});

test.each<[what: string, change: (csv: string) => string, sentence: RegExp]>([
  [
    "a rate that is none",
    csv => csv.replace("5.25", "abc"),
    /^Line 2, column 5 \(“buy rate”\): “abc” is not a figure of 0 or more\.$/,
  ],
  [
    "rows that do not agree",
    csv => csv.replace(/17\.99/, "18.99"),
    /^Line 3, column \d+ \(“most rate”\): it is “17\.99” here and “18\.99” in line 2; the rows of a program must agree\./,
  ],
  [
    "rows that overlap",
    csv => csv.replace(",61,84,", ",55,84,").replace(",719,", ",,"),
    /^Line 3, column 5 \(“buy rate”\): Tern & Sons, Ltd, All; of it: rows 1 and 2 of its rates overlap/,
  ],
  [
    "a column that is not known",
    csv => csv.replace("most years,", "colour,"),
    /“colour” is no column of rates/,
  ],
  [
    "a kind that is none",
    csv => csv.replaceAll(",loan,", ",boat,"),
    /^Line 2, column \d+ \(“kind”\): “boat” is not one of loan, balloon, flatRate, lease\.$/m,
  ],
  [
    "no lender",
    csv => csv.replace('"Tern & Sons, Ltd"', ""),
    /^Line 2, column 1 \(“lender”\): it names no lender\.$/,
  ],
  ["nothing in it", csv => csv.slice(0, csv.indexOf("\r\n")), /^The file has no program in it\.$/],
])("a table of rates with %s is told, at its line and column", (_, change, sentence) => {
  const csv = ratesCsv([{ name: "Tern & Sons, Ltd", programs: [WHOLE] }]);
  expect(told(readCsv(change(csv)))).toMatch(sentence);
});

test("a file is looked at before it is taken in: what is new, changed and gone of its lenders", () => {
  const [first, ...others] = DEMO_RATES as [Lender, ...Lender[]];
  const [kept, changed, ...gone] = first.programs as [ProgramFile, ProgramFile, ...ProgramFile[]];
  const arriving: Lender[] = [
    {
      name: "QUILLON  mutual",
      programs: [kept, { ...changed, mostPaymentToIncome: "16", valid: { to: "2027-03-31" } }, program()],
    },
  ];
  expect(ratesChanges(DEMO_RATES, arriving)).toEqual({
    added: [{ lender: "QUILLON  mutual", program: "New" }],
    changed: [
      {
        lender: "QUILLON  mutual",
        program: changed.name,
        what: ["valid: 1 Nov 2026 to 31 Jan 2027 → to 31 Mar 2027", "most payment to income: 15 % → 16 %"],
      },
    ],
    gone: gone.map(({ name }) => ({ lender: "QUILLON  mutual", program: name })),
    same: 1,
  });
  expect(withLenders(DEMO_RATES, arriving).map(({ name }) => name)).toEqual([
    "QUILLON  mutual",
    ...others.map(({ name }) => name),
  ]);
});
