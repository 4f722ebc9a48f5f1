const ZERO = 48;
const POINT = 46;

const RATE_PLACES = 10;
const FACTOR_PLACES = 12;
/** From here on numbers have no fraction, and would be written with an exponent. */
const WRITTEN_OUT = 1e21;

/** A rate as a plain decimal, without zeros at the end. Example: `rateText(9.690000000000001)` is "9.69". */
export function rateText(percent: number): string {
  return plain(percent, RATE_PLACES);
}

/** A money factor as a plain decimal. */
export function factorText(factor: number): string {
  return plain(factor, FACTOR_PLACES);
}

/** A number with at most so many places, without zeros at the end. */
function plain(value: number, places: number): string {
  if (Math.abs(value) >= WRITTEN_OUT) return String(BigInt(Math.round(value)));
  const text = value.toFixed(places);
  let end = text.length;
  while (text.charCodeAt(end - 1) === ZERO) end -= 1;
  if (text.charCodeAt(end - 1) === POINT) end -= 1;
  const short = text.slice(0, end);
  return short === "-0" ? "0" : short;
}

/** A part of the minor unit as a plain decimal of whole units: four places more than the currency has. */
export function fineAmount(minor: number, decimals: number): string {
  return (minor / 10 ** decimals).toFixed(decimals + 4);
}
