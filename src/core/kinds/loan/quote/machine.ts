import { lend } from "../deal";
import { readTerms } from "../plan";
import { keptMachine, type Machine, rememberMachine } from "./kept-machine";
import type { LoanSummary } from "./quote";

/** The machine of a quote; made again from its filled deal where the quote was copied or sent. */
export function machineOf(quote: LoanSummary): Machine {
  return keptMachine(quote) ?? madeAgain(quote);
}

function madeAgain(quote: LoanSummary): Machine {
  const terms = readTerms(quote.filled);
  const lent = terms.ok ? lend(quote.filled, terms.value) : terms;
  if (!terms.ok || !lent.ok) throw new Error("This is no quote: its deal has no answer.");
  const machine = { terms: terms.value, loan: lent.value.loan };
  rememberMachine(quote, machine);
  return machine;
}
