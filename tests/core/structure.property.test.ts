// Random structures against whole-number arithmetic written apart.
import fc from "fast-check";
import { evaluate, type LoanQuote } from "@/core";
import type { LoanFile } from "@/exchange/kinds/loan";
import { runs } from "../runs";
import { exactPayment, exactTable } from "./exact-loan";
import { type ExactLent, exactStructure } from "./exact-structure";
import { dealOf, structures } from "./random-structures";

const RUNS = runs(1500);

/** What a level monthly loan of an amount costs, exactly. */
function lentOf({ plan }: LoanFile, loanAmount: bigint): ExactLent {
  const loan = {
    amount: loanAmount,
    yearlyRate: String(plan.yearlyRate),
    payments: plan.payments ?? 0,
    rounding: plan.rounding ?? "nearest",
    firstThirtieths: 30n,
  } as const;
  const rows = loanAmount > 0n ? exactTable(loan, exactPayment(loan)) : undefined;
  const totalOfPayments = rows?.reduce((sum, { payment }) => sum + payment, 0n) ?? 0n;
  return { loanAmount, totalOfPayments, atSigning: 0n, paidTimes: BigInt(rows?.length ?? 0) };
}

/** How far the exact lines are from adding up to the loan that they are reckoned from. */
function missOf(file: LoanFile, loanAmount: bigint): bigint {
  return exactStructure(file.structure, lentOf(file, loanAmount)).sum - loanAmount;
}

const NEAR = 12n;

function near(loanAmount: bigint): bigint[] {
  return Array.from({ length: Number(NEAR) }, (_, k) => loanAmount - NEAR + BigInt(k)).filter(
    each => each > 0n,
  );
}

test(`${RUNS} random structures agree with whole-number arithmetic to the last cent`, () => {
  let answered = 0;
  let unfit = 0;
  const seen = new Map<string, number>();
  fc.assert(
    fc.property(structures, file => {
      const answer = evaluate(dealOf(file));
      if (!answer.ok) return;
      answered += 1;
      const quote = answer.value;
      for (const part of partsOf(file)) seen.set(part, 1 + (seen.get(part) ?? 0));
      const lent = lentOf(file, BigInt(quote.loanAmount));
      const exact = exactStructure(file.structure, lent);
      if (exact.sum !== lent.loanAmount) {
        // No amount fits: the lines are reckoned from one a little above, and nothing near fits either.
        unfit += 1;
        const around = [...near(lent.loanAmount), ...near(lent.loanAmount + NEAR)];
        expect(around.filter(each => missOf(file, each) === 0n)).toEqual([]);
        return;
      }
      // The smallest that fits.
      expect(near(lent.loanAmount).filter(each => missOf(file, each) === 0n)).toEqual([]);
      const interest = lent.totalOfPayments - lent.loanAmount;
      const financeCharge = interest + exact.prepaid + exact.chargesInFinanceCharge;
      expect(figuresOf(quote)).toEqual({
        taxes: exact.taxes,
        down: exact.down,
        running: lent.loanAmount,
        amountFinanced: lent.loanAmount - exact.prepaid,
        due: exact.due,
        financeCharge,
        totalOfPayments: lent.totalOfPayments + exact.chargesInFinanceCharge,
        totalCost: lent.totalOfPayments + exact.ownCost,
        cashReceived: file.structure.purpose === undefined ? undefined : exact.cashReceived,
      });
      expect(quote.amountFinanced + quote.financeCharge).toBe(quote.totalOfPayments);
      const listed = Number(exact.due);
      expect(quote.dueAtSigning.items.reduce((sum, { amount }) => sum + amount, 0)).toBe(listed);
    }),
    { numRuns: RUNS },
  );
  expect(answered).toBeGreaterThan(RUNS / 2);
  expect(unfit).toBeLessThan(RUNS / 200);
  // Nothing holds of what is never drawn.
  for (const part of PARTS) expect([part, (seen.get(part) ?? 0) > RUNS / 100]).toEqual([part, true]);
});

const PARTS = [
  "taxes",
  "taxIncluded",
  "fees",
  "extras",
  "rebates",
  "deposit",
  "percent",
  "total",
  "dueAtSigning",
  "purpose",
  "payoffs",
  "loanAmount",
  "totalOfPayments",
  "with",
  "keptBack",
  "capOn",
];

/** What a structure is made of. */
function partsOf({ structure }: LoanFile): string[] {
  const text = JSON.stringify(structure);
  return PARTS.filter(part => text.includes(`"${part}"`));
}

function figuresOf(quote: LoanQuote) {
  return {
    taxes: quote.reckoned.taxes.map(({ amount }) => BigInt(amount)),
    down: BigInt(quote.down),
    running: BigInt(quote.lines.at(-1)?.running ?? 0),
    amountFinanced: BigInt(quote.amountFinanced),
    due: BigInt(quote.dueAtSigning.total),
    financeCharge: BigInt(quote.financeCharge),
    totalOfPayments: BigInt(quote.totalOfPayments),
    totalCost: BigInt(quote.totalCost),
    cashReceived: quote.cashReceived === undefined ? undefined : BigInt(quote.cashReceived),
  };
}
