import { parseDecimal, percentOf } from "../../interest";
import type { Quote } from "../../kinds";
import { type KindName, kindNameOf } from "../../kinds/plans";
import { HIGHEST_YEARLY_RATE, wholeText } from "../../limits";
import { failure, type Result, success } from "../../result";
import type { Bought } from "./bought";
import { boughtLease } from "./bought-lease";
import { boughtLoan } from "./bought-loan";
import type { DealerSide, ReserveTerms } from "./dealer-side";

/** What a lender pays to the dealer for a deal, in minor units; below zero it is a cost. */
export type Reserve = {
  amount: number;
  /** What the method comes to, before the dealer's share and the most that is paid. */
  byMethod: number;
  /** What of it is the dealer's, before the most that is paid. */
  share: number;
};

/** Places in which commission may not follow the rate that the customer signs, by ISO 3166-1. */
const FLAT_ONLY: Readonly<Record<string, string>> = { GB: "the United Kingdom" };

const BOUGHT = { loan: boughtLoan, lease: boughtLease } satisfies {
  [Kind in KindName]: (quote: never) => Bought;
};

/** A deal beside the same one at the rate that a lender buys it at. */
export const boughtOf = (quote: Quote): Bought => BOUGHT[kindNameOf(quote.filled)](quote as never);

/** Whether two rates, as typed, are the same. */
export function isSameRate(one: string, other: string): boolean {
  const [a, b] = [parseDecimal(one), parseDecimal(other)];
  return a !== undefined && b !== undefined && a.digits * b.scale === b.digits * a.scale;
}

/**
 * The dealer's reserve: what the customer's payments are worth more at the rate that the lender buys at, a share of the
 * interest beyond that rate, or a flat amount. The payments are those of the table, with what is agreed to be paid extra;
 * taxes and charges beside them are not in it.
 *
 * @param quote an answered deal
 * @param side what the dealer knows of it
 * @param place whose law counts, by ISO 3166-1; none where left out
 * @returns minor units; null where no reserve is agreed, or a failure with the figure to blame
 * @example reserveOf(campervan, { ...NO_SIDE, buyRate: "5.25", reserve: { method: "presentValue" } }).value.amount // 138344
 */
export function reserveOf(
  quote: Quote,
  { reserve, buyRate }: Pick<DealerSide, "reserve" | "buyRate">,
  place?: string,
): Result<Reserve | null> {
  if (reserve === null) return success(null);
  const byMethod =
    reserve.method === "flat" ? flatReserve(quote, reserve) : byRate(quote, reserve, buyRate, place);
  if (!byMethod.ok) return byMethod;
  const share = shareOf(byMethod.value, reserve.share ?? "100");
  const amount = reserve.most === undefined ? share : Math.min(share, reserve.most);
  return success({ amount, byMethod: byMethod.value, share });
}

function byRate(
  quote: Quote,
  { method }: ReserveTerms,
  buyRate: string | null,
  place: string | undefined,
): Result<number> {
  const name = place && FLAT_ONLY[place];
  if (name)
    return failure(
      "reserve",
      `In ${name} commission may not follow the rate that the customer signs: the reserve can be a flat amount, or a percent of the loan amount.`,
    );
  if (buyRate === null)
    return failure("buyRate", "The buy rate is missing; type the rate that the lender buys at.");
  const problem = rateProblem(buyRate);
  if (problem) return failure("buyRate", problem);
  const bought = boughtOf(quote);
  if (isSameRate(bought.contractRate, buyRate)) return success(0);
  if (method === "presentValue") {
    const worth = bought.worth(buyRate);
    return worth.ok ? success(worth.value - bought.amount) : worth;
  }
  const atBuyRate = bought.atBuyRate(buyRate);
  return atBuyRate.ok ? success(bought.interest - atBuyRate.value.interest) : atBuyRate;
}

function rateProblem(buyRate: string): string | undefined {
  const rate = parseDecimal(buyRate);
  if (rate && rate.digits / rate.scale <= HIGHEST_YEARLY_RATE) return undefined;
  return `The buy rate ${buyRate} is not possible; it can be 0 to ${wholeText(HIGHEST_YEARLY_RATE)}.`;
}

/**
 * Whether a place lets the dealer have no other reserve than a flat one, and its customers be told of it.
 *
 * @param place by ISO 3166-1; none where it was not said
 * @example isFlatOnly("GB") // true
 */
export const isFlatOnly = (place: string | undefined): boolean => place !== undefined && place in FLAT_ONLY;

type FlatReserve = Extract<ReserveTerms, { method: "flat" }>;

function flatReserve(quote: Quote, flat: FlatReserve): Result<number> {
  if ("amount" in flat) return success(flat.amount);
  const percent = parseDecimal(flat.percent);
  if (!percent) return failure("reserve", `${flat.percent} is not a percent of the loan amount.`);
  return success(percentOf(boughtOf(quote).amount, percent));
}

/** A percent of an amount that can be below zero, rounded half up. */
function shareOf(amount: number, percent: string): number {
  const { digits, scale } = parseDecimal(percent) ?? { digits: 100, scale: 1 };
  return Number(floorOf(2n * BigInt(amount) * BigInt(digits) + 100n * BigInt(scale), 200n * BigInt(scale)));
}

function floorOf(numerator: bigint, denominator: bigint): bigint {
  const quotient = numerator / denominator;
  return numerator < 0n && quotient * denominator !== numerator ? quotient - 1n : quotient;
}
