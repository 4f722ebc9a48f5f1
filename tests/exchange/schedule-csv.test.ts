import { scheduleCsv, spreadsheetCsv } from "@/exchange/answers/schedule-csv";
import { notationOf } from "@/exchange/notation";
import { date, dealWith, quoteOf } from "../core/deals";
import { COUNTY, leaseQuote, van } from "../core/van-lease";

test("the table as CSV: CR LF, a heading, row 0, every payment, totals that agree", () => {
  const csv = scheduleCsv(quoteOf(dealWith({ price: 100_000 }, { payments: 3, signed: date("2026-11-24") })));
  expect(csv.split("\r\n")).toEqual([
    "Number,Date,Payment,Interest,Principal,Balance,Kind",
    "0,2026-11-24,0.00,0.00,0.00,1000.00,start",
    "1,2026-12-24,336.67,5.00,331.67,668.33,payment",
    "2,2027-01-24,336.67,3.34,333.33,335.00,payment",
    "3,2027-02-24,336.68,1.68,335.00,0.00,payment",
    "Total,,1010.02,10.02,1000.00,0.00,",
    "",
  ]);
});

test("extras and a balloon have lines of their own, and the totals still agree", () => {
  const quote = quoteOf(
    dealWith(
      { price: 100_000 },
      {
        payments: 3,
        signed: date("2026-11-24"),
        balloon: { amount: 40_000 },
        extra: { once: [{ amount: 10_000, date: date("2026-12-10") }] },
        prepaidCharge: 500,
      },
    ),
  );
  const lines = scheduleCsv(quote).split("\r\n");
  expect(lines.map(line => line.split(",")[6])).toEqual([
    "Kind",
    "start",
    "extra",
    "payment",
    "payment",
    "payment",
    "balloon",
    "",
    undefined,
  ]);
  const sum = (column: number) =>
    lines.slice(2, -2).reduce((total, line) => total + Math.round(Number(line.split(",")[column]) * 100), 0);
  const totals = (lines.at(-2) ?? "").split(",").map(Number);
  expect([2, 3, 4].map(sum)).toEqual([2, 3, 4].map(column => Math.round((totals[column] ?? 0) * 100)));
});

test("for a spreadsheet the table has the place's dates and decimal signs, and says that it is UTF-8", () => {
  const quote = quoteOf(dealWith({ price: 100_000 }, { payments: 3, signed: date("2026-11-24") }));
  expect(spreadsheetCsv(quote, notationOf("de-DE")).split("\r\n").slice(0, 3)).toEqual([
    "\uFEFFNumber;Date;Payment;Interest;Principal;Balance;Kind",
    "0;24.11.2026;0,00;0,00;0,00;1000,00;start",
    "1;24.12.2026;336,67;5,00;331,67;668,33;payment",
  ]);
  expect(spreadsheetCsv(quote, notationOf("en-US")).split("\r\n")[2]).toBe(
    "1,12/24/2026,336.67,5.00,331.67,668.33,payment",
  );
});

test("a lease has rent, depreciation and tax, and closes at the residual", () => {
  const plan = { payments: 3, inAdvance: 1, signed: "2026-11-24", taxes: [COUNTY] };
  const account = { name: "Account fee", amount: "4.50", with: "eachPayment" };
  const quote = leaseQuote(van(plan, { structure: { price: "20000.00", fees: [account] } }));
  expect(scheduleCsv(quote).split("\r\n")).toEqual([
    "Number,Date,Payment,Rent,Depreciation,Tax,Balance,Kind,Charges",
    "0,2026-11-24,0.00,0.00,0.00,0.00,20000.00,start,0.00",
    // 1,760.00 ÷ 3 + 38,240.00 × 0.00225 = 672.71; with the rent of 0.45910 % a month.
    "1,2026-11-24,714.75,0.00,672.71,42.04,19327.29,at signing,4.50",
    "2,2026-12-24,714.75,88.73,583.98,42.04,18743.31,payment,4.50",
    "3,2027-01-24,714.75,86.05,586.66,42.04,18156.65,payment,4.50",
    "3,2027-02-24,0.00,83.35,-83.35,0.00,18240.00,residual due,0.00",
    "Total,,2144.25,258.13,1760.00,126.12,18240.00,,13.50",
    "",
  ]);
  expect(spreadsheetCsv(quote, notationOf("de-DE")).split("\r\n")[2]).toBe(
    "1;24.11.2026;714,75;0,00;672,71;42,04;19327,29;at signing;4,50",
  );
});
