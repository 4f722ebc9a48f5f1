import { scheduleCsv } from "@/exchange/schedule-csv";
import { date, dealWith, quoteOf } from "../core/deals";

test("the table as CSV: CR LF, a heading, row 0, every payment, totals that agree", () => {
  const csv = scheduleCsv(quoteOf(dealWith({ price: 100_000 }, { payments: 3, signed: date("2026-11-24") })));
  expect(csv.split("\r\n")).toEqual([
    "Number,Date,Payment,Interest,Principal,Balance",
    "0,2026-11-24,0.00,0.00,0.00,1000.00",
    "1,2026-12-24,336.67,5.00,331.67,668.33",
    "2,2027-01-24,336.67,3.34,333.33,335.00",
    "3,2027-02-24,336.68,1.68,335.00,0.00",
    "Total,,1010.02,10.02,1000.00,0.00",
    "",
  ]);
});
