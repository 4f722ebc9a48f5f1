import { decimalText, factorOf, PERCENT_OF_FACTOR, parseDecimal } from "../../interest";
import type { LeaseDeal, LeaseQuote } from "../../kinds/lease";
import { chargesOf } from "../../structure";
import {
  amountChoices,
  type Choice,
  type CountedLine,
  type Departure,
  dealChoice,
  financingMore,
  type Machine,
  otherRoundings,
  type RateMeaning,
  ROUNDED_PLACES,
  rowChoices,
  type Stated,
} from "../way";
import type { LeaseWay } from "./lease-way";
import { measureLease } from "./measure";
import { leaseSlips } from "./slips";

type LeaseChoice = Choice<LeaseWay>;

/** A lease is settled with its taxes for each way, which takes some five times as long as a loan's. */
const MOST_LEASES = 40_000;

/**
 * How ways of a lease are made and what they come to.
 *
 * @param quote an answered lease
 * @param stated what another says, which an adjusted capitalized cost can come from
 */
export function leaseMachine(quote: LeaseQuote, stated: Stated): Machine<LeaseWay> {
  const { down, filled, decimals, lines, cost } = quote;
  const { from: _from, ...rest } = filled;
  const deal: LeaseDeal = {
    ...rest,
    find: "payment",
    plan: { ...rest.plan, payment: null },
  };
  const isKept = (figure: string) => figure === "price" || figure === "down" || figure === "equity";
  const amounts = [...quote.fees, ...quote.extras];
  const counted: CountedLine[] = [
    ...lines
      .filter(({ figure }) => !isKept(figure))
      .map(({ name, sign, amount }) => ({ name, amount: sign * amount, isFinanced: true })),
    ...chargesOf(deal.structure).flatMap(({ name, paid }, index): CountedLine[] =>
      paid === "financed" ? [] : [{ name, amount: amounts[index] ?? 0, isFinanced: false }],
    ),
  ];
  return {
    decimals,
    base: { deal, isTaxOnUnrounded: false, rows: "halfUp" },
    choices: [
      amountChoices<LeaseDeal, LeaseWay>(counted, {
        figure: stated.amountFinanced,
        own: cost,
        cash: down,
        decimals,
      }),
      timingChoices(deal),
      roundingChoices(deal),
      factorChoices(),
      taxChoices(deal),
      rowChoices(),
      rateChoices(deal),
      leaseSlips(deal, down).map(({ slip, change }) =>
        dealChoice<LeaseDeal, LeaseWay>({ kind: "slip", ...slip }, change, 2),
      ),
    ],
    mostWays: MOST_LEASES,
    withMore: (way, more) => ({ ...way, deal: financingMore(way.deal, more, down) }),
    measure: measureLease,
  };
}

/** A choice that is one of the plan's own members. */
const ofPlan = (
  departure: Departure,
  of: (plan: LeaseDeal["plan"]) => Partial<LeaseDeal["plan"]> | null,
): LeaseChoice =>
  dealChoice<LeaseDeal, LeaseWay>(departure, deal => {
    const changed = of(deal.plan);
    return changed && { ...deal, plan: { ...deal.plan, ...changed } };
  });

/** The first payment at signing, or all of them at the end of their periods. */
function timingChoices({ plan }: LeaseDeal): LeaseChoice[] {
  const [timing, inAdvance] = plan.inAdvance === 0 ? (["advance", 1] as const) : (["arrears", 0] as const);
  return [ofPlan({ kind: "timing", timing }, () => ({ inAdvance }))];
}

function roundingChoices({ plan }: LeaseDeal): LeaseChoice[] {
  return otherRoundings({ rule: plan.rounding, step: plan.roundingStep ?? 1 }).map(({ rule, step }) =>
    ofPlan({ kind: "rounding", rule, step }, () => ({ rounding: rule, roundingStep: step })),
  );
}

/** A money factor that is rounded to some decimals before anything follows from it. */
function factorChoices(): LeaseChoice[] {
  return ROUNDED_PLACES.map(decimals =>
    ofPlan({ kind: "rounded", what: "moneyFactor", decimals }, ({ reckoning, moneyFactor }) => {
      if (reckoning !== "moneyFactor" || moneyFactor === null) return null;
      const rounded = roundedFactor(moneyFactor, decimals);
      return rounded === moneyFactor ? null : { moneyFactor: rounded };
    }),
  );
}

/** A money factor as typed, rounded half up to some decimals. */
export function roundedFactor(typed: string, places: number): string {
  const { digits = 0, scale = 1 } = parseDecimal(typed) ?? {};
  const to = 10 ** places;
  if (scale <= to) return typed;
  const by = scale / to;
  return (Math.floor((digits + by / 2) / by) / to).toFixed(places);
}

function taxChoices({ plan }: LeaseDeal): LeaseChoice[] {
  if (!plan.taxes.some(({ on }) => on.includes("payment"))) return [];
  return [
    {
      departure: { kind: "taxOn", what: "unrounded" },
      count: 1,
      change: way => ({ ...way, isTaxOnUnrounded: true }),
    },
  ];
}

/** A money factor taken for the rate that goes with it, or the other way round. */
function rateChoices({ plan }: LeaseDeal): LeaseChoice[] {
  const of = (as: RateMeaning, change: Parameters<typeof ofPlan>[1]) => ofPlan({ kind: "rate", as }, change);
  if (plan.reckoning === "moneyFactor")
    return [
      of("levelYield", ({ moneyFactor }) => ({
        reckoning: "levelYield",
        yearlyRate: decimalText(Number(moneyFactor ?? 0) * PERCENT_OF_FACTOR),
      })),
    ];
  return [
    of("moneyFactor", ({ yearlyRate }) => ({
      reckoning: "moneyFactor",
      moneyFactor: factorOf(Number(yearlyRate ?? 0)),
    })),
  ];
}
