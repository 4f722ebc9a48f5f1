import type { DealerOfOption } from "../dealer";
import type { PaperName } from "./paper-kinds";

/** What else is asked of some papers. */
export type PaperDetails = {
  /** The day of a payoff, or the number of the payment after which it is; and until when it is to be good. */
  payoff?: { date: number } | { after: number };
  through?: number;
  /** Whether extra payments that are tried stand on a repayment table. */
  isTried?: boolean;
  /** Yearly rates and numbers of payments of a sheet of payments per 1,000. */
  rates?: readonly string[];
  terms?: readonly number[];
  /** The commission whose amount is to stand on a proposal, as it is agreed; null where none is. */
  commission?: DealerOfOption["reserve"] | null;
  /** What a letter encloses. */
  enclosed?: readonly PaperName[];
};
