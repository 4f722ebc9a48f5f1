// Programs against a plain rule-by-rule check, and what would make them fit against trying everything less.
import fc from "fast-check";
import { askingPayment, evaluate, type LeaseDeal, type LoanDeal } from "@/core";
import {
  type DealToFit,
  type Fit,
  fitterOf,
  isUnknown,
  type Lever,
  movedDeal,
  type Program,
  percentText,
  whatWouldFit,
} from "@/core/programs";
import { fewerRuns, runs } from "../runs";
import { plainFit } from "./plain-programs";
import { leaseOf, leases } from "./random-leases";
import { facts, leasePrograms, loanPrograms, spreads } from "./random-programs";
import { dealOf, structures } from "./random-structures";

const limitsOf = (fit: Fit, isKnown: boolean) =>
  fit.reasons
    .filter(reason => isUnknown(reason) !== isKnown)
    .map(({ limit }) => limit)
    .sort();

function agrees(program: Program, deal: DealToFit, own: LoanDeal | LeaseDeal, spread: string): void {
  const fit = fitterOf(deal, spread)(program);
  const plain = plainFit(program, own, deal.facts, spread);
  const { offer } = fit;
  // Without a rate the core still tells the limits that need none.
  const isPriced = plain.offer !== null;
  if (isPriced) {
    expect(limitsOf(fit, true)).toEqual([...plain.broken].sort());
    expect(limitsOf(fit, false)).toEqual([...plain.unknown].sort());
  } else {
    const told = limitsOf(fit, true);
    // What is missing for an adjustment is told before it is seen that the deal has no answer.
    if (limitsOf(fit, false).includes("figures")) told.push("figures");
    for (const limit of plain.broken) expect(told).toContain(limit);
  }
  expect(
    offer && { buyRate: offer.buyRate, rate: offer.rate, payment: offer.payment, totalCost: offer.totalCost },
  ).toEqual(
    plain.offer && {
      ...plain.offer,
    },
  );
  expect(fit.state === "fits").toBe(isPriced && plain.broken.length === 0 && plain.unknown.length === 0);
}

const asking = <Of extends LoanDeal | LeaseDeal>(deal: Of): Of | null => {
  const quote = evaluate(deal as LoanDeal);
  return quote.ok ? askingPayment(quote.value.filled as Of) : null;
};

test("loans fit, and do not, as each rule by itself says", () => {
  let priced = 0;
  fc.assert(
    fc.property(structures, loanPrograms, facts, spreads, (file, program, known, spread) => {
      const loan = asking(dealOf(file));
      fc.pre(loan !== null && (program.kind !== "flatRate" || loan.plan.kind === "loan"));
      if (!loan) return;
      priced += 1;
      agrees(program, { loan, lease: null, facts: known, turned: null }, loan, spread);
    }),
    { numRuns: fewerRuns(150, 1000) },
  );
  expect(priced).toBeGreaterThan(60);
});

test("leases do, too", () => {
  fc.assert(
    fc.property(leases, leasePrograms, facts, spreads, (file, program, known, spread) => {
      const lease = asking(leaseOf(file));
      fc.pre(lease !== null && lease.plan.frequency === "monthly");
      if (!lease) return;
      agrees(program, { loan: null, lease, facts: known, turned: null }, lease, spread);
    }),
    { numRuns: fewerRuns(60, 250) },
  );
});

/** Whether a program fits a deal that was moved, but for what is not known. */
const fitsWith = (program: Program, deal: DealToFit, moved: Lever["moved"], spread: string) =>
  fitterOf(movedDeal(deal, moved), spread)(program).reasons.every(isUnknown);

type Fits = (moved: Lever["moved"]) => boolean;
const firstNumbers = (count: number) => Array.from({ length: count }, (_, index) => index);

/** Less than a lever asks for: nearby, and at places drawn from all that is less. */
const lessThan = {
  amount: (by: "down" | "price", to: number, change: number, parts: readonly number[]): Lever["moved"][] =>
    [
      ...firstNumbers(9).map(index => change - 1 - index),
      ...parts.map(part => Math.floor((change * part) / 1000)),
    ]
      .filter(less => less >= 0 && less < change)
      .map(less => ({ by, to: to + (by === "down" ? -1 : 1) * (change - less) })),
  payments: (payments: number, now: number): Lever["moved"][] =>
    firstNumbers(Math.abs(payments - now))
      .slice(1)
      .flatMap(away => [now - away, now + away])
      .filter(each => each >= 1)
      .map(each => ({ by: "payments", payments: each })),
  extras: (left: readonly number[], all: number): Lever["moved"][] =>
    firstNumbers(2 ** all)
      .slice(1)
      .map(set => firstNumbers(all).filter(index => set & (1 << index)))
      .filter(set => set.length < left.length)
      .map(set => ({ by: "extras", left: set })),
};

/** That a lever does it, and nothing less. */
function isLeast(lever: Lever, { plan, structure }: LoanDeal, parts: readonly number[], fits: Fits): void {
  const { moved } = lever;
  expect(fits(moved)).toBe(true);
  const less =
    moved.by === "payments"
      ? lessThan.payments(moved.payments, plan.payments ?? 0)
      : moved.by === "extras"
        ? lessThan.extras(moved.left, structure.extras?.length ?? 0)
        : lessThan.amount(moved.by, moved.to, "change" in lever ? lever.change : 0, parts);
  for (const each of less) expect([each, fits(each)]).toEqual([each, false]);
}

test("what would make a program fit is the least that does", () => {
  const seen = new Set<string>();
  fc.assert(
    fc.property(
      structures,
      loanPrograms,
      facts,
      spreads,
      fc.array(fc.integer({ min: 0, max: 999 }), { minLength: 6, maxLength: 6 }),
      (file, program, known, spread, parts) => {
        const loan = asking(dealOf(file));
        fc.pre(loan !== null);
        if (!loan) return;
        const deal: DealToFit = { loan, lease: null, facts: known, turned: null };
        const { levers } = whatWouldFit(fitterOf(deal, spread)(program), deal, spread, [24, 36, 48, 60]);
        for (const lever of levers) {
          seen.add(lever.by);
          isLeast(lever, loan, parts, moved => fitsWith(program, deal, moved, spread));
        }
      },
    ),
    { numRuns: fewerRuns(150, 1000) },
  );
  expect([...seen].sort()).toEqual(["down", "extras", "payments", "price"]);
});

test("a percent is shown with as many decimals as tell it from its limit", () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 0, max: 10 ** 12 }),
      fc.integer({ min: 1, max: 10 ** 11 }),
      fc.integer({ min: 0, max: 100_000 }),
      (numerator, denominator, limit) => {
        const typed = String(limit / 100);
        const shown = percentText({ numerator, denominator }, typed);
        const exact = BigInt(numerator) * 10_000n - BigInt(limit) * BigInt(denominator);
        const [whole = "", part = ""] = shown.split(".");
        const told = BigInt(whole + part) * 100n - BigInt(limit) * 10n ** BigInt(part.length);
        expect(told > 0n).toBe(exact > 0n);
        expect(told < 0n).toBe(exact < 0n);
      },
    ),
    { numRuns: runs(300) },
  );
});
