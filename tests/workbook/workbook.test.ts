// A workbook stays right to the cent when its inputs are changed, as a spreadsheet program reckons it.
import fc from "fast-check";
import { strFromU8, unzipSync } from "fflate";
import readSheets from "read-excel-file/node";
import { costOfCredit, evaluate, type LeaseQuote, type LoanQuote, type Quote } from "@/core";
import { type LeaseFile, readLease } from "@/exchange/kinds/lease";
import { type LoanFile, readLoan } from "@/exchange/kinds/loan";
import { notationOf } from "@/exchange/notation";
import { whyLeaseKept } from "@/exchange/workbook/lease/live-lease";
import { whyKept } from "@/exchange/workbook/loan/live-plan";
import { makeWorkbook } from "@/exchange/workbook/make-workbook";
import { serialOf } from "@/exchange/workbook-parts/workbook";
import { writeXlsx } from "@/server/workbook/write-xlsx";
import { date } from "../core/deals";
import { leaseQuote, van } from "../core/van-lease";
import { hasOffice, type Reckoned, reckoned, withInputs } from "./office";
import { changesOfLease, leases } from "./random-leases";
import { type Change, changesOf, loans } from "./random-loans";

/** So many loans, and a third of them leases; KELLUX_WORKBOOKS=1500 has as many more. */
const COUNT = Number(process.env.KELLUX_WORKBOOKS ?? 3);
const LEASES = Math.ceil(COUNT / 3);
const SEED = Number(process.env.KELLUX_SEED ?? 1206);

function quoteOf(file: LoanFile): LoanQuote | undefined {
  const deal = readLoan(file);
  const quote = deal.ok ? evaluate(deal.value) : deal;
  return quote.ok ? quote.value : undefined;
}

const bookOf = (quote: Quote) =>
  makeWorkbook([{ name: "", quote }], {
    house: "Tarn & Hollow",
    customer: "Priya Nair",
    vehicle: "Larkmoor 240 campervan",
    day: date("2026-11-30"),
    notation: notationOf("en-US"),
  });

const cents = (value: unknown) => (typeof value === "number" ? Math.round(value * 100) : value);

/** The figures and rows of a workbook that are not those of a quote. */
function differences({ sheets, named }: Reckoned, quote: LoanQuote): string[] {
  const cost = costOfCredit(quote);
  const figures: [string, unknown, unknown][] = [
    ["loan amount", named("Loan_amount_minor"), quote.loanAmount],
    ["payment", named("Payment_minor"), quote.payment],
    ["payments", named("Payments_made"), quote.payments],
    ["last payment", named("Last_payment_minor"), quote.finalPayment],
    ["interest", named("Interest_minor"), quote.totalInterest],
    ["finance charge", named("Finance_charge_minor"), quote.financeCharge],
    ["amount financed", named("Amount_financed_minor"), quote.amountFinanced],
    ["total of payments", named("Total_of_payments_minor"), quote.totalOfPayments],
    ["total cost", named("Total_cost_minor"), quote.totalCost],
    ["due at signing", named("Due_at_signing_minor"), quote.dueAtSigning.total],
    ...(cost.ok
      ? [["APR", fourDecimals(named("APR")), fourDecimals(cost.value.apr)] as [string, unknown, unknown]]
      : []),
  ];
  const seen = (sheets.Table ?? [])
    .slice(4)
    .filter(row => typeof row[3] === "number")
    .map(row => JSON.stringify([row[0], serialIn(row[1]), ...row.slice(3, 7).map(cents)]));
  const made = quote.schedule.map(({ number, date: day, payment, interest, principal, balance }) =>
    JSON.stringify([number, day === null ? null : serialOf(day), payment, interest, principal, balance]),
  );
  return [...wrongFigures(figures), ...wrongRow(seen, made)];
}

const fourDecimals = (value: unknown) => Number(Number(value).toFixed(4));

const serialIn = (value: unknown) => (value instanceof Date ? serialOf(value.getTime() / 86_400_000) : null);

const wrongFigures = (figures: readonly [string, unknown, unknown][]) =>
  figures.flatMap(([name, is, should]) => (is === should ? [] : [`${name}: ${is}, not ${should}`]));

function wrongRow(seen: readonly string[], made: readonly string[]): string[] {
  const first = made.findIndex((row, index) => row !== seen[index]);
  return first >= 0 || seen.length !== made.length
    ? [`row ${first}: ${seen[first]}, not ${made[first]}; ${seen.length} rows of ${made.length}`]
    : [];
}

