import { periodsPerYear } from "../calendar";
import { MOST_PAYMENTS } from "../limits";
import { lastWhole } from "../solve";
import { needsPlan } from "../structure";
import { decimalOf } from "./decimals";
import type { DealToFit } from "./facts";
import { type Fit, fitterOf, paymentsFor } from "./fit";
import { fewestPayments, mostPayments } from "./measured";
import { type Moved, movedDeal } from "./moved";
import type { Program } from "./program";
import { isUnknown, type LimitName, type Reason, reasonKey } from "./reason";

/** What makes a program fit, in the order in which it is tried. */
export const LEVER_NAMES = ["down", "payments", "extras", "price"] as const;
type LeverName = (typeof LEVER_NAMES)[number];

/** One thing moved, and how the program then goes with the deal; amounts in minor units. */
export type Lever = {
  moved: Moved;
  fit: Fit;
} /** So much more cash down, or so much less of the price or of the amount asked for. */ & (
  | { by: "down" | "price"; change: number }
  /** Of the house's usual numbers of payments the nearest that does, too, where it is another one. */
  | { by: "payments"; usual: number | null }
  /** What the extras that are left out cost together. */
  | { by: "extras"; sum: number }
);

/** What would make a program fit: each lever that does it alone; where none does, the first that meets each reason. */
export type WouldFit = {
  levers: readonly Lever[];
  /** By the places of the reasons; empty where levers do it alone, or nothing does. */
  each: readonly (Lever | null)[];
};

const NOTHING: WouldFit = { levers: [], each: [] };

/** What each lever can move. Score, condition and dates are moved by none. */
const MOVES: Readonly<Record<LeverName, ReadonlySet<LimitName>>> = {
  down: new Set(["amount", "loanTo", "down", "costToListPrice", "paymentToIncome", "debtToIncome"]),
  payments: new Set([
    "term",
    "yearsAtEnd",
    "balloon",
    "residual",
    "paymentToIncome",
    "debtToIncome",
    "extras",
  ]),
  extras: new Set([
    "extras",
    "notWith",
    "amount",
    "loanTo",
    "costToListPrice",
    "paymentToIncome",
    "debtToIncome",
  ]),
  price: new Set(["amount", "loanTo", "down", "costToListPrice", "paymentToIncome", "debtToIncome"]),
};

/** Whether some lever can meet a reason. */
export const canBeMoved = (reason: Reason): boolean => LEVER_NAMES.some(name => canMeet(name, reason));

const canMeet = (name: LeverName, reason: Reason) =>
  MOVES[name].has(reason.limit) && !(reason.as === "amount" && reason.bound === "least");

/**
 * What would make a program fit that does not: more cash down, a shorter or longer term, extras left out, a lower price or
 * amount asked for; each the least that does, with everything that the program derives from it read anew.
 *
 * @param unfit how it goes with the deal
 * @param usualTerms numbers of payments that the house likes to offer
 * @example whatWouldFit(fitterOf(dealToFit, "1.24")(lowRate), dealToFit, "1.24", []).levers[0].change // 232500
 */
export function whatWouldFit(
  unfit: Fit,
  deal: DealToFit,
  spread: string,
  usualTerms: readonly number[],
): WouldFit {
  const broken = unfit.reasons.filter(reason => !isUnknown(reason));
  if (broken.length === 0 || !broken.every(canBeMoved)) return NOTHING;
  const search: Search = { unfit, deal, spread, usualTerms, broken, isWhole: true };
  const levers = LEVER_NAMES.flatMap(name => LEVERS[name](search) ?? []);
  if (levers.length > 0 || broken.length === 1) return { levers, each: [] };
  const each = unfit.reasons.map(reason => firstThatMeets(reason, search));
  return each.some(lever => lever !== null) ? { levers, each } : NOTHING;
}

function firstThatMeets(reason: Reason, search: Search): Lever | null {
  if (isUnknown(reason)) return null;
  for (const name of LEVER_NAMES) {
    const lever = LEVERS[name]({ ...search, broken: [reason], isWhole: false });
    if (lever) return lever;
  }
  return null;
}

