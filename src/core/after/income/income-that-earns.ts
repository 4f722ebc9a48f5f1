import { evaluate } from "../../deal";
import { placesText } from "../../find";
import { PERCENT_OF_FACTOR, parseDecimal } from "../../interest";
import type { Deal, Quote } from "../../kinds";
import { askingPayment } from "../../kinds/kind";
import { HIGHEST_YEARLY_RATE, LARGEST_AMOUNT } from "../../limits";
import { currencyDecimals, groupedAmount } from "../../money";
import { failure, type Result, success } from "../../result";
import { lastWhole } from "../../solve";
import type { DealerSide } from "./dealer-side";
import { type Income, income } from "./income";

/** What is to be earned, in minor units, and what is to make it so. */
export type WantedIncome = {
  of: "reserve" | "total";
  amount: number;
  /** The rate that the customer signs, a money factor where the lease is reckoned by one, or the price. */
  find: "rate" | "price";
  /** The steps of the rate, as typed; 0.001 where left out, of a money factor 0.00001. */
  rateStep?: string;
};

/** The figure that earns it, and the deal with it. */
export type EarnsIt = {
  /** Percent a year or a money factor as typed, or the price in minor units as digits. */
  figure: string;
  deal: Deal;
  quote: Quote;
  income: Income;
};

const STEP = "0.001";
const FACTOR_STEP = "0.00001";

/** Roundings can put neighbours out of order; no further back is one looked for that earns it, too. */
const MOST_REACH = 1000;

/**
 * The least rate, in steps, or the least price, with which a deal earns what is wanted of its reserve or in all. The payment is
 * what follows from it.
 *
 * @param quote an answered deal
 * @param side what the dealer knows of it
 * @param wanted what is to be earned
 * @param place whose law counts, by ISO 3166-1; none where left out
 * @returns the figure and what it then earns, or a failure where nothing earns it
 * @example
 * const side = { ...NO_SIDE, buyRate: "5.25", reserve: { method: "presentValue" } };
 * incomeThatEarns(campervan, side, { of: "reserve", amount: 200_000, find: "rate" }).value.figure // "7.035"
 */
export function incomeThatEarns(
  quote: Quote,
  side: DealerSide,
  wanted: WantedIncome,
  place?: string,
): Result<EarnsIt> {
  const now = income(quote, side, place);
  const money = (minor: number) => groupedAmount(minor, quote.decimals);
  const [why] = now.notes;
  if (earnedOf(now, wanted.of) === null)
    return failure("income", why ?? "No reserve is agreed; say how the lender pays it.");
  const { most, method } = side.reserve ?? {};
  if (wanted.of === "reserve" && most !== undefined && wanted.amount > most)
    return failure("reserve", `The reserve is at most ${money(most)}; no ${wanted.find} earns more.`);
  if (wanted.of === "reserve" && wanted.find === "rate" && method === "flat")
    return failure("reserve", "A flat reserve does not follow the rate; no rate changes it.");
  const tried = wanted.find === "rate" ? rateTries(quote, wanted.rateStep) : success(priceTries(quote));
  if (!tried.ok) return tried;
  const { high, guess, dealAt, textOf } = tried.value;
  const { payments, roundingStep = 1 } = quote.filled.plan;
  // A payment is rounded by no more than its step: what earns less by more than all of them is no neighbour.
  const outOfOrder = 2 * (payments ?? 0) * roundingStep;
  const at = (whole: number): EarnsIt | undefined => {
    const deal = dealAt(whole);
    const answer = evaluate(deal);
    if (!answer.ok) return undefined;
    return { figure: textOf(whole), deal, quote: answer.value, income: income(answer.value, side, place) };
  };
  const earnedAt = (whole: number) => {
    const found = at(whole);
    const earned = found && earnedOf(found.income, wanted.of);
    return earned ?? (whole < guess ? Number.NEGATIVE_INFINITY : Number.POSITIVE_INFINITY);
  };
  const least = leastThatEarns(earnedAt, wanted.amount, tried.value, outOfOrder);
  const found = least <= high ? at(least) : undefined;
  const earned = found && earnedOf(found.income, wanted.of);
  if (!found || earned === null || earned === undefined || earned < wanted.amount)
    return failure("income", `No ${wanted.find} of this deal earns ${money(wanted.amount)}.`);
  return success(found);
}

/** The least whole number with which so much is earned; beyond the range where none does. */
function leastThatEarns(
  earnedAt: (whole: number) => number,
  amount: number,
  { high, guess }: Pick<Tries, "high" | "guess">,
  outOfOrder: number,
): number {
  const last = lastWhole(whole => earnedAt(whole) - amount + 0.5, 0, high, guess);
  let least = last + 1;
  for (let whole = last; whole >= Math.max(least - MOST_REACH, 0); whole--) {
    const short = amount - earnedAt(whole);
    if (short <= 0) least = whole;
    else if (short > outOfOrder) break;
  }
  return least;
}

/** What is earned, in minor units; null where it is not known. */
export const earnedOf = ({ reserve, total }: Income, of: WantedIncome["of"]): number | null =>
  of === "total" ? total : (reserve?.amount ?? null);

/** Whole numbers that are tried for a figure. */
type Tries = {
  high: number;
  guess: number;
  dealAt: (whole: number) => Deal;
  textOf: (whole: number) => string;
};

function rateTries({ filled }: Quote, asked: string | undefined): Result<Tries> {
  const { plan } = filled;
  const byFactor = plan.kind === "lease" && plan.reckoning === "moneyFactor";
  const name = byFactor ? "moneyFactor" : "yearlyRate";
  const step = parseDecimal(asked ?? (byFactor ? FACTOR_STEP : STEP));
  if (!step || step.digits === 0)
    return failure("yearlyRate", `A step of ${asked} is not possible; type one such as 0.01.`);
  const size = step.digits / step.scale;
  const places = Math.round(Math.log10(step.scale));
  const textOf = (whole: number) => placesText(whole * step.digits, places);
  const typed = plan.kind === "lease" && byFactor ? plan.moneyFactor : plan.yearlyRate;
  const deal = askingPayment(filled);
  return success({
    high: Math.floor(HIGHEST_YEARLY_RATE / (byFactor ? PERCENT_OF_FACTOR : 1) / size),
    guess: Math.round(Number(typed ?? 0) / size),
    dealAt: whole => ({ ...deal, plan: { ...deal.plan, [name]: textOf(whole) } }) as Deal,
    textOf,
  });
}

function priceTries({ filled, price }: Quote): Tries {
  const deal = askingPayment(filled);
  return {
    high: LARGEST_AMOUNT * 10 ** (currencyDecimals(filled.currency) ?? 2),
    guess: price,
    dealAt: whole => ({ ...deal, structure: { ...deal.structure, price: whole } }) as Deal,
    textOf: String,
  };
}
