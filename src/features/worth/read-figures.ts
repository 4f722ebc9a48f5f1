import { wholeText } from "@/core";
import { LONGEST_KEPT, MOST_DRIVEN } from "@/core/horizon";
import { type Notation, plainFigure } from "@/exchange/notation";
import type { Read } from "@/features/typing/use-typed";

/** Reads for how many months something is; "3 years" counts as 36. */
export function readMonths(text: string, notation: Notation, least = 1): Read<number> {
  const plain = plainFigure(text.trim(), notation).toLowerCase();
  const [, count, years] = /^(\d{1,4})\s*(?:m|mo|months?|(y|years?))?$/.exec(plain) ?? [];
  const months = Number(count) * (years ? 12 : 1);
  return count !== undefined && months >= least && months <= LONGEST_KEPT
    ? { value: months }
    : { sentence: `“${text}” is not a number of months; type one from ${least} to ${LONGEST_KEPT}.` };
}

/** Reads a distance a year. */
export function readDistance(text: string, notation: Notation): Read<number> {
  const plain = plainFigure(text.trim(), notation).replace(/\s*(mi|miles|km)$/i, "");
  const distance = Number(plain);
  return /^\d{1,7}(\.\d{1,2})?$/.test(plain) && distance <= MOST_DRIVEN
    ? { value: distance }
    : {
        sentence: `“${text}” is not a distance a year; type one from 0 to ${wholeText(MOST_DRIVEN)}, such as 15,000.`,
      };
}

/** Reads a percent, one of 0 or more unless it may be below; nothing typed is none. */
export function readPercentOrNone(
  text: string,
  notation: Notation,
  { most, isBelow = false }: { most: number; isBelow?: boolean },
): Read<string | undefined> {
  const plain = plainFigure(text.trim(), notation).replace(/\s*%$/, "").replace("−", "-");
  if (plain === "") return { value: undefined };
  const isRead = (isBelow ? /^-?\d{1,4}(\.\d{1,8})?$/ : /^\d{1,4}(\.\d{1,8})?$/).test(plain);
  return isRead && Number(plain) <= most
    ? { value: plain }
    : { sentence: `“${text}” is not a percent; type one up to ${wholeText(most)}, such as 56.` };
}

/** Reads what a unit of distance costs. */
export function readPrice(text: string, notation: Notation): Read<string> {
  const plain = plainFigure(text.trim(), notation).replace(/^\./, "0.") || "0";
  return /^\d{1,6}(\.\d{1,6})?$/.test(plain)
    ? { value: plain }
    : { sentence: `“${text}” is not an amount for each; type one such as 0.12.` };
}