type Search = {
  unfit: Fit;
  deal: DealToFit;
  spread: string;
  usualTerms: readonly number[];
  /** What is to be met. */
  broken: readonly Reason[];
  /** Whether nothing else may be broken then. */
  isWhole: boolean;
};

/** Whether a lever can move all that is to be met. */
const canMove = (name: LeverName, { broken }: Search) => broken.every(reason => canMeet(name, reason));

const fitOf = (program: Program, deal: DealToFit, spread: string): Fit => fitterOf(deal, spread)(program);

/** Whether what is to be met is; a deal that has no answer any more was moved too far. */
function meets({ reasons }: Fit, { broken }: Search): boolean {
  const present = new Set(reasons.map(reasonKey));
  return broken.every(reason => !present.has(reasonKey(reason)));
}

/** Whether that is all that was asked for. */
const isDone = (fit: Fit, search: Search) =>
  search.isWhole ? fit.reasons.every(isUnknown) : meets(fit, search) && fit.reasons.every(isAnswered);
const isAnswered = ({ limit }: Reason) => limit !== "figures";

const LEVERS: { [Name in LeverName]: (search: Search) => Lever | null } = {
  down: moreDown,
  payments: otherTerm,
  extras: lessExtras,
  price: lowerPrice,
};

const CENTS_OUT_OF_ORDER = 8;
const MOST_OUT_OF_ORDER = 500;
/** So many cents can the roundings of a cash down, of taxes and of charges put what is held against the price out of order. */
const CENTS_ROUNDED = 3;

/**
 * How far below what meets all something less may, too: where amounts are reckoned from the payments, and where the price falls and
 * what is held against it is rounded on its way down.
 */
function outOfOrder({ unfit, deal, broken }: Search, by: "down" | "price", change: number): number {
  const structure = (unfit.program.kind === "lease" ? deal.lease : deal.loan)?.structure;
  const cents = structure && needsPlan(structure) ? CENTS_OUT_OF_ORDER : 0;
  if (by === "down") return cents;
  const windows = broken.map(reason => {
    if (reason.as !== "percent" || (reason.limit !== "down" && reason.of !== "price")) return 0;
    return Math.ceil((CENTS_ROUNDED * change) / Math.max(missingOf(reason), 1));
  });
  return Math.min(Math.max(cents, ...windows), MOST_OUT_OF_ORDER);
}

/** How much of a percent is too much, or too little; minor units. */
function missingOf({ percent: { numerator, denominator }, value }: Reason & { as: "percent" }): number {
  const { digits, scale } = decimalOf(value);
  return Math.abs(numerator - (denominator * digits) / (scale * 100));
}

/** The least of a range at which what is to be met is, where moving on can only help it. */
function leastThatMeets(
  search: Search,
  { from, to, guess }: { from: number; to: number; guess: number },
  moved: (at: number) => Moved & { by: "down" | "price" },
): { at: number; moved: Moved; fit: Fit } | null {
  const { unfit, spread, deal } = search;
  if (to < from) return null;
  const fitAt = (at: number) => fitOf(unfit.program, movedDeal(deal, moved(at)), spread);
  const last = lastWhole(at => (meets(fitAt(at), search) ? 1 : -1), from, to, guess);
  if (last >= to) return null;
  const first = Math.max(last + 1 - outOfOrder(search, moved(last + 1).by, last + 1), from);
  for (let at = first; at <= last + 1; at++) {
    const fit = fitAt(at);
    if (isDone(fit, search)) return { at, moved: moved(at), fit };
  }
  return null;
}

/** How far an amount has about to move until what is to be met is; minor units. */
function guessOf({ broken }: Search, lent: number): number {
  const steps = broken.map(reason => {
    if (reason.as === "amount") return reason.amount - reason.value;
    if (reason.as !== "percent") return 1;
    const isOfIncome = reason.limit === "paymentToIncome" || reason.limit === "debtToIncome";
    const missing = missingOf(reason);
    return isOfIncome ? (lent * missing) / reason.percent.numerator : missing;
  });
  return Math.max(1, Math.ceil(Math.max(...steps)));
}