/** The same of a lease. */
function leaseDifferences({ sheets, named }: Reckoned, quote: LeaseQuote): string[] {
  const figures: [string, unknown, unknown][] = [
    ["cost", named("Loan_amount_minor"), quote.cost],
    ["payment", named("Payment_minor"), quote.payment],
    ["payments", named("Payments_made"), quote.schedule.filter(({ payment }) => payment > 0).length],
    ["due at signing", named("Due_at_signing_minor"), quote.dueAtSigning.total],
    ["rent charge", named("Rent_charge_minor"), quote.rentCharge],
    ["total of payments", named("Total_of_payments_minor"), quote.totalOfPayments],
    ["total if returned", named("Total_if_returned_minor"), quote.totalIfReturned],
  ];
  const seen = (sheets.Table ?? [])
    .slice(4)
    .filter(row => typeof row[3] === "number")
    .map(row => JSON.stringify([row[0], serialIn(row[1]), ...row.slice(3, 8).map(cents)]));
  const made = quote.schedule.map(({ number, date: day, payment, rent, depreciation, tax, balance }) =>
    JSON.stringify([number, day === null ? null : serialOf(day), payment, rent, depreciation, tax, balance]),
  );
  return [...wrongFigures(figures), ...wrongRow(seen, made)];
}

type Case<File, Answer> = { change: Change<File>; before: Answer; after: Answer };

/** What is drawn of a kind: files, their answers, changes of them, and what of a workbook is not as answered. */
type Drawn<File, Answer> = {
  files: fc.Arbitrary<File>;
  quoteOf: (file: File) => Answer | undefined;
  isLive: (quote: Answer) => boolean;
  changesOf: (file: File) => Change<File>[];
  differences: (book: Reckoned, quote: Answer) => string[];
};

/** Random deals by formulas, each with all changes that have an answer. */
function cases<File, Answer>(of: Drawn<File, Answer>, count: number): Case<File, Answer>[] {
  const drawn: Case<File, Answer>[] = [];
  let taken = 0;
  for (const file of fc.sample(of.files, { seed: SEED, numRuns: count * 8 })) {
    if (taken === count) break;
    const before = of.quoteOf(file);
    if (!before || !of.isLive(before)) continue;
    taken += 1;
    drawn.push({ change: { what: "nothing", file, inputs: {} }, before, after: before });
    for (const change of of.changesOf(file)) {
      const after = of.quoteOf(change.file);
      if (after) drawn.push({ change, before, after });
    }
  }
  return drawn;
}

/** What of the reckoned workbooks is wrong; that a change moves the answer is seen before it is compared. */
async function wrongOf<File, Answer extends Quote>(
  of: Drawn<File, Answer>,
  count: number,
): Promise<object[]> {
  const all = cases(of, count);
  const moved = all.filter(
    ({ change, before, after }) => change.what === "nothing" || isMoved(before, after),
  );
  expect(moved.length).toBeGreaterThan(count * 5);
  const written = new Map<Answer, Buffer>();
  const books: Uint8Array[] = [];
  for (const { before, change } of moved) {
    const bytes = written.get(before) ?? (await writeXlsx(bookOf(before)));
    written.set(before, bytes);
    books.push(withInputs(bytes, change.inputs));
  }
  return (await reckoned(books)).flatMap((book, index) => {
    const { change, after } = moved[index] as Case<File, Answer>;
    const found = of.differences(book, after);
    return found.length > 0 ? [{ what: change.what, found, file: JSON.stringify(change.file) }] : [];
  });
}

const isMoved = (before: Quote, after: Quote) =>
  JSON.stringify([before.schedule, before.payment]) !== JSON.stringify([after.schedule, after.payment]);

const office = hasOffice ? test : test.skip;

office(
  `${COUNT} random loans with every input changed: each figure and each row is Kellux's to the cent`,
  async () => {
    const wrong = await wrongOf<LoanFile, LoanQuote>(
      {
        files: loans,
        quoteOf,
        isLive: quote => quote.loanAmount > 0 && whyKept(quote).length === 0,
        changesOf,
        differences,
      },
      COUNT,
    );
    expect(wrong).toEqual([]);
  },
  1_500_000,
);

office(
  `${LEASES} random leases with every input changed: the same`,
  async () => {
    const wrong = await wrongOf<LeaseFile, LeaseQuote>(
      {
        files: leases,
        quoteOf: file => {
          const lease = readLease(file);
          const quote = lease.ok ? evaluate(lease.value) : lease;
          return quote.ok ? quote.value : undefined;
        },
        isLive: quote => whyLeaseKept(quote).length === 0,
        changesOf: changesOfLease,
        differences: leaseDifferences,
      },
      LEASES,
    );
    expect(wrong).toEqual([]);
  },
  1_500_000,
);

