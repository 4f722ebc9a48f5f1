import { type DealerSide, type Result, success } from "@/core";
import {
  type DealToFit,
  earnedWith,
  type Fit,
  hasScore,
  isUnknown,
  type Lever,
  type Moved,
  type Program,
  paymentsFor,
  type Rank,
  type Reason,
  rankPrograms,
  whatWouldFit,
} from "@/core/programs";
import type { DealFile } from "../deal-file";
import { type DealerOfOption, readSide } from "../dealer";
import { dealToFit, type ToFit, withoutProgramFee } from "./deal-to-fit";
import { leverInWords } from "./lever-words";
import { reasonInWords, unknownInWords } from "./reason-words";

/** What is asked of programs on an option. */
export type ProgramsAsked = {
  inputs: DealFile;
  known: ToFit;
  dealer: DealerOfOption;
  place: string | undefined;
  /** Points of rate that the dealer adds, as typed. */
  spread: string;
  rank: Rank;
  usualTerms: readonly number[];
  /** How many are told, from which on. */
  from: number;
  most: number;
};

/** Something that makes a program fit, in words, and what the option then asks of the customer. */
export type LeverTold = {
  words: string;
  moved: Moved;
  /** A usual term of the house that does, too. */
  usual: number | null;
} & Pays;

/** Minor units; a rate as typed. */
type Pays =
  | { rate: string; payment: number; totalCost: number }
  | Record<"rate" | "payment" | "totalCost", null>;

/** A program on an option, as the dealer sees it. */
export type ProgramTold = {
  lender: string;
  name: string;
  kind: Program["kind"];
  state: Fit["state"];
  /** By money factor, where it is a lease reckoned by one. */
  isFactor: boolean;
  payments: number | null;
  buyRate: string | null;
  /** What the dealer earns, in minor units. */
  income: number | null;
  reasons: { words: string; lever: LeverTold | null; isOfDealer: boolean }[];
  levers: LeverTold[];
} & Pays;

/** How many there are of each, and those that are told. */
export type ProgramsTold = {
  currency: string;
  fits: number;
  unknown: number;
  unfit: number;
  rows: ProgramTold[];
};

/**
 * Programs on an option: those that fit ranked, then what is not known of the others, then those that do not fit with what
 * would make them.
 *
 * @returns what is told of them, or why the option itself has no answer
 */
export function programsOnDeal(programs: readonly Program[], asked: ProgramsAsked): Result<ProgramsTold> {
  const { inputs, known, spread, from, most, place } = asked;
  const deal = dealToFit(inputs, known);
  if (!deal.ok) return deal;
  const side = readSide(withoutProgramFee(inputs), asked.dealer);
  if (!side.ok) return side;
  const ranking = { by: asked.rank, side: side.value, place };
  const ranked = rankPrograms(programs, deal.value, spread, ranking);
  const shown = [...ranked.fits, ...ranked.unknown, ...ranked.unfit].slice(from, from + most);
  return success({
    currency: inputs.currency,
    fits: ranked.fits.length,
    unknown: ranked.unknown.length,
    unfit: ranked.unfit.length,
    rows: shown.map(fit => told(fit, deal.value, side.value, asked)),
  });
}

function told(fit: Fit, deal: DealToFit, side: DealerSide, asked: ProgramsAsked): ProgramTold {
  const { program, state, reasons, offer } = fit;
  const { inputs, spread, usualTerms, place } = asked;
  const would = whatWouldFit(fit, deal, spread, usualTerms);
  const words = wordsOf(inputs);
  return {
    lender: program.lender,
    name: program.name,
    kind: program.kind,
    state,
    isFactor: program.kind === "lease" && program.reckoning === "moneyFactor",
    payments: paymentsFor(program, deal),
    buyRate: offer?.buyRate ?? null,
    income: earnedWith(fit, deal, side, place),
    reasons: [
      ...reasons.flatMap((reason, index) =>
        isUnknown(reason)
          ? []
          : {
              words: reasonInWords(reason, inputs.currency),
              lever: leverTold(would.each[index] ?? null, words),
              isOfDealer: isOfDealer(reason, program),
            },
      ),
      ...unknownTold(reasons),
    ],
    levers: would.levers.flatMap(lever => leverTold(lever, words) ?? []),
    ...paysOf(fit),
  };
}

/** All that is not known, once. */
function unknownTold(reasons: readonly Reason[]): ProgramTold["reasons"] {
  const facts = reasons.flatMap(reason => (reason.as === "unknown" ? reason.facts : []));
  if (facts.length === 0) return [];
  return [{ words: unknownInWords(facts), lever: null, isOfDealer: true }];
}

const paysOf = ({ offer }: Fit): Pays =>
  offer
    ? { rate: offer.rate, payment: offer.payment, totalCost: offer.totalCost }
    : { rate: null, payment: null, totalCost: null };

type Words = Parameters<typeof leverInWords>[1];

const wordsOf = ({ currency, structure }: DealFile): Words => ({
  currency,
  extras: (structure.extras ?? []).map(({ name }) => name),
  isPersonal: structure.purpose !== undefined,
});

const leverTold = (lever: Lever | null, words: Words): LeverTold | null =>
  lever && {
    words: leverInWords(lever, words),
    moved: lever.moved,
    usual: lever.by === "payments" ? lever.usual : null,
    ...paysOf(lever.fit),
  };

/** What only the dealer may know: a score, an income, debts, an invoice; and a term that hangs on a score. */
function isOfDealer(reason: Reason, { rates }: Program): boolean {
  if (reason.as === "percent" && reason.of === "invoice") return true;
  if (reason.limit === "term") return rates.some(hasScore);
  return OF_DEALER.has(reason.limit);
}

const OF_DEALER: ReadonlySet<Reason["limit"]> = new Set(["score", "paymentToIncome", "debtToIncome"]);

/** A program as every page may see it: no reason and nothing that would make it fit where that could tell what is the dealer's. */
export function forEveryone(row: ProgramTold): ProgramTold {
  const isHidden = row.reasons.some(({ isOfDealer: hidden }) => hidden);
  return {
    ...row,
    buyRate: null,
    income: null,
    reasons: isHidden ? [] : row.reasons.map(reason => ({ ...reason, lever: null })),
    levers: [],
  };
}
