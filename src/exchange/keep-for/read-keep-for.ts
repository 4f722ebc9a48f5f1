import { type Result, success, type YearlyReturn } from "@/core";
import type { AfterEnd, KeepFor } from "@/core/horizon";
import type { ReturnFile } from "../extra-payments/return.schema";
import { fileReader, priceText } from "../reading";
import type { KeepForFile } from "./keep-for.schema";

/** What stands beside it in a deal: what money could earn, and what becomes of each option. */
type KeptBeside = {
  currency: string;
  return?: ReturnFile | undefined;
  after?: readonly (AfterEnd | undefined)[];
};

/**
 * Reads for how long a vehicle is kept, once it passed its schema.
 *
 * @returns minor units and texts as the core computes with them, or the first thing that cannot be
 */
export function readKeepFor(file: KeepForFile, beside: KeptBeside): Result<KeepFor> {
  const { months, distance, unit, cashRebate, cash = {}, value, todaysMoney = false } = file;
  const read = fileReader(beside.currency);
  const points = value.points
    .map(({ month, percent }) => ({ month, percent: String(percent) }))
    .sort((one, other) => one.month - other.month);
  const twice = points.find(({ month }, index) => points[index + 1]?.month === month);
  if (twice)
    read.refuse(
      "keepFor",
      `What it will be worth after ${twice.month} months is given twice; give each month once.`,
    );
  const amount = (name: string, typed: string | number | undefined) => read.amount("keepFor", name, typed);
  const yearlyReturn = returnOf(beside.return);
  if (todaysMoney && !yearlyReturn)
    read.refuse("return", "Today’s money needs what money kept earns a year; give the return.");
  const keepFor: KeepFor = {
    months,
    distance,
    unit,
    value: {
      points,
      listPrice: amount("list price", value.listPrice),
      normalDistance: value.normalDistance ?? 0,
      beyond:
        value.beyond === undefined || value.normalDistance === undefined ? "0" : priceText(value.beyond),
      realized: String(value.realized ?? 100),
    },
    cashRebate: cashRebate
      ? { amount: amount("rebate for cash", cashRebate.amount) ?? 0, from: cashRebate.from }
      : null,
    cash: {
      price: amount("price in cash", cash.price),
      charges: amount("fees and extras in cash", cash.charges),
      taxes: amount("taxes in cash", cash.taxes),
      rebates: amount("rebates in cash", cash.rebates),
    },
    after: beside.after ?? [],
    yearlyReturn,
    isTodaysMoney: todaysMoney,
  };
  const failure = read.failure();
  return failure ? { ok: false, failure } : success(keepFor);
}

const returnOf = (file: ReturnFile | undefined): YearlyReturn | null =>
  file ? { rate: String(file.rate), tax: String(file.tax ?? "0") } : null;
