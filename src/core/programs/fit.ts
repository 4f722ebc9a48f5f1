import { civilDate, periodsPerYear } from "../calendar";
import type { LeaseDeal } from "../kinds/lease";
import type { LoanDeal } from "../kinds/loan";
import type { Failure, Result } from "../result";
import { needsPlan, type Structure } from "../structure";
import type { DealFacts, DealToFit } from "./facts";
import { limitsOfAmounts, limitsOfFacts, type Seen } from "./limits";
import { type Amounts, leaseTimes, loanTimes, mostPayments, type Timed } from "./measured";
import { overTerm } from "./moved";
import { plainName } from "./plain-name";
import { type Asked, amountsOf, askedOf, isLeaseDeal } from "./priced";
import type { Program, RateRow } from "./program";
import { type ProgramRate, rateOf, rateRow, unknownOfAdjustments } from "./rate-of";
import { isUnknown, type Reason } from "./reason";
import { leaseAt, leaseWith, loanAt, loanWith, residualRow, rowAt } from "./with-program";

type AnyDeal = LoanDeal | LeaseDeal;

/** What a program offers a deal: its rate, and what the deal then asks of the customer. */
export type Offer = ProgramRate & Asked & { perYear: number };

/** How a program goes with a deal. */
export type Fit = {
  program: Program;
  /** Not known where no limit is broken and one is of what is not known. */
  state: "fits" | "unknown" | "unfit";
  /** Every limit that is broken, and then every one of what is not known. */
  reasons: readonly Reason[];
  /** Null where it has no rate for the deal. */
  offer: Offer | null;
  /** What the deal's amounts come to with it; null where they cannot be reckoned. */
  amounts: Amounts | null;
};

/** Holds programs against one deal; what is alike of them is reckoned once. */
type Fitter = (program: Program) => Fit;

/** A deal as one kind of program finds it: its term in months, and what its lines are called. */
type Base = { deal: AnyDeal; months: number; names: readonly string[] };

/** A deal with what of a program changes its figures, but for the rate. */
type WithTerms = { deal: AnyDeal; seen: Seen; amounts: Map<string, Result<Amounts>> };

/**
 * How programs go with a deal: whether each fits, every reason why it does not, and what it offers.
 *
 * @param deal as a loan and as a lease, each asked for its payment, without the fee of another program
 * @param spread points of rate that the dealer adds, as typed
 * @example fitterOf(dealToFit, "1.24")(newVehicles).offer.payment // 68397
 */
export function fitterOf(deal: DealToFit, spread: string): Fitter {
  const withTerms = new Map<string, WithTerms>();
  const asked = new Map<string, Result<Asked>>();
  const { facts } = deal;
  const baseFor = basesOf(deal);
  return program => {
    const base = baseFor(program);
    if (base === null) return fitWith(program, [{ limit: "kind", as: "none" }], null);
    if (base.deal.structure.personal && isForVehicles(program))
      return fitWith(program, [{ limit: "vehicle", as: "none" }], null);
    const key = `${base.deal.plan.payments} ${termsKey(program, base)}`;
    const terms = kept(withTerms, key, () => termsOf(program, base, facts));
    const { seen } = terms;
    const reasons = limitsOfFacts(program, seen);
    reasons.push(...residualReasons(program, base, facts));
    if (seen.currency !== program.currency) return fitWith(program, reasons, null);
    const amountsAt = amountsOver(terms);
    const row = rateRow(program, seen.times, facts.score);
    const rated =
      "limit" in row ? unrated([row], amountsAt) : ratedOf(program, row, facts, spread, amountsAt);
    const pays = ({ rate }: ProgramRate) =>
      kept(asked, `${key} ${rate}`, () => askedOf(dealAt(terms.deal, rate)));
    reasons.push(...rated.reasons);
    return pricedFit(program, seen, reasons, rated, pays);
  };
}

/** How a program goes with a deal once its rate is known, or why there is none. Thousands are made: each member by its name. */
function pricedFit(
  program: Program,
  { facts, times, year, currency, names }: Seen,
  reasons: Reason[],
  { amounts, rate }: Rated,
  askedAt: (rate: ProgramRate) => Result<Asked>,
): Fit {
  if (amounts === null) return fitWith(program, reasons, null);
  const asked = rate && askedAt(rate);
  const pays = asked?.ok ? asked.value : null;
  const payment = pays?.mostPayment ?? null;
  const broken = limitsOfAmounts(program, { facts, times, year, currency, names, amounts, payment });
  for (const reason of broken) reasons.push(reason);
  if (asked && !asked.ok) reasons.push(sentenceOf(asked.failure));
  return fitWith(program, reasons, rate && pays && offerOf(rate, pays, times.perYear), amounts);
}

