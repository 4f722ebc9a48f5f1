// What is signed is kept in a form of its own, and shown from it: nothing of an answer may be lost on the way.
import fc from "fast-check";
import {
  costOfCredit,
  evaluate,
  evaluateLease,
  type LeaseDeal,
  type LeaseQuote,
  type LoanDeal,
  type LoanQuote,
  leaseEffectiveRate,
} from "@/core";
import { leaseOfRecord, recordOfLease } from "@/exchange/kinds/lease/record";
import { loanOfRecord, recordOfLoan } from "@/exchange/kinds/loan/record";
import { readSignedQuote } from "@/exchange/signed-quote";
import { leaseOf, leases } from "../../core/random-leases";
import { corePlan, drawnPlans, toPlan } from "../../core/random-plans";
import { dealOf, structures } from "../../core/random-structures";
import { runs } from "../../runs";

const RUNS = runs(120);
const OPTION = "11111111-1111-4111-8111-111111111111";

/** As it comes back from the disk. */
const kept = <Value>(value: Value): Value => JSON.parse(JSON.stringify(value));

function signedLoan(deal: LoanDeal, quote: LoanQuote): LoanQuote {
  const read = readSignedQuote(kept(recordOfLoan(OPTION, quote)));
  if (!read.ok || read.value.kind !== "loan") throw new Error(read.ok ? read.value.kind : read.sentence);
  return loanOfRecord(read.value, deal);
}

function signedLease(lease: LeaseDeal, quote: LeaseQuote): LeaseQuote {
  const read = readSignedQuote(kept(recordOfLease(OPTION, quote)));
  if (!read.ok || read.value.kind !== "lease") throw new Error(read.ok ? read.value.kind : read.sentence);
  return leaseOfRecord(read.value, lease);
}

/** The same deal, asking for another figure, from the payment that it comes to. */
const ASKING: Record<string, (deal: LoanDeal, payment: number) => LoanDeal> = {
  payment: deal => deal,
  price: ({ structure, plan, ...deal }, payment) => ({
    ...deal,
    find: "price",
    structure: { ...structure, price: null },
    plan: { ...plan, payment },
  }),
  down: ({ structure, plan, ...deal }, payment) => ({
    ...deal,
    find: "down",
    structure: { ...structure, down: null },
    plan: { ...plan, payment },
  }),
  downPercent: ({ structure, plan, ...deal }, payment) => ({
    ...deal,
    find: "downPercent",
    structure: { ...structure, down: null },
    plan: { ...plan, payment },
  }),
  allowance: ({ structure, plan, ...deal }, payment) => ({
    ...deal,
    find: "allowance",
    structure: {
      ...structure,
      tradeIns: structure.tradeIns.map((each, index) => (index === 0 ? { ...each, allowance: null } : each)),
    },
    plan: { ...plan, payment },
  }),
  payments: ({ plan, ...deal }, payment) => ({
    ...deal,
    find: "payments",
    plan: { ...plan, payments: null, payment },
  }),
  balloon: ({ plan, ...deal }, payment) => ({
    ...deal,
    find: "balloon",
    plan: { ...plan, balloon: null, payment: payment - 1000 },
  }),
  extra: ({ plan, ...deal }, _) => ({
    ...deal,
    find: "extra",
    plan: { ...plan, extra: { ...plan.extra, each: { amount: null } } },
    from: { figure: "payments", value: Math.max((plan.payments ?? 2) - 1, 1) },
  }),
};

test(`${RUNS} loans, given and found, come back from what was kept of them as they were answered`, () => {
  const seen = new Map<string, number>();
  fc.assert(
    fc.property(
      structures,
      drawnPlans,
      fc.constantFrom(...Object.keys(ASKING)),
      fc.boolean(),
      (file, drawn, find, hasShape) => {
        const given = dealOf(file);
        const amount = Math.round(Number(file.structure.price) * 100);
        const shape = hasShape ? corePlan(toPlan({ ...drawn, amount, once: 0 })) : {};
        const deal = { ...given, plan: { ...given.plan, ...shape } };
        const asked = evaluate(deal);
        if (!asked.ok) return;
        const asking = ASKING[find]?.(deal, asked.value.payment) ?? deal;
        const answer = evaluate(asking);
        if (!answer.ok) return;
        seen.set(find, 1 + (seen.get(find) ?? 0));
        const cost = costOfCredit(answer.value);
        const quote = { ...answer.value, ...(cost.ok && { keptCost: cost.value }) };
        expect(signedLoan(kept(asking), quote)).toEqual(kept(quote));
      },
    ),
    { numRuns: RUNS },
  );
  for (const find of Object.keys(ASKING))
    expect([find, (seen.get(find) ?? 0) > RUNS / 60]).toEqual([find, true]);
});

const ASKING_LEASE: Record<string, (lease: LeaseDeal, quote: LeaseQuote) => LeaseDeal> = {
  payment: lease => lease,
  price: ({ structure, plan, ...lease }, { payment }) => ({
    ...lease,
    find: "price",
    structure: { ...structure, price: null },
    plan: { ...plan, payment },
  }),
  down: ({ structure, plan, ...lease }, { payment }) => ({
    ...lease,
    find: "down",
    structure: { ...structure, down: null },
    plan: { ...plan, payment },
  }),
  residual: ({ plan, ...lease }, { payment }) => ({
    ...lease,
    find: "residual",
    plan: { ...plan, residual: null, payment },
  }),
  residualPercent: ({ plan, ...lease }, { payment }) => ({
    ...lease,
    find: "residualPercent",
    plan: { ...plan, residual: null, payment: payment + 1 },
  }),
  payments: ({ plan, ...lease }, { totalIfReturned: value }) => ({
    ...lease,
    find: "payments",
    plan: { ...plan, payments: null, payment: null },
    from: { figure: "totalIfReturned", value },
  }),
};

test(`${RUNS} leases, given and found, come back from what was kept of them as they were answered`, () => {
  const seen = new Map<string, number>();
  fc.assert(
    fc.property(leases, fc.constantFrom(...Object.keys(ASKING_LEASE)), (file, find) => {
      const lease = leaseOf(file);
      const asked = evaluateLease(lease);
      if (!asked.ok) return;
      const asking = ASKING_LEASE[find]?.(lease, asked.value) ?? lease;
      const answer = evaluateLease(asking);
      if (!answer.ok) return;
      seen.set(find, 1 + (seen.get(find) ?? 0));
      const rate = leaseEffectiveRate(answer.value);
      const quote = { ...answer.value, ...(rate.ok && { keptEffectiveRate: rate.value }) };
      expect(signedLease(kept(asking), quote)).toEqual(kept(quote));
    }),
    { numRuns: RUNS },
  );
  for (const find of Object.keys(ASKING_LEASE))
    expect([find, (seen.get(find) ?? 0) > RUNS / 60]).toEqual([find, true]);
});
