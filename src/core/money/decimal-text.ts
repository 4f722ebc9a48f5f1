import type { Fraction } from "./rounding";

/**
 * Writes a fraction as a decimal of at most some places, for showing unrounded figures. A cut-off tail is
 * marked by an ellipsis.
 *
 * @example decimalText({ numerator: 649n, denominator: 1200n }, 6) // "0.540833…"
 */
export function decimalText({ numerator, denominator }: Fraction, places: number): string {
  const scaled = numerator * 10n ** BigInt(places);
  const digits = String(scaled / denominator).padStart(places + 1, "0");
  const fraction = digits.slice(-places);
  const whole = digits.slice(0, -places).replace(/\B(?=(\d{3})+$)/g, ",");
  if (scaled % denominator !== 0n) return `${whole}.${fraction}…`;
  const shortened = fraction.replace(/0+$/, "");
  return shortened ? `${whole}.${shortened}` : whole;
}
