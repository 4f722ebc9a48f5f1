// Every find of a lease, there and back, through random leases.
import fc from "fast-check";
import { evaluateLease, type LeaseQuote } from "@/core";
import type { LeaseFile } from "@/exchange/kinds/lease";
import { runs } from "../runs";
import { leaseOf, leases } from "./random-leases";

type Known = "payment" | "basePayment" | "dueAtSigning" | "totalIfReturned" | "totalIfBought";

/** For each find. */
const FINDS = runs(15);
const KNOWN: readonly Known[] = [
  "payment",
  "basePayment",
  "dueAtSigning",
  "totalIfReturned",
  "totalIfBought",
];
/** So many numbers past the answer are looked at, and more where the known figure goes up and down by the cent. */
const PAST = 4;
const PAST_CENTS = 40;
const FAR = 4_000;
const LEAST_SLOPE = 0.04;
const SCALE = 10 ** 8;
const LARGEST = 10 ** 11;

type Finding = {
  find: Exclude<LeaseFile["find"], "payment">;
  /** The file with the figure, and without it. */
  put: (file: LeaseFile, whole: number | undefined) => LeaseFile;
  of: (quote: LeaseQuote) => number;
  /** By how much the next number differs that is looked at. */
  step: number;
};

const text = (minor: number | undefined) => (minor === undefined ? undefined : (minor / 100).toFixed(2));
const withStructure = (file: LeaseFile, change: Partial<LeaseFile["structure"]>): LeaseFile => ({
  ...file,
  structure: { ...file.structure, ...change },
});
const withPlan = (file: LeaseFile, change: Partial<LeaseFile["plan"]>): LeaseFile => ({
  ...file,
  plan: { ...file.plan, ...change },
});
const of100 = (whole: number | undefined) => (whole === undefined ? undefined : String(whole / 100));

const FINDINGS: Finding[] = [
  {
    find: "price",
    put: (file, minor) => withStructure(file, { price: text(minor) }),
    of: ({ price }) => price,
    step: 1,
  },
  {
    find: "down",
    put: (file, minor) =>
      withStructure(file, { down: minor === undefined ? undefined : { amount: (minor / 100).toFixed(2) } }),
    of: ({ down }) => down,
    step: 1,
  },
  {
    find: "allowance",
    put: (file, minor) => {
      const [first, ...others] = file.structure.tradeIns ?? [];
      return withStructure(file, { tradeIns: [{ ...first, allowance: text(minor) }, ...others] });
    },
    of: ({ filled }) => filled.structure.tradeIns[0]?.allowance ?? 0,
    step: 1,
  },
  {
    find: "residual",
    put: (file, minor) =>
      withPlan(file, { residual: minor === undefined ? undefined : { amount: (minor / 100).toFixed(2) } }),
    of: ({ residual }) => residual,
    step: 1,
  },
  {
    find: "residualPercent",
    put: (file, hundredths) =>
      withPlan(file, {
        residual: hundredths === undefined ? undefined : { percent: of100(hundredths) ?? "0" },
      }),
    of: ({ filled: { plan } }) =>
      plan.residual && "percent" in plan.residual ? Math.round(Number(plan.residual.percent) * 100) : -1,
    step: 1,
  },
  {
    find: "moneyFactor",
    put: (file, whole) =>
      withPlan(file, { moneyFactor: whole === undefined ? undefined : (whole / SCALE).toFixed(8) }),
    of: ({ filled }) => Math.round(Number(filled.plan.moneyFactor) * SCALE),
    step: 1,
  },
  {
    find: "yearlyRate",
    put: (file, whole) =>
      withPlan(file, { yearlyRate: whole === undefined ? undefined : (whole / SCALE).toFixed(8) }),
    of: ({ filled }) => Math.round(Number(filled.plan.yearlyRate) * SCALE),
    step: SCALE / 1_000,
  },
  {
    find: "payments",
    put: (file, payments) => withPlan(file, { payments }),
    of: ({ payments }) => payments,
    step: 1,
  },
];

