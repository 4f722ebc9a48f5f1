/** A screen locks after so many minutes without a key, unless the house has settled others. */
export const DEFAULT_IDLE_MINUTES = 15;
export const LONGEST_IDLE_MINUTES = 60;

/** Applications for credit are kept for 25 months (12 CFR 1002.12(b)). */
export const FEWEST_MONTHS_OF_DEALS = 25;
export const FEWEST_MONTHS_OF_DOINGS = 24;
