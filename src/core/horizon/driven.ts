import { MILLIMETRES } from "../distance";
import { atLeastZero, difference, type Exact, exactOf, halfUp, product, wholly } from "./exact";

/** Distance is held in hundredths of a unit. */
export const HUNDREDTHS = 100;

/** So much driven a year, in hundredths of a unit; or the nearest, of a number with more decimals. */
export const hundredthsOf = (distance: number): number => Math.round(distance * HUNDREDTHS);

const asUnits = (hundredths: number): Exact => ({
  numerator: BigInt(hundredths),
  denominator: BigInt(HUNDREDTHS),
});

/** How many of one unit another one is; undefined where the two cannot be set against each other. */
export function unitIn(unit: string, other: string): Exact | undefined {
  const [from, to] = [unit.toLowerCase(), other.toLowerCase()];
  if (from === to) return wholly(1);
  if (!isKnown(from) || !isKnown(to)) return undefined;
  return { numerator: BigInt(MILLIMETRES[from]), denominator: BigInt(MILLIMETRES[to]) };
}

const isKnown = (unit: string): unit is keyof typeof MILLIMETRES => Object.hasOwn(MILLIMETRES, unit);

/** A price for each unit beyond so many a year, over some time. */
export type Beyond = {
  /** Units a year that cost nothing. */
  perYear: number;
  /** Whole units of the currency for each beyond, as typed. */
  price: string;
  years: Exact;
  /** How many of its units one unit of what is driven is. */
  scale: Exact;
};

/**
 * What distance beyond comes to, exactly, in minor units: `beyond × price × years`.
 *
 * @param driven a year, in hundredths of a unit
 */
export function priceBeyond(
  { perYear, price, years, scale }: Beyond,
  driven: number,
  decimals: number,
): Exact {
  const beyond = atLeastZero(difference(product(asUnits(driven), scale), wholly(perYear)));
  const minor = product(exactOf(price), wholly(10 ** decimals));
  return product(product(beyond, minor), years);
}

/** The same, rounded half up. */
export const chargeBeyond = (beyond: Beyond, driven: number, decimals: number): number =>
  halfUp(priceBeyond(beyond, driven, decimals));
