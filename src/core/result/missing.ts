import type { Figure } from "./figure";
import type { Failure } from "./result";

/** A figure that may be missing: what a sentence calls it, and whether it is. */
export type Wanted = readonly [Figure, string, boolean];

/**
 * What was not given yet, in one sentence that names it all.
 *
 * @returns a failure that blames the first; undefined where nothing is missing
 * @example missing([["price", "the price", true], ["payments", "the term", true]])?.sentence // "The price and the term are missing."
 */
export function missing(wanted: readonly Wanted[]): Failure | undefined {
  const left = wanted.filter(([, , isMissing]) => isMissing);
  const [first] = left;
  if (!first) return undefined;
  const names = left.map(([, name]) => name);
  const list = names.length === 1 ? names[0] : `${names.slice(0, -1).join(", ")} and ${names.at(-1)}`;
  const sentence = `${list} ${names.length === 1 ? "is" : "are"} missing.`;
  return { figure: first[0], sentence: sentence.charAt(0).toUpperCase() + sentence.slice(1) };
}
