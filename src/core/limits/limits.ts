// Every limit of what a user may give that more than one place asks about.

/** The largest amount that Kellux computes with, in whole units of a currency. */
export const LARGEST_AMOUNT = 1_000_000_000;

/** Percent a year. */
export const HIGHEST_YEARLY_RATE = 1000;

/** Payment dates of a plan. */
export const MOST_PAYMENTS = 1200;

/** Payments of a five-figure time value, which needs no table. */
export const MOST_TIME_VALUE_PAYMENTS = 12_000;

/** With fewer payments another period than the plan's own could be the common one of their yearly rate. */
export const FEWEST_IN_STREAM = 3;

/** Percent of the price. */
export const HIGHEST_BALLOON_PERCENT = 1000;

/** Percent by which a payment may rise at one step. */
export const HIGHEST_STEP_PERCENT = 1000;

/** Steps of a plan. */
export const MOST_STEPS = 100;

/** Advances and payments of a transaction of which a yearly rate is asked. */
export const MOST_DATED_AMOUNTS = 10_000;

/** Lines of repayment tables that a search for one figure may make. */
export const MOST_ROWS_TRIED = 500_000;

/** Characters of the name of a line of a structure. */
export const LONGEST_LINE_NAME = 80;

/** Lines of a structure. */
export const MOST_TAXES = 3;
export const MOST_TRADE_INS = 3;
export const MOST_FEES = 20;
export const MOST_EXTRAS = 20;
export const MOST_REBATES = 10;
export const MOST_PAYOFFS = 20;