const offerOf = (
  { buyRate, rate, row }: ProgramRate,
  { payment, mostPayment, totalCost }: Asked,
  perYear: number,
): Offer => ({ buyRate, rate, row, payment, mostPayment, totalCost, perYear });

/** What the amounts of a deal come to at a rate, reckoned once for all rates where none counts. */
function amountsOver({ deal, amounts }: WithTerms): (rate: string | null) => Result<Amounts> {
  const hasRate = isLeaseDeal(deal) || needsPlan(deal.structure);
  return rate =>
    kept(amounts, hasRate && rate !== null ? rate : "", () =>
      amountsOf(rate === null ? deal : dealAt(deal, rate)),
    );
}

function kept<Key, Value>(known: Map<Key, Value>, key: Key, make: () => Value): Value {
  const found = known.get(key);
  if (found !== undefined) return found;
  const made = make();
  known.set(key, made);
  return made;
}

const timesOf = (deal: AnyDeal, facts: DealFacts): Timed =>
  isLeaseDeal(deal) ? leaseTimes(deal, facts) : loanTimes(deal, facts);

/** The deal that each program finds: over the nearest term that it offers, where the deal has none of its kind. */
function basesOf(deal: DealToFit): (program: Program) => Base | null {
  const { facts, turned } = deal;
  const bases = { loan: baseOf(deal.loan, facts), lease: baseOf(deal.lease, facts) };
  const overTerms = new Map<number, Base>();
  return program => {
    const kind = program.kind === "lease" ? "lease" : "loan";
    const base = bases[kind];
    if (base === null || turned !== kind) return base;
    const payments = nearestTerm(program, base);
    return kept(overTerms, payments, () => baseOf(overTerm(base.deal, payments), facts) as Base);
  };
}

/** The number of payments nearest to a deal's for which a program has a rate, and a lease's a residual. */
function nearestTerm(program: Program, { deal, months }: Base): number {
  const residuals =
    program.kind === "lease" && program.residuals.length > 0 ? program.residuals : program.rates;
  const offered = program.rates.flatMap(rate =>
    residuals.flatMap(residual => {
      const [from, to] = [Math.max(rate.from, residual.from), Math.min(rate.to, residual.to)];
      return from <= to ? Math.min(Math.max(months, from), to) : [];
    }),
  );
  const [nearest = months] = offered.sort((one, other) => Math.abs(one - months) - Math.abs(other - months));
  return Math.max(1, mostPayments(nearest, periodsPerYear(deal.plan.frequency)));
}

const baseOf = (deal: AnyDeal | null, facts: DealFacts): Base | null =>
  deal && { deal, months: timesOf(deal, facts).months, names: namesOf(deal.structure) };

function fitWith(
  program: Program,
  reasons: readonly Reason[],
  offer: Offer | null,
  amounts: Amounts | null = null,
): Fit {
  if (reasons.length === 0) return { program, state: "fits", reasons, offer, amounts };
  const broken = reasons.filter(reason => !isUnknown(reason));
  const state = broken.length > 0 ? "unfit" : "unknown";
  return { program, state, reasons: [...broken, ...reasons.filter(isUnknown)], offer, amounts };
}

/** Whether a program asks what only a vehicle has. */
const isForVehicles = (program: Program): boolean =>
  program.condition !== null ||
  program.mostYears !== null ||
  program.mostYearsAtEnd !== null ||
  program.mostDistance !== null ||
  program.mostLoanTo.some(({ of }) => of !== "price");

/** Why a deal cannot be answered with a program. */
const sentenceOf = ({ sentence }: Failure): Reason => ({ limit: "figures", as: "sentence", sentence });

/** What the lines of a structure are called, but for those that every structure has. */
function namesOf({ fees = [], extras = [], rebates = [], tradeIns, personal }: Structure): string[] {
  const lines: { name?: string }[] = [
    ...fees,
    ...extras,
    ...rebates,
    ...tradeIns,
    ...(personal?.payoffs ?? []),
  ];
  return lines.flatMap(({ name }) => (name === undefined ? [] : [plainName(name)]));
}

