import type { DealPeople, Person, ReleaseKind, Role } from "@/exchange/people";
import type {
  CodesReply,
  ColleaguesReply,
  DoingsReply,
  LinkReply,
  ReleaseReply,
  ReleasesReply,
  SignInReply,
} from "@/server/contract";
import { ask } from "./client";

/** A person as an administrator settles them; the first one with a password. */
type PersonTyped = {
  name: string;
  username: string;
  roles: Role[];
  branch?: string;
  hasLeft?: boolean;
  password?: string;
};

/** What can be asked about signing in. */
export const signInApi = {
  byName: (name: string, password: string) => ask<SignInReply>("POST", "/api/sign-in", { name, password }),
  byCode: (code: string) => ask<SignInReply>("POST", "/api/sign-in/code", { code }),
  byLink: (link: string, password: string) =>
    ask<SignInReply>("POST", "/api/sign-in/link", { link, password }),
  out: () => ask<SignInReply>("POST", "/api/sign-in/out"),
  lock: () => ask<SignInReply>("POST", "/api/sign-in/lock"),
  unlock: (password: string) => ask<SignInReply>("POST", "/api/sign-in/unlock", { password }),
  here: () => ask<SignInReply>("POST", "/api/sign-in/here"),
};

/** What somebody can change of their own way in. */
export const meApi = {
  password: (old: string, password: string) => ask<SignInReply>("PUT", "/api/me/password", { old, password }),
  beginCodes: (password: string) => ask<CodesReply>("POST", "/api/me/codes", { password }),
  confirmCodes: (code: string) => ask<SignInReply>("PUT", "/api/me/codes", { code }),
  endCodes: (password: string) => ask<SignInReply>("DELETE", "/api/me/codes", { password }),
  outEverywhere: () => ask<SignInReply>("POST", "/api/me/out-everywhere"),
};

/** What can be asked of those who work here. */
export const peopleApi = {
  all: () => ask<ColleaguesReply>("GET", "/api/people"),
  add: (person: PersonTyped) => ask<{ person: Person } | SignInReply>("POST", "/api/people", person),
  change: (id: string, person: PersonTyped) => ask<{ person: Person }>("PUT", `/api/people/${id}`, person),
  link: (id: string) => ask<LinkReply>("POST", `/api/people/${id}/link`),
  signOut: (id: string) => ask<SignInReply>("POST", `/api/people/${id}/out`),
  doings: (query: string) => ask<DoingsReply>("GET", `/api/doings${query}`),
};

/** Who works on a deal, and what a manager has released of it. */
export const dealPeopleApi = {
  of: (id: string) => ask<DealPeople>("GET", `/api/deals/${id}/people`),
  save: (id: string, people: DealPeople) => ask<DealPeople>("PUT", `/api/deals/${id}/people`, people),
  releases: (id: string) => ask<ReleasesReply>("GET", `/api/deals/${id}/releases`),
  release: (id: string, release: { version: number; kind: ReleaseKind; detail: string; reason: string }) =>
    ask<ReleaseReply>("POST", `/api/deals/${id}/releases`, release),
};
