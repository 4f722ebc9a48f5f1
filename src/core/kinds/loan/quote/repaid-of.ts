import type { Repaid } from "../plan";
import { machineOf } from "./machine";
import type { LoanQuote } from "./quote";

/**
 * The loan of an answered deal with its table.
 *
 * @example repaidOf(quote).rows.length // 72
 */
export const repaidOf = (quote: LoanQuote): Repaid => ({
  loan: machineOf(quote).loan,
  rows: quote.schedule,
  finalDate: quote.finalDate,
  isListed: quote.isListed,
});
