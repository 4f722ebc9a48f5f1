import {
  type AskedBy,
  type Person,
  type Reach,
  RIGHT_NAMES,
  type Right,
  reachOf,
  rightsOf,
  type SeenBy,
  type SignedIn,
  type Visit,
} from "@/exchange/people";

/** Who asks: somebody who is signed in, or whoever is at the one desk of a house where nobody has a name yet. */
export type Asker = {
  person: Person | null;
  /** The sign-in that it is asked from. */
  signIn: string | null;
  rights: ReadonlySet<Right>;
  reach: Reach;
  visit: Visit;
  /** For what is noted of it. */
  by?: AskedBy;
  /** Whether the house wants one-time codes of everybody, and this one has none yet: nothing else is done before. */
  needsCodes: boolean;
};

/** Whoever is at the one desk: everything is theirs. */
export const atTheDesk = (visit: Visit): Asker => ({
  person: null,
  signIn: null,
  rights: new Set(RIGHT_NAMES),
  reach: "house",
  visit,
  needsCodes: false,
});

/** Whoever has no name: nothing is theirs. */
export const nobody = (visit: Visit): Asker => ({ ...atTheDesk(visit), rights: new Set(), reach: "own" });

/** A command that backs up what it can read anyway. */
export const withFoldersKey = (visit: Visit): Asker => ({
  ...atTheDesk(visit),
  rights: new Set(["keepBackups"]),
});

/** Somebody who is signed in. */
export function signedInAsker(
  { person, signIn }: SignedIn,
  visit: Visit,
  { request, wantsCodes }: { request: string | null; wantsCodes: boolean },
): Asker {
  // Of whoever signs in by the directory, that asks for them.
  const needsCodes = wantsCodes && person.hasPassword && !person.hasCodes;
  return {
    person,
    signIn: signIn.id,
    rights: new Set(needsCodes ? [] : rightsOf(person.roles)),
    reach: reachOf(person.roles),
    visit,
    by: { who: person.id, branch: person.branch, from: visit.address, request },
    needsCodes,
  };
}

/** How far somebody sees; undefined where that is everything. */
export const seenBy = ({ person, reach }: Asker): SeenBy | undefined =>
  reach === "house" ? undefined : { person: person?.id ?? NOBODY, branch: person?.branch ?? null, reach };

/** No person's id. */
const NOBODY = "00000000-0000-0000-0000-000000000000";
