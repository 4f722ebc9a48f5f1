import type { Failure, Figure } from "../result";
import type { Deal } from "./deal";

/**
 * What was not given yet, in one sentence, so that a deal can be typed in any order.
 *
 * @returns the first missing figure with a sentence that names them all, or undefined
 * @example missingFigures(deal)?.sentence // "The price and the yearly rate are missing."
 */
export function missingFigures({ structure, plan, find }: Deal): Failure | undefined {
  const wanted: [Figure, string, unknown][] = [
    ["price", "the price", find === "price" ? 0 : structure.price],
    ["down", "the cash down", find === "down" ? 0 : structure.down],
    ["yearlyRate", "the yearly rate", plan.yearlyRate],
    ["payments", "the number of payments", plan.payments],
    ["payment", "the payment", find === "payment" ? 0 : plan.payment],
  ];
  const missing = wanted.filter(([, , value]) => value === null);
  const [first] = missing;
  if (!first) return undefined;
  const names = missing.map(([, name]) => name);
  const list = names.length === 1 ? names[0] : `${names.slice(0, -1).join(", ")} and ${names.at(-1)}`;
  const sentence = `${list} ${names.length === 1 ? "is" : "are"} missing.`;
  return { figure: first[0], sentence: sentence.charAt(0).toUpperCase() + sentence.slice(1) };
}
