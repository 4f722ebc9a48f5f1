// Random loans whose workbook is made by formulas, and changes of their inputs by the names that the workbook gives them.
import fc from "fast-check";
import { dayNumber, isoDate } from "@/core";
import type { LoanFile } from "@/exchange/kinds/loan";

const money = (least: number, most: number) =>
  fc.integer({ min: least, max: most }).map(minor => (minor / 100).toFixed(2));
const maybe = <Value>(value: fc.Arbitrary<Value>) => fc.oneof(fc.constant(undefined), value);
const rate = fc.integer({ min: 0, max: 2400 }).map(hundredths => String(hundredths / 100));
const date = (from: number, to: number) => fc.integer({ min: from, max: to }).map(isoDate);
const FROM = dayNumber(2026, 1, 1);

const charge = fc
  .record({
    name: fc.constantFrom("Documents", "Title", "Cover"),
    amount: money(0, 200_000),
    percent: maybe(fc.integer({ min: 1, max: 300 }).map(n => String(n / 100))),
    taxable: fc.boolean(),
    financed: fc.boolean(),
    financeCharge: fc.boolean(),
    with: maybe(fc.constantFrom("firstPayment", "lastPayment", "eachPayment")),
  })
  .map(({ amount, percent, with: falls, ...rest }) => ({
    ...rest,
    ...(percent === undefined ? { amount } : { percentOf: "price", percent }),
    ...(falls !== undefined && {
      with: falls,
      taxable: false,
      financed: undefined,
      amount: "2.50",
      percent: undefined,
      percentOf: undefined,
    }),
  }));

const tax = fc.record({
  name: fc.constant("County tax"),
  rate: fc.integer({ min: 0, max: 1200 }).map(n => String(n / 100)),
  on: fc.subarray(["price", "fees", "extras"], { minLength: 1 }),
  tradeInCredit: fc.oneof(fc.boolean(), money(0, 500_000)),
  rounding: fc.constantFrom("nearest", "up", "down"),
  capOn: maybe(money(500_000, 3_000_000)),
  cap: maybe(money(10_000, 200_000)),
  financed: fc.boolean(),
});

const down = fc.oneof(
  fc.record({ amount: money(0, 500_000) }),
  fc.record({ percent: fc.integer({ min: 0, max: 3000 }).map(n => String(n / 100)) }),
  fc.record({
    percent: fc.integer({ min: 0, max: 3000 }).map(n => String(n / 100)),
    of: fc.constant("total"),
  }),
);

const structure = fc
  .record({
    isInPrice: fc.constantFrom(false, false, false, true),
    price: money(1_500_000, 6_000_000),
    taxes: maybe(fc.array(tax, { minLength: 1, maxLength: 2 })),
    fees: maybe(fc.array(charge, { minLength: 1, maxLength: 2 })),
    extras: maybe(fc.array(charge, { minLength: 1, maxLength: 2 })),
    rebates: maybe(
      fc.array(
        fc.record({ name: fc.constant("Maker"), amount: money(0, 100_000), beforeTax: fc.boolean() }),
        {
          minLength: 1,
          maxLength: 1,
        },
      ),
    ),
    tradeIn: maybe(fc.record({ allowance: money(0, 400_000), owed: money(0, 500_000) })),
    down,
  })
  // Taxes that are in the price have no rebate before them.
  .map(({ isInPrice, ...lines }) =>
    isInPrice && lines.taxes
      ? {
          ...lines,
          taxIncluded: true,
          ...(lines.rebates && { rebates: lines.rebates.map(rebate => ({ ...rebate, beforeTax: false })) }),
        }
      : lines,
  );

