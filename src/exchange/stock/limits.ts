/** The first vehicles were sold about then; and no model is of a year that far ahead. */
export const FIRST_MODEL_YEAR = 1885;
export const LAST_MODEL_YEAR = 2199;

/** The farthest that a vehicle is said to have gone. */
export const FARTHEST = 9_999_999;

/** So many letters has a stock number, an identification or the name of a guide. */
export const LONGEST_NUMBER = 40;
