import { type ReturnAfterTax, returnAfterTax, type YearlyReturn } from "../after";
import { addMonths, type DayNumber } from "../calendar";
import { kindNameOf, type Quote } from "../kinds";
import type { LeaseQuote } from "../kinds/lease";
import type { LoanQuote } from "../kinds/loan";
import { type Failure, failure, type Result, success } from "../result";
import type { Tax } from "../structure";
import { type CashPrice, cashPrice, cashWay, purchaseTaxes } from "./cash-way";
import { type Discount, discountBy, type Summed, summed } from "./cost";
import { hundredthsOf, unitIn } from "./driven";
import type { KeepFor } from "./keep-for";
import { leaseWays } from "./lease-ways";
import { loanWays } from "./loan-ways";
import type { ValueTerms } from "./value";
import type { Way } from "./way";

/** A deal, asked how long its vehicle is kept. */
export type HorizonAsked = {
  /** Of each option, in their order; null for one without an answer. */
  quotes: readonly (Quote | null)[];
  /** The number of the chosen one, from 0. */
  chosen: number;
  keepFor: KeepFor;
  /** The house's usual taxes of a purchase. */
  usualTaxes?: readonly Tax[] | undefined;
  /** The place whose law counts, by ISO 3166-1. */
  place?: string | undefined;
};

/** Why an option is none of the ways. */
type LeftOut = { option: number; failure: Failure };

/** Everything that answers are made of: each way with its flows, and what is assumed. */
export type Horizon = {
  keepFor: KeepFor;
  signed: DayNumber;
  /** Cash first, then those of each option. */
  ways: readonly Summed[];
  leftOut: readonly LeftOut[];
  cash: CashPrice;
  value: ValueTerms;
  /** Whether the percents of the curve are of a list price, or of the price because there is none. */
  percentsOf: "listPrice" | "price";
  driven: number;
  /** Null where no return is known. */
  discount: Discount | null;
  keeps: number;
  /** How long the longest of what was agreed is, in months. */
  longest: number;
};

/**
 * Lays out every way to pay for a deal's vehicle: cash, and each option with its ends.
 *
 * @param asked answered options with dates of signing, and what is assumed
 * @param months up to when there are to be answers; how long it is kept where left out
 * @returns the ways, or a failure where the chosen option has no answer, no date or no vehicle
 */
export function horizonOf(asked: HorizonAsked, months?: number): Result<Horizon> {
  const { quotes, chosen, keepFor, usualTaxes, place } = asked;
  const own = quotes[chosen];
  if (!own) return failure("keepFor", "The chosen option has no answer yet; give it one.");
  const why = whyNotKept(own);
  if (why) return { ok: false, failure: why };
  const signed = own.startDate as DayNumber;
  const growth = keepFor.yearlyReturn && returnAfterTax(keepFor.yearlyReturn);
  if (growth && !growth.ok) return growth;
  const discount = growth && keepFor.yearlyReturn ? discountOf(keepFor.yearlyReturn, growth.value) : null;
  const cash = cashPrice(own, purchaseTaxes(quotes, chosen, usualTaxes), keepFor);
  const ways: Way[] = [cashWay(cash, signed)];
  const leftOut: LeftOut[] = [];
  for (const [option, quote] of quotes.entries()) {
    if (!quote) continue;
    const after = keepFor.after[option] ?? "buy";
    const wrong = whyNotKept(quote) ?? whyNotAfter(quote, after) ?? whyNotMeasured(quote, keepFor.unit);
    if (wrong) {
      leftOut.push({ option, failure: wrong });
      continue;
    }
    const until = addMonths(quote.startDate as DayNumber, Math.max(months ?? 0, keepFor.months));
    const terms = { option, after, until, place, scaleOf: (unit: string) => unitIn(keepFor.unit, unit) };
    ways.push(...(isLease(quote) ? leaseWays(quote, terms) : loanWays(quote as LoanQuote, terms)));
  }
  const { of, percentsOf } = worthOf(quotes, chosen, keepFor);
  return success({
    keepFor,
    signed,
    ways: ways.map(way => summed(way, discount)),
    leftOut,
    cash,
    value: { curve: keepFor.value, of, decimals: own.decimals },
    percentsOf,
    driven: hundredthsOf(keepFor.distance),
    discount,
    keeps: growth ? growth.value.keeps : 1,
    longest: Math.max(0, ...ways.map(monthsOfTerm)),
  });
}

/** The same return is asked of with every key, and its roots take long. */
const discounts = new Map<string, Discount>();
const MOST_DISCOUNTS = 16;

function discountOf({ rate, tax }: YearlyReturn, growth: ReturnAfterTax): Discount {
  const key = `${rate} ${tax}`;
  const discount = discounts.get(key) ?? discountBy(growth);
  if (discounts.size >= MOST_DISCOUNTS) discounts.clear();
  discounts.set(key, discount);
  return discount;
}

const isLease = (quote: Quote): quote is LeaseQuote => kindNameOf(quote.filled) === "lease";

/** Whole months to the end of what was agreed, a part of one counted as one. */
function monthsOfTerm({ signed, endDate }: Way): number {
  if (endDate === null) return 0;
  let months = 0;
  while (addMonths(signed, months) < endDate) months += 1;
  return months;
}

function whyNotKept({ startDate, filled }: Quote): Failure | undefined {
  if (filled.structure.personal)
    return {
      figure: "keepFor",
      sentence: "A personal loan has no vehicle; how long one is kept is not asked of it.",
    };
  return startDate === null
    ? {
        figure: "signed",
        sentence: "How long a vehicle is kept is counted from the date of signing; give the contract date.",
      }
    : undefined;
}

function whyNotAfter(quote: Quote, after: KeepFor["after"][number]): Failure | undefined {
  if (isLease(quote) || after === "buy") return undefined;
  const { balloon } = (quote as LoanQuote).filled.plan;
  if (after === "handBack" && balloon?.returnable) return undefined;
  return {
    figure: "keepFor",
    sentence:
      after === "again"
        ? "A loan is not signed again after its end; leave that to leases."
        : "A loan whose balloon is not agreed to be returnable has nothing to hand back.",
  };
}

/** Distances that cannot be set against each other. */
function whyNotMeasured(quote: Quote, unit: string): Failure | undefined {
  const { plan } = quote.filled;
  const distance =
    plan.kind === "lease"
      ? plan.distance
      : "balloon" in plan
        ? plan.balloon?.returnable?.distance
        : undefined;
  if (!distance || unitIn(unit, distance.unit)) return undefined;
  return {
    figure: "distance",
    sentence: `Its distance is in ${distance.unit}, and what is driven in ${unit}; give both in one unit, mi or km.`,
  };
}

/** What the percents of the curve are of. */
function worthOf(
  quotes: readonly (Quote | null)[],
  chosen: number,
  { value }: KeepFor,
): { of: number; percentsOf: Horizon["percentsOf"] } {
  const listPriceOf = (quote: Quote | null | undefined) =>
    quote && "listPrice" in quote.filled ? quote.filled.listPrice : null;
  const listed =
    value.listPrice ?? [quotes[chosen], ...quotes].map(listPriceOf).find(price => price !== null);
  return listed == null
    ? { of: quotes[chosen]?.price ?? 0, percentsOf: "price" }
    : { of: listed, percentsOf: "listPrice" };
}