describe("a workbook, read by a library that did not write it", () => {
  const loan = (change: object = {}): LoanFile =>
    ({
      format: "kellux-deal",
      version: 1,
      currency: "USD",
      structure: { price: "41850.00", down: { amount: "3000.00" } },
      plan: {
        kind: "loan",
        frequency: "monthly",
        yearlyRate: "6.49",
        payments: 72,
        signed: "2026-12-08",
        firstPayment: "2027-01-08",
        ...change,
      },
      find: "payment",
    }) as LoanFile;
  const made = (file: LoanFile) => {
    const quote = quoteOf(file);
    if (!quote) throw new Error("There is no answer.");
    return quote;
  };
  const sheetsOf = async (bytes: Buffer) =>
    Object.fromEntries(
      ((await readSheets(bytes)) as unknown as { sheet: string; data: unknown[][] }[]).map(
        ({ sheet, data }) => [sheet, data],
      ),
    );

  test("has the figures and the table as they were made, before anything reckons it", async () => {
    const quote = made(loan());
    const sheets = await sheetsOf(await writeXlsx(bookOf(quote)));
    expect(Object.keys(sheets)).toEqual(["Deal", "Table", "What is what"]);
    const figure = (label: string) => sheets.Deal?.find(row => row[0] === label)?.[1];
    expect([figure("Price"), figure("Loan amount"), figure("Payment"), figure("Finance charge")]).toEqual([
      41850,
      38850,
      quote.payment / 100,
      quote.financeCharge / 100,
    ]);
    const rows = (sheets.Table ?? []).slice(4, 76);
    expect(rows.map(row => [row[0], cents(row[3]), cents(row[6])])).toEqual(
      quote.schedule.map(({ number, payment, balance }) => [number, payment, balance]),
    );
    expect(rows[0]?.[1]).toEqual(new Date("2027-01-08T00:00:00Z"));
  });

  test("has a name for every input, each once, and says where it stands", () => {
    const drawn = fc
      .sample(loans, { seed: SEED, numRuns: 12 })
      .flatMap(file => quoteOf(file) ?? [])
      .concat(made(loan()));
    expect(drawn.length).toBeGreaterThan(5);
    for (const quote of drawn) {
      const { sheets } = bookOf(quote);
      const inputs = sheets.flatMap(({ cells }) => cells.filter(({ style }) => style === "input"));
      const names = inputs.map(({ name }) => name);
      expect(names.every(Boolean)).toBe(true);
      expect(new Set(names).size).toBe(names.length);
      const told = sheets.at(-1)?.cells.map(({ value }) => value);
      expect(names.filter(name => !told?.includes(name))).toEqual([]);
    }
  });

  test("is the same bytes for one state and day", async () => {
    const book = bookOf(made(loan()));
    expect((await writeXlsx(book)).equals(await writeXlsx(book))).toBe(true);
  });

  test("what a spreadsheet would run is a text, whoever has typed it", async () => {
    const quote = made(loan());
    const book = makeWorkbook([{ name: "", quote }], {
      house: "-2+3",
      customer: "@SUM(A1)",
      vehicle: "=cmd|' /C calc'!A0",
      day: date("2026-11-30"),
      notation: notationOf("en-US"),
    });
    const bytes = await writeXlsx(book);
    const xml = Object.entries(unzipSync(bytes))
      .filter(([path]) => path.startsWith("xl/worksheets/"))
      .map(([, content]) => strFromU8(content))
      .join("");
    expect(xml).not.toContain("cmd|");
    expect((await sheetsOf(bytes)).Deal?.[0]?.[0]).toBe("’=cmd|' /C calc'!A0");
  });

  test("payments that no formula makes go in as values, and the sheet says which", async () => {
    const sheets = await sheetsOf(
      await writeXlsx(bookOf(made(loan({ steps: [{ from: 13, percent: "5" }] })))),
    );
    expect(JSON.stringify(bookOf(made(loan({ skippedMonths: [7] }))).sheets)).toContain("skipped months");
    expect(sheets.Table?.[16]?.[3]).toBe(
      (made(loan({ steps: [{ from: 13, percent: "5" }] })).schedule[12]?.payment ?? 0) / 100,
    );
  });

  test("several options have a sheet of comparison, a lease among them", async () => {
    const quote = made(loan());
    const book = makeWorkbook(
      [
        { name: "72 months", quote },
        { name: "Lease", quote: leaseQuote(van()) },
      ],
      { house: "", customer: "", vehicle: "", day: date("2026-11-30"), notation: notationOf("en-US") },
    );
    const sheets = await sheetsOf(await writeXlsx(book));
    expect(Object.keys(sheets)).toEqual([
      "Comparison",
      "Option 1",
      "Table 1",
      "Option 2",
      "Table 2",
      "What is what",
    ]);
    expect(sheets.Comparison?.[3]).toEqual(["Payment", quote.payment / 100, 735.48]);
  });
});

office(
  "values are gone, with a sentence, once an input is another one",
  async () => {
    const structure = {
      price: "30000.00",
      fees: [{ name: "Origination", percentOf: "loanAmount", percent: "1.5" }],
    };
    const quote = quoteOf({
      format: "kellux-deal",
      version: 1,
      currency: "USD",
      structure,
      plan: { kind: "loan", frequency: "monthly", yearlyRate: "6", payments: 12 },
      find: "payment",
    } as LoanFile);
    if (!quote) throw new Error("There is no answer.");
    const bytes = await writeXlsx(bookOf(quote));
    const [as, changed] = await reckoned([withInputs(bytes, {}), withInputs(bytes, { Price: 31000 })]);
    if (!as) throw new Error("Nothing was reckoned.");
    expect(differences(as, quote)).toEqual([]);
    expect(changed?.named("Solved") ?? "").toBe("");
    expect(JSON.stringify(changed?.sheets.Table)).toContain("The payments are values (Origination)");
    expect((changed?.sheets.Table ?? []).slice(4).every(row => !row[3])).toBe(true);
  },
  120_000,
);
