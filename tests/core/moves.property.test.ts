import fc from "fast-check";
import { evaluate, evaluateLease, type LeaseQuote, type LoanQuote } from "@/core";
import { type Move, type MoveValue, type Wanted, type WantedFigure, walkMoves, wantedOf } from "@/core/moves";
import { type DealFile, isLease, readDeal } from "@/exchange/deal-file";
import { readLease } from "@/exchange/kinds/lease";
import { readLoan } from "@/exchange/kinds/loan/read";
import { inputsMoved } from "@/features/deal/bargain/inputs-moved";
import { runs } from "../runs";
import { leases } from "./random-leases";
import { structures } from "./random-structures";

/** All candidates of a deal take a tenth of a second and more. */
const DEALS = runs(30);
const SIGNED = "2026-11-24";

type Answered = { kind: "loan"; quote: LoanQuote } | { kind: "lease"; quote: LeaseQuote };

/** The whole answer of what would be typed; null where there is none. */
function wholeAnswer(inputs: DealFile): Answered | null {
  if (isLease(inputs)) {
    const lease = readLease(inputs);
    const quote = lease.ok ? evaluateLease(lease.value) : lease;
    return quote.ok ? { kind: "lease", quote: quote.value } : null;
  }
  const deal = readLoan(inputs);
  const quote = deal.ok ? evaluate(deal.value) : deal;
  return quote.ok ? { kind: "loan", quote: quote.value } : null;
}

/** The wanted figure of an answer. */
function figureOf({ quote }: Answered, figure: WantedFigure): number {
  if (figure === "endDate") return quote.finalDate ?? 0;
  if (figure === "dueAtSigning") return quote.dueAtSigning.total;
  return (quote as unknown as Record<WantedFigure, number>)[figure];
}

const loans = structures
  .filter(({ find, plan }) => find === "payment" && plan.payment === undefined)
  .map(file => ({ ...file, plan: { ...file.plan, signed: SIGNED } }) as DealFile);
const leased = leases
  // Where all is paid at once, a rounded payment can cover what it is for, by a cent: such a lease is not looked for.
  .filter(({ plan }) => (plan.inAdvance ?? 0) < (plan.payments ?? 0))
  // A percent of all payments with each payment can be several times all of them, so that a higher residual costs less.
  // What is held to gain value costs less the dearer it is.
  .filter(({ plan: { residual } }) => !residual || !("percent" in residual) || Number(residual.percent) < 100)
  .filter(({ structure }) => !JSON.stringify(structure).includes("totalOfPayments"))
  .filter(({ find, plan }) => find === "payment" && plan.payment === undefined)
  .map(file => ({ ...file, plan: { ...file.plan, signed: SIGNED } }) as DealFile);

const asked = fc.oneof({ weight: 3, arbitrary: loans }, { weight: 2, arbitrary: leased }).chain(inputs =>
  fc.record({
    inputs: fc.constant(inputs),
    figure: fc.constantFrom<WantedFigure>(...wantedOf(inputs)),
    share: fc.integer({ min: 500, max: 1150 }),
  }),
);

/** Values all over what a figure can be, near its ends and in its middle. */
function scanned({ figure, from }: Move, inputs: DealFile): MoveValue[] {
  const amounts = [0, 1, 100, 10_000, 100_000, 250_000, 500_000, 1_000_000, 1_500_000, 2_500_000, 4_000_000];
  switch (figure) {
    case "yearlyRate":
      return ["0", "0.01", "0.5", "1", "2", "4", "6.5", "9", "15", "40", "100", "500", "1000"];
    case "moneyFactor":
      return ["0", "0.00001", "0.0005", "0.001", "0.002", "0.004", "0.01", "0.1"];
    case "payments":
      return [1, 2, 3, 6, 12, 18, 24, 30, 36, 42, 48, 60, 66, 72, 84, 96, 120, 180, 240, 360, 600, 1200];
    case "inAdvance":
      return Array.from({ length: Number(inputs.plan.payments ?? 0) }, (_, count) => count);
    case "extra":
      return [null];
    case "balloon":
    case "residual":
    case "extraEach":
    case "down":
    case "price":
    case "allowance":
      return [...amounts, ...(typeof from === "number" ? [from, from + 1, Math.max(from - 1, 0)] : [])];
  }
}

