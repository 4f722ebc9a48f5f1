import { PRECISE } from "../../annuity";
import { flatCharge } from "../../kinds/loan/plan";
import { type Rounding, roundFraction, roundWhenSure } from "../../money";
import { over } from "../../precise";
import type { Basis } from "./basis";
import type { LoanWay } from "./loan-way";
import type { Timeline } from "./timeline";

/** What a loan is solved for by a way, in minor units: rounded, and before. */
export type Solved = { rounded: number; unrounded: number };

// The worth of 1,200 payments is right to a relative 1e-12.
const RELATIVE_ERROR = 4e-12;
const WHOLE = { rule: "nearest", step: 1 } as const;

/**
 * The payment, or the part of the principal, that a way solves for; rounded as if computed exactly.
 *
 * @returns null where there is none above zero
 */
export function solvedBy(basis: Basis, way: LoanWay, timeline: Timeline): Solved | null {
  const { worth } = timeline;
  const { deal, lent, balloon } = basis;
  if (worth.solved === 0) return { rounded: 0, unrounded: 0 };
  const amount = lent.loanAmount;
  const given = deal.plan.payment;
  const unrounded = (amount - worth.amounts - balloon * worth.atEnd) / worth.solved;
  if (way.rounding === null && given !== null) return { rounded: given, unrounded };
  if (!(unrounded > 0)) return null;
  const { rule, step } = way.rounding ?? WHOLE;
  if (way.rounded && way.rounded.what !== "rate" && way.rounded.what !== "rateThroughout")
    return byFactor(basis, way.rounded, { rule, step }, timeline);
  const error = (RELATIVE_ERROR * (amount + worth.amounts + balloon * worth.atEnd)) / worth.solved / step;
  const rounded = roundWhenSure(unrounded / step, error, rule, () => {
    const { solved, amounts, atEnd } = timeline.preciseWorth();
    const left = PRECISE.whole(amount) - amounts - BigInt(balloon) * atEnd;
    return over(left, solved) / BigInt(step);
  });
  return { rounded: rounded * step, unrounded };
}

const PER_THOUSAND = 3;

/** The amount times a factor that was rounded; there is one for level payments alone. */
function byFactor(
  { lent, isLevel }: Basis,
  { what, decimals }: NonNullable<LoanWay["rounded"]>,
  { rule, step }: { rule: Rounding; step: number },
  { worth, preciseWorth }: Timeline,
): Solved | null {
  if (!isLevel) return null;
  const scale = 10 ** (what === "factorPerThousand" ? decimals + PER_THOUSAND : decimals);
  const factor = roundWhenSure(scale / worth.solved, (RELATIVE_ERROR * scale) / worth.solved, "nearest", () =>
    over(PRECISE.whole(scale), preciseWorth().solved),
  );
  const numerator = BigInt(lent.loanAmount) * BigInt(factor);
  const rounded = roundFraction({ numerator, denominator: BigInt(scale) * BigInt(step) }, rule) * step;
  return { rounded, unrounded: (lent.loanAmount * factor) / scale };
}

/** The charge and the payment of interest on the original amount for the whole term, in minor units. */
export function flatSolved({ deal, lent, terms }: Basis, way: LoanWay): Solved & { charge: number } {
  const { calendar } = terms.draft;
  const charge = flatCharge(lent.loanAmount, calendar);
  const owed = lent.loanAmount + charge;
  const unrounded = owed / terms.payments;
  const given = deal.plan.payment;
  if (way.rounding === null && given !== null) return { rounded: given, unrounded, charge };
  const { rule, step } = way.rounding ?? WHOLE;
  const denominator = BigInt(terms.payments) * BigInt(step);
  return { rounded: roundFraction({ numerator: BigInt(owed), denominator }, rule) * step, unrounded, charge };
}
