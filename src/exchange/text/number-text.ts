const RATE_PLACES = 10;
const FACTOR_PLACES = 12;

/** A rate as a plain decimal, without zeros at the end. Example: `rateText(9.690000000000001)` is "9.69". */
export function rateText(percent: number): string {
  return plain(percent, RATE_PLACES);
}

/** A money factor as a plain decimal. */
export function factorText(factor: number): string {
  return plain(factor, FACTOR_PLACES);
}

function plain(value: number, places: number): string {
  const text = value.toFixed(places).replace(/\.?0+$/, "");
  return text === "-0" ? "0" : text;
}

/** A part of the minor unit as a plain decimal of whole units: four places more than the currency has. */
export function fineAmount(minor: number, decimals: number): string {
  return (minor / 10 ** decimals).toFixed(decimals + 4);
}