test.each(FINDINGS)("the $find found of a lease is the last on the right side", finding => {
  const { find, put, of } = finding;
  let found = 0;
  fc.assert(
    fc.property(
      leases,
      fc.constantFrom(...KNOWN),
      fc.integer({ min: -3_000, max: 3_000 }),
      (file, known, cents) => {
        if (!canBeFound(file, find) || hardlyMoves(file, find, known)) return;
        const start = evaluateLease(leaseOf(file));
        const asked = start.ok ? measureOf(start.value, known) + cents : 0;
        if (asked <= 0) return;
        const open = put(file, undefined);
        const from =
          known === "payment"
            ? withPlan(open, { payment: text(asked) })
            : { ...open, from: { [known]: text(asked) } as LeaseFile["from"] };
        const answer = evaluateLease(leaseOf({ ...from, find } as LeaseFile));
        if (!answer.ok) return;
        found += 1;
        expectLast(finding, file, known, asked, of(answer.value));
      },
    ),
    { numRuns: FINDS },
  );
  expect(found).toBeGreaterThan(FINDS / 16);
});

/** A figure is found where the file has it as an amount, and the plan is reckoned by it. */
function canBeFound({ structure, plan }: LeaseFile, find: Finding["find"]): boolean {
  const { down } = structure;
  if (find === "down" && down && !("amount" in down)) return false;
  if (find === "allowance" && !structure.tradeIns?.length) return false;
  if (find === "moneyFactor") return plan.reckoning === "moneyFactor";
  if (find === "yearlyRate") return plan.reckoning === "levelYield";
  return find !== "payments" || plan.inAdvance !== plan.payments;
}

/** Where a residual follows the price, or nothing is earned on it, a total stays about the same: there is no last. */
function hardlyMoves({ plan }: LeaseFile, find: Finding["find"], known: Known): boolean {
  const { residual, moneyFactor, yearlyRate } = plan;
  if (find === "price")
    return residual !== undefined && "percent" in residual && Number(residual.percent) > 50;
  if (find !== "residual" && find !== "residualPercent") return false;
  return known === "totalIfBought" && Number(moneyFactor ?? yearlyRate) < 0.0005;
}

/** That a number comes to no more than was asked for, and that no number shortly past it does. */
function expectLast(
  { find, put, step }: Finding,
  file: LeaseFile,
  known: Known,
  asked: number,
  value: number,
): void {
  const at = (whole: number) => {
    if (whole < 0 || whole > LARGEST || (find === "payments" && (whole < 1 || whole > 1200)))
      return undefined;
    const quote = evaluateLease(leaseOf(put(file, whole)));
    return quote.ok ? measureOf(quote.value, known) : undefined;
  };
  const own = at(value) ?? 0;
  expect([known, own <= asked]).toEqual([known, true]);
  const isRate = find === "yearlyRate" || find === "moneyFactor";
  const onwards = (isRightward(find, known, file) ? 1 : -1) * step;
  const isJagged = find !== "payments" && known !== "payment" && known !== "basePayment";
  // Where a figure hardly moves, roundings by the cent outweigh it: there it is on the right side, and no more is said.
  const far = isJagged && !isRate ? at(value + FAR * onwards) : undefined;
  if (far !== undefined && far - own < FAR * LEAST_SLOPE) return;
  const past = Array.from({ length: isJagged ? PAST_CENTS : PAST }, (_, k) => value + onwards * (1 + k));
  const better = past.filter(whole => {
    const measure = at(whole) ?? Number.POSITIVE_INFINITY;
    return measure <= asked && (!isRate || measure > own);
  });
  expect([known, value, better]).toEqual([known, value, []]);
}

/** Whether more of a figure is what is looked for: as long as the known one rises with it. */
function isRightward(find: Finding["find"], known: Known, file: LeaseFile): boolean {
  const { plan } = file;
  const isTotal = known === "totalIfReturned" || known === "totalIfBought";
  switch (find) {
    case "price":
    case "moneyFactor":
    case "yearlyRate":
      return true;
    case "down":
      return known === "dueAtSigning";
    case "allowance":
      return false;
    case "payments":
      return isTotal;
    default: {
      if (known === "totalIfBought") return boughtRises(file);
      return plan.reckoning === "moneyFactor" && Number(plan.moneyFactor) * (plan.payments ?? 0) > 1;
    }
  }
}

/** Whether a dearer vehicle at the end is a dearer lease: not where the payments are taxed and the purchase is not. */
function boughtRises(file: LeaseFile): boolean {
  const totals = [0.1, 0.4].map(share => {
    const amount = (Number(file.structure.price) * share).toFixed(2);
    const quote = evaluateLease(leaseOf(withPlan(file, { residual: { amount } })));
    return quote.ok ? quote.value.totalIfBought : undefined;
  });
  const [low, high] = totals;
  return low === undefined || high === undefined || high >= low;
}

function measureOf(quote: LeaseQuote, known: Known): number {
  return known === "dueAtSigning" ? quote.dueAtSigning.total : quote[known];
}
