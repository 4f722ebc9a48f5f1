const ZERO = 48;

/**
 * The digit at a place of a text; −1 where there is none.
 *
 * @example digitAt("6.49", 2) // 4
 */
export function digitAt(text: string, place: number): number {
  const digit = text.charCodeAt(place) - ZERO;
  return digit >= 0 && digit <= 9 ? digit : -1;
}

/**
 * The whole number that some digits of a text make; −1 where one of them is no digit.
 *
 * @param from the first place
 * @param to the place after the last
 * @example digitsBetween("2026-12-24", 5, 7) // 12
 */
export function digitsBetween(text: string, from: number, to: number): number {
  let whole = 0;
  for (let place = from; place < to; place++) {
    const digit = digitAt(text, place);
    if (digit < 0) return -1;
    whole = whole * 10 + digit;
  }
  return whole;
}

/** Two digits, with a zero before the second where there is one. Example: `twoDigits(7)` is "07". */
export function twoDigits(whole: number): string {
  return whole < 10 ? `0${whole}` : String(whole);
}
