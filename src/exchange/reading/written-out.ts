/** To as many decimals as there may be: a number can be too small to be written without an exponent. */
export const writtenOut = (typed: string | number, decimals: number): string =>
  typeof typed === "string" ? typed : typed.toFixed(decimals);

const DECIMALS_OF_A_PRICE = 6;

/** What a unit of something costs, as text. */
export const priceText = (typed: string | number): string => writtenOut(typed, DECIMALS_OF_A_PRICE);
