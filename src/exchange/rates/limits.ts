export const MOST_LENDERS = 100;
export const MOST_PROGRAMS = 50;
