import type { DealShare } from "../people";
import type { EarnedFigures } from "./earned-figures";

/** A deal that earns, with whose it is and who has a share of it. */
type OwnedEarning = {
  figures: Pick<EarnedFigures, "currency" | "front" | "back">;
  owner: string | null;
  people: readonly Pick<DealShare, "who" | "percent">[];
};

/** What somebody's shares of deals come to, in minor units: of how many deals. */
export type PersonEarned = { who: string; currency: string; deals: number; front: number; back: number };

const ALL = 100;

/**
 * What each person's shares come to: each share rounded to the minor unit half up, and what is left is whose deal it is, so
 * that a deal's shares add up to what it earns. Deals that nobody has are left out.
 *
 * @example earnedByPerson([{ figures: { currency: "USD", front: 101, back: null }, owner: "a", people: [{ who: "b", percent: "50" }] }])
 *   // a: front 50, b: front 51
 */
export function earnedByPerson(deals: readonly OwnedEarning[]): PersonEarned[] {
  const sums = new Map<string, PersonEarned>();
  for (const { figures, owner, people } of deals) {
    if (owner === null) continue;
    const { currency, front, back } = figures;
    const others = people.map(({ who, percent }) => ({
      who,
      front: shareOf(front ?? 0, percent),
      back: shareOf(back ?? 0, percent),
    }));
    const left = (of: "front" | "back") =>
      (figures[of] ?? 0) - others.reduce((sum, each) => sum + each[of], 0);
    for (const each of [{ who: owner, front: left("front"), back: left("back") }, ...others]) {
      const key = `${each.who} ${currency}`;
      const sum = sums.get(key) ?? { who: each.who, currency, deals: 0, front: 0, back: 0 };
      sums.set(key, {
        ...sum,
        deals: sum.deals + 1,
        front: sum.front + each.front,
        back: sum.back + each.back,
      });
    }
  }
  return [...sums.values()];
}

const shareOf = (minor: number, percent: string) =>
  Math.sign(minor) * Math.floor((Math.abs(minor) * Number(percent)) / ALL + 0.5);
