import { lend } from "../deal";
import { type Loan, readTerms, type Terms } from "../plans/loan";
import type { Summary } from "./quote";

/** What computed a quote, for what is asked about it afterwards: the plan, read, and the loan, solved. */
export type Machine = { terms: Terms; loan: Loan };

// Only saves making it again: what is known here follows from the quote alone.
const known = new WeakMap<Summary, Machine>();

/**
 * Keeps the machine that a quote was made with beside it, for as long as the quote is in use. Summaries of many deals
 * do without: little is asked about them afterwards.
 */
export function rememberMachine(quote: Summary, machine: Machine): void {
  known.set(quote, machine);
}

/** The machine of a quote; made again from its filled deal where the quote was copied or sent. */
export function machineOf(quote: Summary): Machine {
  return known.get(quote) ?? madeAgain(quote);
}

function madeAgain(quote: Summary): Machine {
  const terms = readTerms(quote.filled);
  const lent = terms.ok ? lend(quote.filled, terms.value) : terms;
  if (!terms.ok || !lent.ok) throw new Error("This is no quote: its deal has no answer.");
  const machine = { terms: terms.value, loan: lent.value.loan };
  rememberMachine(quote, machine);
  return machine;
}