/** What of a program changes the figures of a deal besides its rate. */
function termsKey(program: Program, { deal, months }: Base): string {
  if (program.kind === "lease") {
    const { reckoning, acquisitionFee, dispositionFee, purchaseFee } = program;
    const residual = isLeaseDeal(deal) ? residualRow(program, deal, months)?.percent : undefined;
    return `lease ${reckoning} ${residual} ${acquisitionFee} ${dispositionFee} ${purchaseFee}`;
  }
  const { kind, fee, balloon } = program;
  const charged = fee?.paidBy === "customer" ? `${fee.amount} ${fee.isFinanceCharge}` : "";
  const row = kind === "balloon" ? rowAt(balloon ?? [], months) : undefined;
  return `${kind} ${charged} ${row ? `${row.most} ${row.of}` : ""}`;
}

function termsOf(program: Program, base: Base, facts: DealFacts): WithTerms {
  const deal = withProgram(program, base, facts);
  const seen: Seen = {
    facts,
    times: timesOf(deal, facts),
    year: civilDate(facts.day).year,
    currency: deal.currency,
    names: base.names,
  };
  return { deal, seen, amounts: new Map() };
}

const withProgram = (program: Program, { deal, months }: Base, facts: DealFacts): AnyDeal =>
  program.kind === "lease"
    ? leaseWith(deal as LeaseDeal, program, facts, months)
    : loanWith(deal as LoanDeal, program, facts, months);

const dealAt = (deal: AnyDeal, rate: string): AnyDeal =>
  isLeaseDeal(deal) ? leaseAt(deal, rate) : loanAt(deal, rate);

/** Whether a lease program gives a residual, and whether it is known what that is a percent of. */
function residualReasons(program: Program, { deal, months }: Base, facts: DealFacts): Reason[] {
  if (program.kind !== "lease" || !isLeaseDeal(deal) || program.residuals.length === 0) return [];
  if (!residualRow(program, deal, months)) return [{ limit: "residual", as: "none" }];
  const isKnown = deal.listPrice !== null || facts.listPrice !== null;
  return isKnown ? [] : [{ limit: "residual", as: "unknown", facts: ["listPrice"] }];
}

/** A rate with the amounts that it is of, and why there is none. */
type Rated = { amounts: Amounts | null; rate: ProgramRate | null; reasons: readonly Reason[] };

/** The amounts of a deal for which a program has no rate: where they have no answer, that is no fault of the program's. */
function unrated(reasons: readonly Reason[], amountsAt: (rate: null) => Result<Amounts>): Rated {
  const amounts = amountsAt(null);
  return { amounts: amounts.ok ? amounts.value : null, rate: null, reasons };
}

/**
 * A program's rate for a deal. Where amounts are reckoned from the payments, a higher rate can only raise them, and more
 * adjustments hold: from the buy rate upwards the least that agrees is found.
 */
function ratedOf(
  program: Program,
  row: RateRow,
  facts: DealFacts,
  spread: string,
  amountsAt: (rate: string) => Result<Amounts>,
): Rated {
  let at = row.buyRate;
  for (let step = 0; ; step++) {
    const found = amountsAt(at);
    if (!found.ok) return { amounts: null, rate: null, reasons: [sentenceOf(found.failure)] };
    const amounts = found.value;
    const missing = unknownOfAdjustments(program, amounts, facts);
    if (missing.length > 0)
      return { amounts, rate: null, reasons: [{ limit: "figures", as: "unknown", facts: missing }] };
    const rate = rateOf(program, row, amounts, facts, spread);
    const isSettled = rate.rate === at || step > program.adjust.length + 1 || amountsAt(rate.rate) === found;
    if (isSettled) return { amounts, rate, reasons: [] };
    at = rate.rate;
  }
}

/**
 * Over how many payments a program is held against a deal; null where the deal cannot be of its kind, or lists its payments.
 *
 * @example paymentsFor(newVehicles, dealToFit) // 72
 */
export const paymentsFor = (program: Program, deal: DealToFit): number | null =>
  basesOf(deal)(program)?.deal.plan.payments ?? null;

/** The deal that a program offers, with everything that it sets. */
export function offeredDeal(program: Program, deal: DealToFit, { rate }: ProgramRate): AnyDeal | null {
  const base = basesOf(deal)(program);
  return base && dealAt(withProgram(program, base, deal.facts), rate);
}
