import type { DayNumber } from "../calendar";
import { MOST_DATED_AMOUNTS, wholeText } from "../limits";

/** Money on a date, in minor units. */
export type DatedAmount = { date: DayNumber; amount: number };

/** What is lent and what is paid back for it. */
export type Transaction = {
  /** Money to the customer, net of finance charges that are kept back. */
  advances: readonly DatedAmount[];
  /** Money from the customer. */
  payments: readonly DatedAmount[];
};

/**
 * What is wrong with a transaction, as one sentence; undefined where nothing is.
 *
 * @example transactionProblem({ advances: [], payments: [] }) // "There is no advance; give what is lent with its date."
 */
export function transactionProblem({ advances, payments }: Transaction): string | undefined {
  if (advances.length === 0) return "There is no advance; give what is lent with its date.";
  if (payments.length === 0) return "There is no payment; give what is paid with its date.";
  if (advances.length + payments.length > MOST_DATED_AMOUNTS) {
    return `There are ${advances.length + payments.length} amounts; there can be at most ${wholeText(MOST_DATED_AMOUNTS)}.`;
  }
  const wrong = [...advances, ...payments].find(({ amount }) => !(amount > 0));
  if (wrong) return `An amount is ${wrong.amount}; advances and payments are above 0.`;
  const days = [...advances, ...payments].map(({ date }) => date);
  if (Math.min(...days) === Math.max(...days)) {
    return "All money moves on one day, so that no time passes and there is no rate.";
  }
  return undefined;
}

/** Amounts in the order of their dates. */
export function byDate(amounts: readonly DatedAmount[]): DatedAmount[] {
  return [...amounts].sort((a, b) => a.date - b.date);
}
