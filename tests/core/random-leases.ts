// Random leases of every kind, as deal files.
import fc from "fast-check";
import type { LeaseDeal } from "@/core";
import { checkDealFile } from "@/exchange/deal-file/parse";
import { type LeaseFile, readLease } from "@/exchange/kinds/lease";
import { leaseInputs } from "../loan-inputs";
import { structures } from "./random-structures";

const money = (most: number) => fc.integer({ min: 0, max: most }).map(minor => (minor / 100).toFixed(2));
const percent = (most: number) => fc.integer({ min: 0, max: most * 1000 }).map(n => String(n / 1000));
const maybe = <Value>(value: fc.Arbitrary<Value>) => fc.oneof(fc.constant(undefined), value);
const rarely = <Value>(value: fc.Arbitrary<Value>) =>
  fc.oneof({ weight: 5, arbitrary: fc.constant(undefined) }, { weight: 1, arbitrary: value });

const tax = fc.record({
  name: fc.constantFrom("County tax", "Harbour levy"),
  rate: percent(12),
  on: fc
    .subarray(["payment", "sumOfPayments", "price", "reduction", "fees", "extras", "purchase"] as const, {
      minLength: 1,
      maxLength: 3,
    })
    .map(parts => [...parts]),
  tradeInCredit: maybe(fc.oneof(fc.boolean(), money(500_000))),
  rebateCredit: maybe(fc.boolean()),
  rounding: maybe(fc.constantFrom("nearest", "up", "down")),
  capOn: rarely(money(3_000_000)),
  cap: rarely(money(200_000)),
  financed: maybe(fc.boolean()),
});

const plan = fc
  .record({
    reckoning: fc.constantFrom("moneyFactor", "levelYield"),
    factor: fc.oneof(fc.constant(0), fc.integer({ min: 0, max: 800_000 })),
    rate: fc.oneof(fc.constant(0), fc.integer({ min: 0, max: 2_000 })),
    payments: fc.integer({ min: 1, max: 60 }),
    frequency: fc.constantFrom("monthly", "monthly", "quarterly", "yearly", "everyTwoWeeks", "twiceAMonth"),
    rounding: maybe(fc.constantFrom("nearest", "up", "down")),
    roundingStep: rarely(fc.constantFrom("0.05", "1.00")),
    advance: fc.oneof(fc.constant(0), fc.constant(1), fc.integer({ min: 0, max: 6 }), fc.constant(1000)),
    residual: fc.oneof(
      money(3_000_000).map(amount => ({ amount })),
      fc.record({ percent: percent(110), of: maybe(fc.constantFrom("listPrice", "price")) }),
    ),
    residualDue: maybe(fc.constantFrom("lastPayment", "onePeriodAfter", "end")),
    acquisitionFee: maybe(
      fc.record({ amount: money(90_000), financed: maybe(fc.boolean()), taxable: maybe(fc.boolean()) }),
    ),
    securityDeposit: maybe(
      fc.oneof(
        money(100_000).map(amount => ({ amount })),
        fc.constantFrom({ roundedUpTo: "50" }, { roundedUpTo: "25.00" }),
      ),
    ),
    taxes: maybe(fc.array(tax, { maxLength: 3 })),
    dispositionFee: maybe(money(50_000)),
    purchaseFee: maybe(money(50_000)),
  })
  .map(({ reckoning, factor, rate, advance, ...rest }) => {
    const inAdvance = Math.min(advance, rest.payments);
    const isAtOnce = inAdvance === rest.payments;
    return {
      kind: "lease" as const,
      reckoning,
      ...(reckoning === "moneyFactor"
        ? { moneyFactor: (factor / 1e8).toFixed(8) }
        : { yearlyRate: String(rate / 100) }),
      ...rest,
      inAdvance,
      residualDue: isAtOnce && rest.residualDue === "lastPayment" ? undefined : rest.residualDue,
    };
  });

/** A lease of a vehicle; what only a loan's structure or a personal loan's has is left out. */
export const leases: fc.Arbitrary<LeaseFile> = fc
  .record({
    file: structures.filter(({ structure }) => structure.purpose === undefined),
    plan,
    listPrice: fc.integer({ min: 500_000, max: 6_000_000 }).map(minor => (minor / 100).toFixed(2)),
    dueAtSigning: fc.oneof(
      { weight: 4, arbitrary: fc.constant(undefined) },
      { weight: 1, arbitrary: fc.constantFrom("0", "1500.00", "4000.00") },
    ),
  })
  .map(({ file, plan: leasePlan, listPrice, dueAtSigning }) => {
    const isAtOnce = leasePlan.inAdvance === leasePlan.payments;
    const { down } = file.structure;
    const isOther = down !== undefined && !("amount" in down);
    const cash = dueAtSigning !== undefined && !isAtOnce ? { dueAtSigning } : isOther ? undefined : down;
    return JSON.parse(
      JSON.stringify({
        ...file,
        structure: { ...file.structure, listPrice, down: cash },
        plan: leasePlan,
        find: "payment",
      }),
    );
  });

/** The lease that a file comes to. */
export function leaseOf(file: LeaseFile): LeaseDeal {
  const checked = checkDealFile(JSON.parse(JSON.stringify(file)));
  if (!checked.ok) throw new Error(checked.sentence);
  const lease = readLease(leaseInputs(checked.value));
  if (!lease.ok) throw new Error(lease.failure.sentence);
  return lease.value;
}
