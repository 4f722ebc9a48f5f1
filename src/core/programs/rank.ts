import { type DealerSide, income } from "../after";
import { evaluate } from "../deal";
import type { DealToFit } from "./facts";
import { type Fit, fitterOf, type Offer, offeredDeal } from "./fit";
import type { Program } from "./program";
import { isUnknown } from "./reason";
import { canBeMoved } from "./what-would-fit";

/** What programs are ranked by: what the customer pays each month, or in all, or what the dealer earns. */
export const RANKS = ["payment", "totalCost", "income"] as const;
export type Rank = (typeof RANKS)[number];

/** How to rank, and for the income what the dealer knows of the deal. */
export type Ranking = { by: Rank; side: DealerSide; place?: string | undefined };

/** What programs come to on a deal: those that fit, the best first; what is not known; what does not fit, the nearest first. */
export type Ranked = { fits: readonly Fit[]; unknown: readonly Fit[]; unfit: readonly Fit[] };

const MONTHS = 12;

/**
 * Holds programs against a deal and ranks those that fit.
 *
 * @param programs in the order in which equals stay
 * @param deal as a loan and as a lease, each asked for its payment, without the fee of another program
 * @param spread points of rate that the dealer adds, as typed
 * @example rankPrograms([newVehicles], dealToFit, "1.24", { by: "payment", side: NO_SIDE }).fits.length // 1
 */
export function rankPrograms(
  programs: readonly Program[],
  deal: DealToFit,
  spread: string,
  ranking: Ranking,
): Ranked {
  const fitter = fitterOf(deal, spread);
  const all = programs.map(fitter);
  const of = (state: Fit["state"]) => all.filter(each => each.state === state);
  return {
    fits: sortedBy(of("fits"), each => rankOf(each, deal, ranking)),
    unknown: sortedBy(of("unknown"), ({ offer }) => monthly(offer)),
    unfit: sortedBy(of("unfit"), distanceToFit),
  };
}

const FAR = 1000;

/** How far a program is from fitting: what nothing can move comes last. */
const distanceToFit = ({ reasons }: Fit) =>
  reasons.reduce((far, reason) => far + (isUnknown(reason) || canBeMoved(reason) ? 1 : FAR), 0);

function sortedBy(fits: readonly Fit[], figure: (fit: Fit) => number): Fit[] {
  const ranked = fits.map(each => ({ each, at: figure(each) }));
  return ranked.sort((one, other) => one.at - other.at || 0).map(({ each }) => each);
}

const monthly = (offer: Offer | null) =>
  offer === null ? Number.POSITIVE_INFINITY : (offer.payment * offer.perYear) / MONTHS;

function rankOf(fit: Fit, deal: DealToFit, { by, side, place }: Ranking): number {
  if (by === "payment") return monthly(fit.offer);
  if (by === "totalCost") return fit.offer?.totalCost ?? Number.POSITIVE_INFINITY;
  const earned = earnedWith(fit, deal, side, place);
  return earned === null ? Number.POSITIVE_INFINITY : -earned;
}

/**
 * What the dealer earns with a program, in minor units: the program's buy rate, reserve and fee take the place of those that
 * are known of the deal.
 *
 * @returns the back gross, and with it the front gross where that is known; null where the program offers nothing
 */
export function earnedWith(
  { program, offer }: Fit,
  deal: DealToFit,
  side: DealerSide,
  place: string | undefined,
): number | null {
  const offered = offer && offeredDeal(program, deal, offer);
  const quote = offered ? evaluate(offered) : null;
  if (!offer || !quote?.ok) return null;
  const { total, back } = income(quote.value, sideWith(program, offer, side), place);
  return total ?? back.total;
}

/** The dealer's side of a deal with a program. */
export function sideWith(program: Program, { buyRate }: Offer, side: DealerSide): DealerSide {
  const fee = program.kind === "lease" ? null : program.fee;
  return {
    ...side,
    buyRate,
    reserve: program.reserve ?? side.reserve,
    ...(fee && { lenderFee: fee.paidBy === "dealer" ? fee.amount : 0 }),
  };
}
