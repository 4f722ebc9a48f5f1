/** How many options a deal can hold. */
export const MOST_OPTIONS = 8;