const plan = fc
  .record({
    kind: fc.constantFrom("loan", "loan", "loan", "equalPrincipal", "flatRate"),
    frequency: fc.constantFrom(
      "monthly",
      "monthly",
      "monthly",
      "weekly",
      "everyTwoWeeks",
      "everyTwoMonths",
      "quarterly",
      "halfYearly",
      "twiceAMonth",
      "yearly",
    ),
    yearlyRate: rate,
    payments: fc.integer({ min: 6, max: 120 }),
    rounding: fc.constantFrom("nearest", "nearest", "up", "down"),
    roundingStep: maybe(fc.constantFrom("0.05", "1.00", "5.00")),
    compounding: maybe(fc.constantFrom("daily", "monthly", "yearly", "continuous")),
    timing: maybe(fc.constantFrom("advance")),
    signed: maybe(date(FROM, FROM + 700)),
    odd: maybe(fc.integer({ min: 5, max: 80 })),
    balloon: maybe(money(100_000, 900_000)),
    interestOnly: maybe(fc.integer({ min: 1, max: 4 })),
    each: maybe(money(500, 20_000)),
    earning: fc.constantFrom("actuarial", "sumOfDigits"),
  })
  .map(({ odd, balloon, each, timing, earning, interestOnly, ...rest }) => {
    const isFlat = rest.kind === "flatRate";
    const isInAdvance = timing !== undefined && !isFlat;
    const hasOdd = odd !== undefined && rest.signed !== undefined && !isInAdvance && !isFlat;
    const hasBalloon = balloon !== undefined && !isFlat && !(isInAdvance && rest.kind === "equalPrincipal");
    return {
      ...rest,
      ...(isFlat && { compounding: undefined, earning }),
      ...(isInAdvance && { timing }),
      ...(hasOdd && { firstPayment: isoDate(dayOf(rest.signed ?? "") + odd) }),
      ...(hasBalloon && { balloon: { amount: balloon } }),
      ...(!isFlat && interestOnly !== undefined && { interestOnly }),
      ...(!isFlat && !hasBalloon && each !== undefined && { extra: { each } }),
    };
  });

const dayOf = (iso: string) => Math.round(Date.parse(iso) / 86_400_000);

/** Loans by formulas. */
export const loans = fc.record({ structure, plan }).map(
  ({ structure: lines, plan: terms }) =>
    JSON.parse(
      JSON.stringify({
        format: "kellux-deal",
        version: 1,
        currency: "USD",
        structure: lines,
        plan: terms,
        find: "payment",
      }),
    ) as LoanFile,
);

/** An input that is another one: in the file, and in the workbook by its name. */
export type Change<File = LoanFile> = { what: string; file: File; inputs: Record<string, string | number> };

const serial = (iso: string) => dayOf(iso) + 25_569;

/** A change of each input that a loan has. */
export function changesOf(file: LoanFile): Change[] {
  const { structure: lines, plan: terms } = file;
  const withPlan = (change: object): LoanFile => ({
    ...file,
    plan: { ...terms, ...change } as LoanFile["plan"],
  });
  const withLines = (change: object): LoanFile => ({
    ...file,
    structure: { ...lines, ...change } as LoanFile["structure"],
  });
  const price = (Number(lines.price) + 1234.56).toFixed(2);
  const payments = Number(terms.payments) + 7;
  const yearlyRate = String((Number(terms.yearlyRate) + 1.375).toFixed(3));
  const { down: cash } = lines;
  const changes: Change[] = [
    { what: "price", file: withLines({ price }), inputs: { Price: Number(price) } },
    { what: "number of payments", file: withPlan({ payments }), inputs: { Payments: payments } },
    { what: "fewer payments", file: withPlan({ payments: 6 }), inputs: { Payments: 6 } },
    { what: "rate", file: withPlan({ yearlyRate }), inputs: { Yearly_rate: Number(yearlyRate) } },
    {
      what: "rounding",
      file: withPlan({ rounding: terms.rounding === "up" ? "down" : "up", roundingStep: "2.00" }),
      inputs: { Rounding: terms.rounding === "up" ? "down" : "up", Rounding_step: 2 },
    },
    cash && "amount" in cash
      ? { what: "cash down", file: withLines({ down: { amount: "777.77" } }), inputs: { Cash_down: 777.77 } }
      : {
          what: "percent down",
          file: withLines({ down: { ...cash, percent: "7.77" } }),
          inputs: { Cash_down_percent: 7.77 },
        },
  ];
  const { balloon, firstPayment, signed } = terms;
  if (balloon)
    changes.push({
      what: "balloon",
      file: withPlan({ balloon: { amount: "1500.00" } }),
      inputs: { Balloon: 1500 },
    });
  else if (terms.extra?.each !== undefined)
    changes.push({
      what: "extra",
      file: withPlan({ extra: { each: "33.33" } }),
      inputs: { Extra_payment: 33.33 },
    });
  if (signed && firstPayment) {
    const later = isoDate(dayOf(firstPayment) + 9);
    changes.push({
      what: "first payment",
      file: withPlan({ firstPayment: later }),
      inputs: { First_payment: serial(later) },
    });
  }
  return changes;
}
