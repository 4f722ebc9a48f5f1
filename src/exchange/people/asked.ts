import type { Role } from "./roles";

/** Where somebody asks from, as the edge has seen it. */
export type Visit = {
  /** The cookies as they were sent. */
  cookie: string;
  /** The address; null where it is this machine's own or not known. */
  address: string | null;
  agent: string | null;
  /** What the app is called from there: where that is encrypted, cookies are kept to such ways. */
  origin: string;
};

/** Somebody who works here, as others may know of them. */
export type Person = {
  id: string;
  name: string;
  username: string;
  roles: Role[];
  branch: string | null;
  hasLeft: boolean;
  hasCodes: boolean;
  /** Whether they sign in by a password of their own; otherwise the house's directory sees to it who they are. */
  hasPassword: boolean;
};

/** Who is signed in, and at which of their sign-ins. */
export type SignedIn = { person: Person; signIn: { id: string; usedAt: Date; lockedAt: Date | null } };

/** On whose behalf something is asked of the data, for what is noted of it. */
export type AskedBy = {
  who: string;
  branch: string | null;
  from: string | null;
  request: string | null;
};
