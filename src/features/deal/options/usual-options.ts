import { periodsPerYear } from "@/core";
import { type DealFile, isLease } from "@/exchange/deal-file";
import type { StructureFile } from "@/exchange/structure";
import { askedOf } from "../kinds/asked";
import type { Usual } from "../option/asked-kind";

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

/** An option over another term, at a rate that goes with it where there is one, as its kind has it. */
export function overTerm(inputs: DealFile, payments: number, yearlyRate: string | undefined): DealFile {
  const { planAt } = askedOf(inputs);
  const over = planAt(inputs, "payments", payments);
  return yearlyRate === undefined ? over : planAt(over, "yearlyRate", yearlyRate);
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

/** A lease just made of a loan has a residual of this much of the price. */
export function withResidual(inputs: DealFile, percent: string): DealFile {
  if (!isLease(inputs) || inputs.plan.residual || inputs.find.startsWith("residual")) return inputs;
  return { ...inputs, plan: { ...inputs.plan, residual: { percent, of: "price" } } };
}

function withStructure<Inputs extends DealFile>(inputs: Inputs, change: Partial<StructureFile>): Inputs {
  return { ...inputs, structure: { ...inputs.structure, ...change } };
}