/** By the next step towards where the figure gives less way; undefined where it has none. */
function oneStepLess(move: Move & { to: MoveValue }, isLease: boolean): number | undefined {
  if (typeof move.to !== "number") return undefined;
  switch (move.figure) {
    case "price":
      return move.to + 1;
    case "down":
    case "allowance":
      return move.to > 0 ? move.to - 1 : undefined;
    case "payments":
      return !isLease && move.to > 1 ? move.to - 1 : undefined;
    default:
      return undefined;
  }
}

/** One candidate of one deal. */
type Case = {
  inputs: DealFile;
  wanted: Wanted;
  /** The wanted figure as it is, and with the candidate at another value; null where that has no answer. */
  is: number;
  at: (to: MoveValue) => number | null;
};

/** A candidate with an answer gives what is wanted, stands as it says, and is the last that does. */
function checkFound({ inputs, wanted, at }: Case, move: Move & { to: MoveValue }): void {
  const taken = wholeAnswer(inputsMoved(inputs, move, move.to));
  if (!taken || !("after" in move)) throw new Error(`${move.figure} taken has no answer`);
  expect(figureOf(taken, wanted.figure)).toBeLessThanOrEqual(wanted.value);
  const { after } = move;
  expect([after.payment, after.payments, after.dueAtSigning, after.endDate]).toEqual([
    taken.quote.payment,
    taken.kind === "loan" ? taken.quote.plannedPayments : taken.quote.payments,
    taken.quote.dueAtSigning.total,
    taken.quote.finalDate,
  ]);
  const less = wanted.figure === "payment" ? oneStepLess(move, isLease(inputs)) : undefined;
  if (less !== undefined) expect(at(less) ?? Number.POSITIVE_INFINITY).toBeGreaterThan(wanted.value);
  for (const { to } of move.usual ?? []) expect(at(to)).toBeLessThanOrEqual(wanted.value);
}

/** Nothing that a candidate without an answer could be gives what is wanted. */
function checkNone({ inputs, wanted, is, at }: Case, move: Move & { sentence: string }): void {
  const tried = scanned(move, inputs)
    .map(at)
    .filter(each => each !== null);
  if (/affords more than|comes to no more|moves with|is set by/.test(move.sentence)) return;
  if (/does not move/.test(move.sentence)) {
    expect([...new Set([...tried, is])]).toEqual([is]);
    return;
  }
  const best = Math.min(...tried);
  if (best <= wanted.value)
    throw new Error(
      `${move.figure} for ${wanted.figure} ${wanted.value}: ${move.sentence} But ${best} is had.`,
    );
}

test(`for ${DEALS} random deals each candidate gives what is wanted, and each without an answer has none`, () => {
  const seen = new Map<string, number>();
  fc.assert(
    fc.property(asked, ({ inputs, figure, share }) => {
      const now = wholeAnswer(inputs);
      const start = readDeal(inputs);
      if (!now || !start.ok) return;
      const is = figureOf(now, figure);
      const base = figure === "endDate" ? (now.quote.startDate ?? 0) : 0;
      const wanted = { figure, value: Math.max(Math.round(base + ((is - base) * share) / 1000), 1) };
      for (const move of walkMoves(start.value, wanted)) {
        const at = (to: MoveValue) => {
          const answered = wholeAnswer(inputsMoved(inputs, move, to));
          return answered && figureOf(answered, figure);
        };
        const one = { inputs, wanted, is, at };
        if ("to" in move) checkFound(one, move);
        else checkNone(one, move);
        const key = `${now.kind} ${move.figure} ${"to" in move ? "found" : "none"}`;
        seen.set(key, (seen.get(key) ?? 0) + 1);
      }
    }),
    { numRuns: DEALS, seed: 13, endOnFailure: true },
  );
  if (process.env.KELLUX_TIMES) console.log([...seen].sort());
}, 1_200_000);
