import { PERCENT_OF_FACTOR } from "@/core";
import { plainFigure } from "../notation";
import { factorText, rateText } from "../text";
import { numberOfPlain } from "./amount";
import type { TypedAt, Understood } from "./typed";

const CHANGE = /^([+−–-])\s*(\d[\d.,]*|[.,]\d+)\s*(%|p(?:oin)?ts?)?$/i;

/** What stood there, changed by so many points; undefined where that is not what was typed. */
function pointsFrom(typed: string, { notation, base }: TypedAt): number | undefined {
  const [, sign, by] = CHANGE.exec(typed) ?? [];
  const before = base === undefined ? undefined : numberOfPlain(base);
  const points = by === undefined ? undefined : numberOfPlain(plainFigure(by, notation));
  return before === undefined || points === undefined
    ? undefined
    : before + (sign === "+" ? points : -points);
}

/**
 * A percent as officers type it: "+0.5" and "-2%" are points, from what stood there; "-3" may also be meant as 3.
 *
 * @example understoodPercent("-2%", { ...at, base: "6.49" }).plain // "4.49"
 */
export function understoodPercent(typed: string, at: TypedAt): Understood {
  const changed = pointsFrom(typed, at);
  if (changed === undefined || changed < 0) return { plain: plainFigure(typed, at.notation) };
  // "−3" may be a slip of the minus; so many points are not, and who says points means them.
  const [, sign, by = "", unit] = CHANGE.exec(typed) ?? [];
  const whole = numberOfPlain(plainFigure(by, at.notation)) ?? 0;
  const isSlip = sign !== "+" && whole >= LEAST_RATE_MEANT && (unit === undefined || unit === "%");
  return { plain: rateText(changed), ...(isSlip && { maybe: rateText(whole) }) };
}

/** Fewer points are a change, and seldom a rate. */
const LEAST_RATE_MEANT = 1;

/** Up to here a number is a factor as it is; from there on it is so many thousandths. */
const HIGHEST_FACTOR = 0.05;
/** From here on it may be a yearly rate. */
const LOWEST_RATE = 4;
/** From here on it is so many hundred-thousandths, as rate sheets print them without the point. */
const LOWEST_PRINTED = 36;
const PER_THOUSAND = 1e3;
const PER_HUNDRED_THOUSAND = 1e5;

/**
 * A money factor as officers type it: "0.00225", and "225" and "2.25" for the same; "5.4 %" is the factor of that yearly
 * rate, and "5.4" may be.
 *
 * @example understoodFactor("225", at).plain // "0.00225"
 */
export function understoodFactor(typed: string, at: TypedAt): Understood {
  const { notation } = at;
  const plain = plainFigure(typed, notation);
  const [, percent] = /^(.*\d)\s*%$/.exec(plain) ?? [];
  const ofRate = (rate: number) => factorText(Number((rate / PERCENT_OF_FACTOR).toFixed(8)));
  if (percent !== undefined) {
    const rate = numberOfPlain(percent);
    return { plain: rate === undefined ? plain : ofRate(rate) };
  }
  const changed = pointsFrom(typed, at);
  if (changed !== undefined && changed >= 0) return { plain: factorText(changed) };
  const value = numberOfPlain(plain);
  if (value === undefined || value <= HIGHEST_FACTOR) return { plain };
  if (value >= LOWEST_PRINTED) return { plain: factorText(value / PER_HUNDRED_THOUSAND) };
  const factor = factorText(value / PER_THOUSAND);
  return value < LOWEST_RATE ? { plain: factor } : { plain: factor, maybe: ofRate(value) };
}
