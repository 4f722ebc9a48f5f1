// What is tried, changed by what is typed, pressed or dragged.
import type { LoanFile } from "@/exchange/kinds/loan";
import { fieldBeside } from "@/features/deal/option";
import { withEach, withOnceOn } from "@/features/deal/repayment/early-changes";
import { gridAmounts } from "@/features/deal/repayment/grid-amounts";
import { sumsOf, type TableLines } from "@/features/deal/repayment/lines";
import { date, dealWith, quoteOf } from "../core/deals";
import { loanInputs } from "../loan-inputs";
import { openOption } from "./load-desk";

const dated = quoteOf(
  dealWith({}, { payments: 60, signed: date("2026-12-08"), firstPayment: date("2027-01-08") }),
);

test("an amount with each payment keeps from and to which one", () => {
  expect(withEach({}, "50.00")).toEqual({ each: "50.00" });
  expect(withEach({ each: { amount: "50.00", from: 25 } }, "75.00")).toEqual({
    each: { amount: "75.00", from: 25 },
  });
  expect(withEach({ each: "50.00", yearly: { amount: "1", month: 12 } }, undefined)).toEqual({
    yearly: { amount: "1", month: 12 },
  });
});

test("money on a day takes the place of what comes on that day, as a date or after its payment", () => {
  const once = [
    { date: "2028-12-08", amount: "1.00" },
    { after: 36, amount: "2.00" },
  ];
  const after = (number: number, amount?: string) => withOnceOn({ once }, dated, { after: number }, amount);
  expect(after(24, "9.00")).toEqual({ once: [once[1], { after: 24, amount: "9.00" }] });
  expect(after(36)).toEqual({ once: [once[0]] });
  expect(
    withOnceOn({ once: [{ after: 36, amount: "2.00" }] }, dated, { date: "2029-12-08" }, undefined),
  ).toEqual({});
});

test("a grid begins with none and round amounts that double", () => {
  const of = (payment: number, loanAmount: number, decimals = 2) =>
    gridAmounts({ payment, loanAmount, decimals });
  expect(of(64_574, 3_842_500)).toEqual({
    each: [0, 2_500, 5_000, 10_000, 20_000],
    once: [0, 100_000, 200_000, 400_000],
  });
  expect(of(0, 100)).toEqual({ each: [0, 100, 200, 400, 800], once: [0, 100, 200, 400] });
  expect(of(64_574, 3_842_500, 0).each[1]).toBe(2_500);
});

test("columns add up as each says: in all, as of the last line, or not", () => {
  const lines = {
    rows: [1, 2, 3].map(number => ({ number, date: null })),
    columns: [
      { name: "Payment", at: (place: number) => 10 * (place + 1), sum: "total" },
      { name: "Balance", at: (place: number) => 100 - place, sum: "last" },
      { name: "So far", at: () => 7, sum: "none" },
    ],
  } as unknown as TableLines;
  const sums = sumsOf(lines);
  expect(sums(0, 3)).toEqual([60, 98, null]);
  expect(sums(1, 2)).toEqual([20, 99, null]);
  expect(sums(2, 2)).toEqual([0, null, null]);
});

test("the desk says of which payments the plan's extra is", () => {
  const beside = (each: NonNullable<LoanFile["plan"]["extra"]>["each"]) => {
    const file = loanInputs({
      structure: { price: "30000.00" },
      plan: { kind: "loan", frequency: "monthly", yearlyRate: "6", payments: 60, extra: { each } },
      find: "payment",
    } as never);
    return fieldBeside(openOption(file), "extra");
  };
  expect(beside("50.00")).toBe("");
  expect(beside({ amount: "50.00", from: 25 })).toBe("from payment 25");
  expect(beside({ amount: "50.00", to: 24 })).toBe("payments 1 to 24");
});
