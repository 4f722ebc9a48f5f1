// Random leases whose workbook is made by formulas, and changes of their inputs by the names that the workbook gives them.
import fc from "fast-check";
import { dayNumber, isoDate } from "@/core";
import type { LeaseFile } from "@/exchange/kinds/lease";
import type { Change } from "./random-loans";

const money = (least: number, most: number) =>
  fc.integer({ min: least, max: most }).map(minor => (minor / 100).toFixed(2));
const maybe = <Value>(value: fc.Arbitrary<Value>) => fc.oneof(fc.constant(undefined), value);

const ofPercent = fc.record({
  percentOf: fc.constant("price"),
  percent: fc.integer({ min: 1, max: 300 }).map(n => String(n / 100)),
});

const charge = fc.oneof(
  fc
    .record({
      name: fc.constantFrom("Documents", "Title"),
      sum: fc.oneof(
        money(0, 60_000).map(amount => ({ amount })),
        ofPercent,
      ),
      taxable: fc.boolean(),
      financed: fc.boolean(),
    })
    .map(({ sum, ...rest }) => ({ ...rest, ...sum })),
  fc.record({
    name: fc.constantFrom("Account", "Collection"),
    amount: money(0, 2_000),
    with: fc.constantFrom("firstPayment", "lastPayment", "eachPayment"),
  }),
);

const tax = fc.record({
  name: fc.constantFrom("County tax", "Harbour levy"),
  rate: fc.integer({ min: 0, max: 1200 }).map(n => String(n / 100)),
  on: fc.subarray(["payment", "price", "reduction", "fees", "extras", "purchase"], {
    minLength: 1,
    maxLength: 3,
  }),
  tradeInCredit: maybe(fc.oneof(fc.boolean(), money(0, 300_000))),
  rebateCredit: maybe(fc.boolean()),
  rounding: maybe(fc.constantFrom("nearest", "up", "down")),
  cap: maybe(money(5_000, 200_000)),
  financed: maybe(fc.boolean()),
});

/** Leases by formulas. */
export const leases = fc
  .record({
    price: money(2_500_000, 6_000_000),
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
    deposit: maybe(money(0, 50_000)),
    down: fc.oneof(
      fc.record({ amount: money(0, 400_000) }),
      fc.record({
        percent: fc.integer({ min: 0, max: 1500 }).map(n => String(n / 100)),
        of: maybe(fc.constant("total")),
      }),
    ),
    reckoning: fc.constantFrom("moneyFactor", "levelYield"),
    factor: fc.integer({ min: 1_000, max: 450_000 }),
    rate: fc.integer({ min: 50, max: 1_200 }),
    payments: fc.integer({ min: 12, max: 60 }),
    frequency: fc.constantFrom("monthly", "monthly", "quarterly", "everyTwoWeeks", "twiceAMonth"),
    rounding: fc.constantFrom("nearest", "nearest", "up", "down"),
    roundingStep: maybe(fc.constantFrom("0.05", "1.00")),
    inAdvance: fc.oneof(
      { weight: 3, arbitrary: fc.integer({ min: 0, max: 3 }) },
      { weight: 1, arbitrary: fc.constant("all") },
    ),
    signed: maybe(fc.integer({ min: 0, max: 700 }).map(days => isoDate(dayNumber(2026, 1, 1) + days))),
    residual: fc.oneof(
      money(800_000, 1_800_000).map(amount => ({ amount })),
      fc.record({
        percent: fc.integer({ min: 3000, max: 5500 }).map(n => String(n / 100)),
        of: fc.constantFrom("price", "listPrice"),
      }),
    ),
    residualDue: fc.constantFrom("lastPayment", "onePeriodAfter", "end"),
    acquisitionFee: maybe(
      fc.record({ amount: money(0, 90_000), financed: fc.boolean(), taxable: fc.boolean() }),
    ),
    securityDeposit: maybe(
      fc.oneof(
        money(0, 90_000).map(amount => ({ amount })),
        fc.constant({ roundedUpTo: "50" }),
      ),
    ),
    taxes: fc.array(tax, { maxLength: 2 }),
    dispositionFee: maybe(money(0, 50_000)),
  })
  .map(
    ({
      price,
      fees,
      extras,
      rebates,
      tradeIn,
      deposit,
      down,
      factor,
      rate,
      reckoning,
      inAdvance,
      ...terms
    }) =>
      JSON.parse(
        JSON.stringify({
          format: "kellux-deal",
          version: 1,
          currency: "USD",
          structure: {
            price,
            listPrice: (Number(price) * 1.05).toFixed(2),
            fees,
            extras,
            rebates,
            tradeIn,
            deposit,
            down,
          },
          plan: {
            kind: "lease",
            reckoning,
            ...(reckoning === "moneyFactor"
              ? { moneyFactor: (factor / 1e8).toFixed(8) }
              : { yearlyRate: String(rate / 100) }),
            ...terms,
            inAdvance: inAdvance === "all" ? terms.payments : inAdvance,
          },
          find: "payment",
        }),
      ) as LeaseFile,
  );

/** A change of each input that a lease has. */
export function changesOfLease(file: LeaseFile): Change<LeaseFile>[] {
  const { structure: lines, plan } = file;
  const withPlan = (change: object): LeaseFile => ({
    ...file,
    plan: { ...plan, ...change } as LeaseFile["plan"],
  });
  const withLines = (change: object): LeaseFile => ({
    ...file,
    structure: { ...lines, ...change } as LeaseFile["structure"],
  });
  const price = (Number(lines.price) + 1234.56).toFixed(2);
  const payments = Number(plan.payments) + 5;
  const isAtOnce = plan.inAdvance === plan.payments;
  const { down: cash } = lines;
  const { residual } = plan;
  return [
    { what: "price", file: withLines({ price }), inputs: { Price: Number(price) } },
    {
      what: "number of payments",
      file: withPlan({ payments, ...(isAtOnce && { inAdvance: payments }) }),
      inputs: { Payments: payments },
    },
    plan.reckoning === "moneyFactor"
      ? {
          what: "money factor",
          file: withPlan({ moneyFactor: "0.00211" }),
          inputs: { Money_factor: 0.00211 },
        }
      : { what: "rate", file: withPlan({ yearlyRate: "7.125" }), inputs: { Yearly_rate: 7.125 } },
    {
      what: "rounding",
      file: withPlan({ rounding: "up", roundingStep: "5.00" }),
      inputs: { Rounding: "up", Rounding_step: 5 },
    },
    cash && "amount" in cash
      ? { what: "cash down", file: withLines({ down: { amount: "777.77" } }), inputs: { Cash_down: 777.77 } }
      : {
          what: "percent down",
          file: withLines({ down: { ...cash, percent: "7.77" } }),
          inputs: { Cash_down_percent: 7.77 },
        },
    residual && "amount" in residual
      ? { what: "residual", file: withPlan({ residual: { amount: "9999.00" } }), inputs: { Residual: 9999 } }
      : {
          what: "residual",
          file: withPlan({ residual: { ...residual, percent: "41.25" } }),
          inputs: { Residual_percent: 41.25 },
        },
  ];
}
