import type { EarnedFigures } from "./earned-figures";

/** What deals of one currency have earned together: minor units, averages rounded half up; null where none is known. */
export type EarnedSums = {
  currency: string;
  deals: number;
  front: number;
  back: number;
  averageFront: number | null;
  averageBack: number | null;
  officerShare: number;
  /** Of how many deals, from 0 to 1. */
  withReserve: number;
  /** The share of deals with each extra, the most sold first. */
  extras: { name: string; share: number }[];
};

/**
 * What some deals have earned, by currency: an average counts the deals of which the figure is known.
 *
 * @example earnedSums([{ ...nothing, currency: "USD", front: 100, back: null }])[0].averageFront // 100
 */
export function earnedSums(all: readonly EarnedFigures[]): EarnedSums[] {
  const currencies = [...new Set(all.map(({ currency }) => currency))].sort();
  return currencies.map(currency => {
    const deals = all.filter(each => each.currency === currency);
    const known = (figure: "front" | "back" | "officerShare") =>
      deals.flatMap(each => (each[figure] === null ? [] : [each[figure]]));
    const [front, back] = [known("front"), known("back")];
    const names = [...new Set(deals.flatMap(({ extras }) => extras))];
    const share = (count: number) => count / deals.length;
    return {
      currency,
      deals: deals.length,
      front: sum(front),
      back: sum(back),
      averageFront: average(front),
      averageBack: average(back),
      officerShare: sum(known("officerShare")),
      withReserve: share(deals.filter(({ reserve }) => (reserve ?? 0) > 0).length),
      extras: names
        .map(name => ({ name, share: share(deals.filter(({ extras }) => extras.includes(name)).length) }))
        .sort((one, other) => other.share - one.share || one.name.localeCompare(other.name)),
    };
  });
}

const sum = (amounts: readonly number[]) => amounts.reduce((all, each) => all + each, 0);
const average = (amounts: readonly number[]) =>
  amounts.length === 0 ? null : Math.floor(sum(amounts) / amounts.length + 0.5);

/** Whether a spread is above what every customer is offered, below it, or the same. */
export function spreadSide(
  spread: number | null,
  usual: string | number | undefined,
): "above" | "below" | null {
  if (spread === null || usual === undefined || spread === Number(usual)) return null;
  return spread > Number(usual) ? "above" : "below";
}
