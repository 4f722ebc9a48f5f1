import { periodsPerYear } from "@/core";
import { type DealFile, isLease } from "@/exchange/deal-file";
import type { LoanFile } from "@/exchange/kinds/loan";
import { withOptional } from "@/exchange/members";
import type { StructureFile } from "@/exchange/structure";
import { overTerm } from "../desk/house-terms";

/** The options that are made in one step from another, that one not among them; or why there are none. */
export type Usual = { ok: true; options: DealFile[] } | { ok: false; sentence: string };

const none = (sentence: string): Usual => ({ ok: false, sentence });
const made = (options: DealFile[], sentence: string): Usual =>
  options.length > 0 ? { ok: true, options } : none(sentence);

const TERM_YEARS = [4, 5, 6, 7];

/** The terms that are usually shown beside each other, for how often it is paid: 48, 60, 72 and 84 months. */
export const usualTerms = ({ plan }: DealFile): number[] =>
  TERM_YEARS.map(years => years * periodsPerYear(plan.frequency));

/**
 * The same over other terms.
 *
 * @param rates at which some of them come; the others keep the rate that there is
 */
export function overTerms(
  inputs: DealFile,
  terms: readonly number[],
  rates: ReadonlyMap<number, string> = new Map(),
): Usual {
  if (inputs.find === "payments") return none("The number of payments is being found.");
  if ("datedPayments" in inputs.plan) return none("Its payments are listed one by one.");
  const options = terms
    .filter(payments => payments !== inputs.plan.payments)
    .map(payments => overTerm(inputs, payments, rates.get(payments)));
  return made(options, "Type other numbers of payments.");
}

/** The same with another share of the price paid down. */
export function withPercentsDown(inputs: DealFile, percents: readonly string[]): Usual {
  if (inputs.find === "down" || inputs.find === "downPercent") return none("The cash down is being found.");
  const { down } = inputs.structure;
  const now = down && "percent" in down && down.of !== "total" ? Number(down.percent) : undefined;
  const options = percents
    .filter(percent => Number(percent) !== now)
    .map(percent => withStructure(inputs, { down: { percent } }));
  return made(options, "Type other percents.");
}

/** The same without its balloon, or with one where it has none. */
export function withOrWithoutBalloon(inputs: DealFile, percent: string): Usual {
  if (isLease(inputs)) return none("A lease has a residual, no balloon.");
  if (inputs.find === "balloon") return none("The balloon is being found.");
  const { plan } = inputs;
  const balloon = plan.balloon === undefined ? { percent } : undefined;
  return { ok: true, options: [{ ...inputs, plan: withOptional(plan, "balloon", balloon) }] };
}

/** A lease just made of a loan has a residual of this much of the price. */
export function withResidual(inputs: DealFile, percent: string): DealFile {
  if (!isLease(inputs) || inputs.plan.residual || inputs.find.startsWith("residual")) return inputs;
  return { ...inputs, plan: { ...inputs.plan, residual: { percent, of: "price" } } };
}

/** What a rebate and a low rate without it are set against each other with. */
export type Offer = { rebate: string; lowRate: string };

/** The rebates of an option; of a structure without one, the one that is offered. */
function offeredRebates({ structure }: DealFile, rebate: string): StructureFile["rebates"] {
  return structure.rebates?.length ? structure.rebates : [{ name: "Rebate", amount: rebate }];
}

/** The deal with its rebate at its own rate. */
export const withRebate = (inputs: LoanFile, rebate: string): LoanFile =>
  withStructure(inputs, { rebates: offeredRebates(inputs, rebate) });

/** The rebate, or the low rate without it: what of the two the option is not already. */
export function rebateOrLowRate(inputs: DealFile, { rebate, lowRate }: Offer): Usual {
  if (isLease(inputs)) return none("A lease has no rate that a lender lowers for a rebate; a loan has.");
  if (inputs.find !== "payment") return none("To compare them, find the payment.");
  const { rebates: _, ...without } = inputs.structure;
  const atLowRate: LoanFile = {
    ...inputs,
    structure: without,
    plan: { ...inputs.plan, yearlyRate: lowRate },
  };
  const hasRebate = (inputs.structure.rebates?.length ?? 0) > 0;
  return { ok: true, options: hasRebate ? [atLowRate] : [withRebate(inputs, rebate), atLowRate] };
}

function withStructure<Inputs extends DealFile>(inputs: Inputs, change: Partial<StructureFile>): Inputs {
  return { ...inputs, structure: { ...inputs.structure, ...change } };
}
