import type { Reach } from "./roles";

/** Whose a deal is, and who else works on it. */
export type DealPeople = {
  /** The owner's id; null while nobody has it. */
  owner: string | null;
  branch: string | null;
  /** Who else works on it, as what, and the percent of its income that is theirs: what is left is the owner's. */
  people: DealShare[];
  /** What tells this state from another. */
  mark: string;
};

export type DealShare = { who: string; role: string; percent: string };

/** By whom deals are looked at, and how far they see. */
export type SeenBy = { person: string; branch: string | null; reach: Reach };

export const MOST_PEOPLE_OF_A_DEAL = 8;
export const LONGEST_BRANCH = 60;
export const LONGEST_PERSON_NAME = 80;
