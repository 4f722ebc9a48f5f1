import { payoffOn } from "../../after";
import type { DayNumber } from "../../calendar";
import { costOfCredit, type LoanDeal, type LoanQuote } from "../../kinds/loan";
import { chargesOf, tally } from "../../structure";
import {
  amountChoices,
  type CountedLine,
  financingMore,
  type Machine,
  rowChoices,
  type Stated,
} from "../way";
import { type Basis, basisOf } from "./basis";
import {
  compoundingChoices,
  countingChoices,
  factorChoices,
  firstDaysChoices,
  lastChoices,
  roundingChoices,
  slipChoices,
  timingChoices,
} from "./choices";
import type { LoanWay } from "./loan-way";
import { measureLoan } from "./measure";
import { rateChoices } from "./rate-choices";

/** Where what credit costs is told as an effective yearly rate. */
const EFFECTIVE_PLACES: ReadonlySet<string> = new Set(["GB", "DE"]);

const MOST_WAYS = 200_000;
/** Of longer loans fewer ways are tried: as many rows as those of so many ways of 72 payments. */
const MOST_ROWS = 72 * MOST_WAYS;

/**
 * How ways of a loan are made and what they come to. Extra payments of the plan are left out.
 *
 * @param quote an answered deal
 * @param stated what another says, which an amount financed can come from
 * @param place whose law says what an APR is, by ISO 3166-1
 * @returns null where nothing can be lent by it
 */
export function loanMachine(quote: LoanQuote, stated: Stated, place?: string): Machine<LoanWay> | null {
  const deal = withGivenFigures(quote);
  const basis = basisOf(deal);
  if (!basis) return null;
  const { plan } = deal;
  const base: LoanWay = {
    deal,
    timing: plan.timing ?? "arrears",
    compounding: plan.compounding ?? "payments",
    count: plan.dayCount ?? "equal",
    firstDays: "charged",
    interestFrom: null,
    isFlat: basis.terms.draft.flat !== null,
    rounding: plan.payment === null ? { rule: plan.rounding, step: plan.roundingStep ?? 1 } : null,
    rounded: null,
    rows: "halfUp",
    isLastAdjusted: true,
    isAprEffective: place !== undefined && EFFECTIVE_PLACES.has(place),
  };
  const earlyFee = earlyFeeOf(quote);
  const apr = costOfCredit(quote);
  return {
    decimals: quote.decimals,
    base,
    choices: [
      amountChoices<LoanDeal, LoanWay>(linesOf(basis), {
        figure: stated.amountFinanced,
        own: basis.lent.amountFinanced,
        cash: quote.down,
        decimals: quote.decimals,
      }),
      firstDaysChoices(basis),
      countingChoices(basis),
      timingChoices(basis),
      compoundingChoices(basis),
      roundingChoices(basis),
      factorChoices(basis),
      rowChoices(),
      lastChoices(),
      rateChoices(basis, apr.ok ? apr.value.apr : undefined, stated.apr !== undefined),
      slipChoices(basis),
    ],
    mostWays: Math.min(MOST_WAYS, Math.floor(MOST_ROWS / basis.terms.payments)),
    withMore: (way, more) => ({ ...way, deal: financingMore(way.deal, more, quote.down) }),
    measure: way => measureLoan(way, earlyFee),
  };
}

/** The deal with all its figures given, asked for its payment unless that was given. */
function withGivenFigures({ filled, payment, deal }: LoanQuote): LoanDeal {
  const { from: _from, ...rest } = filled;
  const { extra: _extra, ...plan } = filled.plan;
  const isGiven = deal.find !== "payment" && filled.plan.payment !== null;
  return {
    ...rest,
    find: "payment",
    plan: { ...plan, payment: isGiven ? payment : null },
  };
}

/** The lines that can be left out, there twice or financed: all but the price, the cash and what is owed. */
function linesOf({ deal, lent }: Basis): CountedLine[] {
  const { structure, reckoned } = lent;
  const financed = tally(structure, reckoned)
    .filter(({ figure }) => figure !== "price" && figure !== "down")
    .map(({ name, sign, amount }): CountedLine => ({ name, amount: sign * amount, isFinanced: true }));
  const amounts = [...reckoned.fees, ...reckoned.extras];
  const others = chargesOf(deal.structure).flatMap(({ name, paid }, index): CountedLine[] =>
    paid === "financed" ? [] : [{ name, amount: amounts[index] ?? 0, isFinanced: false }],
  );
  const taxes = (structure.isTaxIncluded ? [] : (structure.taxes ?? [])).flatMap(
    ({ name, isFinanced }, index): CountedLine[] =>
      isFinanced ? [] : [{ name, amount: reckoned.taxes[index]?.amount ?? 0, isFinanced: false }],
  );
  return [...financed, ...others, ...taxes];
}

/** What the plan charges for ending the loan on a day, in minor units. */
function earlyFeeOf(quote: LoanQuote): (on: DayNumber) => number {
  if (!quote.filled.plan.earlyFee?.length) return () => 0;
  return on => {
    const payoff = payoffOn(quote, on);
    return payoff.ok ? payoff.value.earlyFee : 0;
  };
}
