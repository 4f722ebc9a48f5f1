import type { Loan, Terms } from "../plan";
import type { LoanSummary } from "./quote";

/** What computed a quote, for what is asked about it afterwards: the plan, read, and the loan, solved. */
export type Machine = { terms: Terms; loan: Loan };

// Only saves making it again: what is known here follows from the quote alone.
const known = new WeakMap<LoanSummary, Machine>();

/**
 * Keeps the machine that a quote was made with beside it, for as long as the quote is in use. Summaries of many deals
 * do without: little is asked about them afterwards.
 */
export function rememberMachine(quote: LoanSummary, machine: Machine): void {
  known.set(quote, machine);
}

/** The machine that was kept beside a quote. */
export const keptMachine = (quote: LoanSummary): Machine | undefined => known.get(quote);
