// Random structures of every kind of line, as deal files.
import fc from "fast-check";
import type { LoanDeal } from "@/core";
import { checkDealFile } from "@/exchange/deal-file/parse";
import { type LoanFile, readLoan } from "@/exchange/kinds/loan";
import { loanInputs } from "../loan-inputs";

type Structure = LoanFile["structure"];

const money = (most: number) => fc.integer({ min: 0, max: most }).map(minor => (minor / 100).toFixed(2));
const percent = (most: number) => fc.integer({ min: 0, max: most * 1000 }).map(n => String(n / 1000));
const maybe = <Value>(value: fc.Arbitrary<Value>) => fc.oneof(fc.constant(undefined), value);
const rarely = <Value>(value: fc.Arbitrary<Value>) =>
  fc.oneof({ weight: 5, arbitrary: fc.constant(undefined) }, { weight: 1, arbitrary: value });

const charge = (percentOf: fc.Arbitrary<"price" | "loanAmount" | "totalOfPayments">) =>
  fc
    .record({
      name: fc.constantFrom("Documents", "Title", "Origination", "Cover", "Service contract"),
      amount: money(300_000),
      percentOf: maybe(percentOf),
      percent: percent(6),
      taxable: maybe(fc.boolean()),
      financed: maybe(fc.boolean()),
      financeCharge: maybe(fc.boolean()),
      with: rarely(fc.constantFrom("firstPayment", "lastPayment", "eachPayment")),
    })
    .map(({ amount, percentOf: of, percent: share, ...rest }) => ({
      ...rest,
      ...(of === undefined ? { amount } : { percentOf: of, percent: share }),
      ...(rest.with !== undefined && { taxable: false }),
    }));

const percentOf = fc.oneof(
  { weight: 3, arbitrary: fc.constant("price" as const) },
  { weight: 4, arbitrary: fc.constant("loanAmount" as const) },
  { weight: 1, arbitrary: fc.constant("totalOfPayments" as const) },
);

const tax = fc.record({
  name: fc.constantFrom("County tax", "Road tax"),
  rate: percent(12),
  on: fc.subarray(["price", "fees", "extras"] as const, { minLength: 1 }).map(lines => [...lines]),
  tradeInCredit: maybe(fc.oneof(fc.boolean(), money(500_000))),
  rebateCredit: maybe(fc.boolean()),
  rounding: maybe(fc.constantFrom("nearest", "up", "down")),
  capOn: rarely(money(3_000_000)),
  cap: rarely(money(200_000)),
  financed: maybe(fc.boolean()),
});

const down = fc.oneof(
  fc.record({ amount: money(500_000) }),
  fc.record({ percent: percent(30) }),
  fc.record({ percent: percent(30), of: fc.constant("total" as const) }),
  fc.integer({ min: 300_000, max: 1_500_000 }).map(minor => ({ dueAtSigning: (minor / 100).toFixed(2) })),
);

/** A vehicle's structure. */
const vehicle = fc
  .record({
    price: fc.integer({ min: 500_000, max: 6_000_000 }).map(minor => (minor / 100).toFixed(2)),
    taxIncluded: rarely(fc.constant(true)),
    taxes: maybe(fc.array(tax, { maxLength: 3 })),
    fees: maybe(fc.array(charge(percentOf), { maxLength: 4 })),
    extras: maybe(fc.array(charge(percentOf), { maxLength: 3 })),
    rebates: maybe(
      fc.array(
        fc.record({ name: fc.constant("Rebate"), amount: money(150_000), beforeTax: maybe(fc.boolean()) }),
        { maxLength: 2 },
      ),
    ),
    tradeIns: fc.array(
      fc.record({ name: rarely(fc.constant("Ostrel U1")), allowance: money(800_000), owed: money(900_000) }),
      { maxLength: 3 },
    ),
    down: maybe(down),
    deposit: maybe(money(100_000)),
  })
  .map(structure => (structure.taxIncluded ? withoutCredits(structure) : structure));

/** A personal loan's. */
const personal = fc.record({
  price: fc.integer({ min: 500_000, max: 3_000_000 }).map(minor => (minor / 100).toFixed(2)),
  purpose: fc.constant("Kitchen refit"),
  payoffs: maybe(
    fc.array(fc.record({ name: fc.constant("Card"), amount: money(100_000) }), { maxLength: 2 }),
  ),
  fees: maybe(
    fc.array(
      fc
        .tuple(charge(percentOf), fc.boolean())
        .map(([fee, keptBack]) =>
          keptBack && fee.with === undefined ? { ...fee, financed: undefined, keptBack } : fee,
        ),
      { maxLength: 4 },
    ),
  ),
});

function withoutCredits<Kind extends Pick<Structure, "taxes" | "rebates">>(structure: Kind): Kind {
  return {
    ...structure,
    taxes: structure.taxes?.map(({ name, rate, on, rounding, financed }) => ({
      name,
      rate,
      on,
      rounding,
      financed,
    })),
    rebates: structure.rebates?.map(({ name, amount }) => ({ name, amount })),
  };
}

/** A structure with a monthly level loan, as a deal file. */
export const structures: fc.Arbitrary<LoanFile> = fc
  .record({
    structure: fc.oneof({ weight: 4, arbitrary: vehicle }, { weight: 1, arbitrary: personal }),
    yearlyRate: fc.integer({ min: 0, max: 2500 }).map(n => String(n / 100)),
    payments: fc.integer({ min: 1, max: 72 }),
    rounding: fc.constantFrom("nearest", "up", "down"),
  })
  .map(({ structure, ...plan }) =>
    JSON.parse(
      JSON.stringify({
        format: "kellux-deal",
        version: 1,
        currency: "USD",
        structure,
        plan: { kind: "loan", frequency: "monthly", ...plan },
        find: "payment",
      }),
    ),
  );

/** The deal that a file comes to. */
export function dealOf(file: LoanFile): LoanDeal {
  const checked = checkDealFile(file);
  if (!checked.ok) throw new Error(checked.sentence);
  const deal = readLoan(loanInputs(checked.value));
  if (!deal.ok) throw new Error(deal.failure.sentence);
  return deal.value;
}