function moreDown(search: Search): Lever | null {
  const { amounts } = search.unfit;
  if (!canMove("down", search) || amounts === null) return null;
  const { down, lent } = amounts;
  const range = { from: 1, to: lent.all - 1, guess: guessOf(search, lent.all) };
  const found = leastThatMeets(search, range, more => ({ by: "down", to: down + more }));
  return found && { by: "down", change: found.at, moved: found.moved, fit: found.fit };
}

function lowerPrice(search: Search): Lever | null {
  const { amounts } = search.unfit;
  if (!canMove("price", search) || amounts === null) return null;
  const { price, lent } = amounts;
  const range = { from: 1, to: price - 1, guess: guessOf(search, lent.all) };
  const found = leastThatMeets(search, range, less => ({ by: "price", to: price - less }));
  return found && { by: "price", change: found.at, moved: found.moved, fit: found.fit };
}

function otherTerm(search: Search): Lever | null {
  const { unfit, deal, spread, usualTerms } = search;
  const base = unfit.program.kind === "lease" ? deal.lease : deal.loan;
  if (!canMove("payments", search) || !base || "datedPayments" in base.plan) return null;
  const now = paymentsFor(unfit.program, deal) ?? 0;
  const perYear = periodsPerYear(base.plan.frequency);
  const { rates } = unfit.program;
  const least = fewestPayments(Math.min(...rates.map(({ from }) => from)), perYear);
  const most = Math.min(mostPayments(Math.max(...rates.map(({ to }) => to)), perYear), MOST_PAYMENTS);
  const fitAt = (payments: number) => {
    if (payments < least || payments > most) return null;
    const fit = fitOf(unfit.program, movedDeal(deal, { by: "payments", payments }), spread);
    return isDone(fit, search) ? fit : null;
  };
  const usual = nearestFirst(usualTerms, now).find(payments => fitAt(payments) !== null);
  for (let away = 1; away < Math.max(now - least, most - now) + 1; away++) {
    for (const payments of [now - away, now + away]) {
      const fit = fitAt(payments);
      if (!fit) continue;
      const also = usual === payments ? null : (usual ?? null);
      return { by: "payments", usual: also, moved: { by: "payments", payments }, fit };
    }
  }
  return null;
}

/** Of two that are as near the shorter term first. */
const nearestFirst = (terms: readonly number[], now: number) =>
  terms
    .filter(payments => payments !== now)
    .sort((one, other) => Math.abs(one - now) - Math.abs(other - now) || one - other);

/** So many sets of extras are tried: all of nine. */
const MOST_SETS = 512;

/** The fewest extras without which it fits; of as many those that cost least together. */
function lessExtras(search: Search): Lever | null {
  const { unfit, deal, spread } = search;
  const amounts = unfit.amounts?.eachExtra ?? [];
  if (!canMove("extras", search) || amounts.length === 0) return null;
  const fitWithout = (left: readonly number[]) =>
    fitOf(unfit.program, movedDeal(deal, { by: "extras", left }), spread);
  if (!meets(fitWithout(amounts.map((_, index) => index)), search)) return null;
  const sumOf = (left: readonly number[]) => left.reduce((sum, index) => sum + (amounts[index] ?? 0), 0);
  let tried = 0;
  for (let count = 1; count <= amounts.length; count++) {
    const sets = setsOf(amounts.length, count, MOST_SETS - tried);
    if (!sets) return null;
    tried += sets.length;
    sets.sort((one, other) => sumOf(one) - sumOf(other));
    for (const left of sets) {
      const fit = fitWithout(left);
      if (isDone(fit, search)) return { by: "extras", sum: sumOf(left), moved: { by: "extras", left }, fit };
    }
  }
  return null;
}

/** All sets of so many of the first whole numbers; null where there are more than some. */
function setsOf(all: number, count: number, most: number): number[][] | null {
  let sets: number[][] = [[]];
  for (let place = 0; place < count; place++) {
    sets = sets.flatMap(set =>
      Array.from({ length: all - 1 - (set.at(-1) ?? -1) }, (_, index) => [
        ...set,
        (set.at(-1) ?? -1) + 1 + index,
      ]),
    );
    // Each that is begun leads to one at least, but for those that have no room left.
    if (sets.length > 2 * most) return null;
  }
  return sets.length > most ? null : sets;
}
