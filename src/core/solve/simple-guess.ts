/**
 * A rate to start a search from: interest over the average time that the money is out.
 *
 * @param received what is lent
 * @param paid what is paid back
 * @param weighted each payment times the periods before it, added up, less the same of what is lent
 */
export function simpleGuess(received: number, paid: number, weighted: number): number {
  const simple = weighted > 0 ? (paid - received) / weighted : 0;
  return Math.max(simple * (1 + (paid - received) / paid / 1.5), -0.9);
}
