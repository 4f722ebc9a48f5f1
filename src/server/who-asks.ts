import { createHash, timingSafeEqual } from "node:crypto";
import type { SignedIn, Visit } from "@/exchange/people";
import { DEFAULT_IDLE_MINUTES } from "@/exchange/settings";
import { type Asker, atTheDesk, signedInAsker, withFoldersKey } from "./asker";
import { hear } from "./changes/hub";
import { databaseUrl } from "./data-place";
import { Refusal } from "./refusal";
import { serverStore } from "./store";
import { visitOf } from "./visit";

/** What is known of who is there, for so long: what changes it is told at once, by every process. */
const KNOWN_MS = 5000;
const MOST_KNOWN = 2000;

type Known = { signedIn: SignedIn | undefined; until: number };
type WhoIsThere = {
  hasPeople: boolean | undefined;
  /** Until when it is known that there are none. */
  askedUntil: number;
  house: { wantsCodes: boolean; idleMs: number; until: number } | undefined;
  visits: Map<string, Known>;
  /** How often all of it was forgotten: what was asked before is not kept after. */
  forgotten: number;
};

// Kept on the process, because bundles of the server each have their own copy of this module.
const shared = globalThis as typeof globalThis & {
  kelluxWho?: WhoIsThere;
  /** Whether anybody has a name here: the edge answers others than this machine only then. */
  kelluxHasPeople?: boolean | undefined;
  /** By whom the requests under way are asked, by the request's id. */
  kelluxAskedBy?: Map<string, string>;
  kelluxForgetWho?: () => void;
};

function whoIsThere(): WhoIsThere {
  if (shared.kelluxWho) return shared.kelluxWho;
  shared.kelluxForgetWho = () => {
    known.visits.clear();
    known.forgotten++;
    // Nobody is removed; but the first may have been made just now, and the next request is asked for a name.
    if (!known.hasPeople) known.hasPeople = undefined;
  };
  const known: WhoIsThere = {
    hasPeople: undefined,
    askedUntil: 0,
    house: undefined,
    visits: new Map(),
    forgotten: 0,
  };
  shared.kelluxWho = known;
  hear(({ changes = [] }) => {
    if (!changes.some(({ of }) => of === "people" || of === "settings" || of === "everything")) return;
    shared.kelluxForgetWho?.();
    known.house = undefined;
    // Only another store has none where one had some.
    if (changes.some(({ of }) => of === "everything")) known.hasPeople = undefined;
  });
  return known;
}

/** Whether anybody has a name here: from then on everybody needs one. */
export async function hasPeople(): Promise<boolean> {
  const there = whoIsThere();
  const { forgotten } = there;
  const isKnown = there.hasPeople === true || (there.hasPeople === false && Date.now() < there.askedUntil);
  if (!isKnown) {
    const isThere = await (await serverStore()).hasPeople();
    // What was being read while the first was made is asked once more.
    if (there.forgotten !== forgotten) return hasPeople();
    there.hasPeople = isThere;
    // On a server a command can make the first one, which tells nobody.
    there.askedUntil = databaseUrl() ? Date.now() + KNOWN_MS : Number.POSITIVE_INFINITY;
  }
  shared.kelluxHasPeople = there.hasPeople === true;
  return there.hasPeople === true;
}

/** Where somebody stands who is asked for a name: signed in nowhere, at a locked screen, or inside. */
export type Standing = { at: "nowhere" } | { at: "locked"; asker: Asker } | { at: "inside"; asker: Asker };

/** Where whoever sends a request stands. */
export async function standingOf(headers: Headers): Promise<Standing> {
  const visit = visitOf(headers);
  if (!(await hasPeople())) return { at: "inside", asker: atTheDesk(visit) };
  if (hasFoldersKey(headers)) return { at: "inside", asker: withFoldersKey(visit) };
  const signedIn = await signedInBy(visit);
  if (!signedIn) return { at: "nowhere" };
  const { wantsCodes, idleMs } = await houseRules();
  const { usedAt, lockedAt } = signedIn.signIn;
  noteAskedBy(headers, signedIn);
  const asker = signedInAsker(signedIn, visit, { request: headers.get("x-kellux-request"), wantsCodes });
  const isIdle = Date.now() - usedAt.getTime() > idleMs;
  return { at: lockedAt || isIdle ? "locked" : "inside", asker };
}

/** For the log, which is written at the edge. */
function noteAskedBy(headers: Headers, { person }: SignedIn): void {
  const request = headers.get("x-kellux-request");
  if (!request) return;
  shared.kelluxAskedBy ??= new Map();
  shared.kelluxAskedBy.set(request, person.id);
}

/** @throws Refusal where nobody is signed in, or the screen is locked */
export function refuseOutside({ at }: Standing): void {
  if (at === "nowhere") throw new Refusal(401, "Sign in first.", undefined, "needed");
  if (at === "locked")
    throw new Refusal(401, "This screen is locked; its password opens it.", undefined, "locked");
}

/** Whether whoever has sent a request could send it still. */
export const isStillIn = async (headers: Headers): Promise<boolean> =>
  (await standingOf(headers)).at === "inside";

/** Whether it is a command of whoever reads the data folder itself. */
function hasFoldersKey(headers: Headers): boolean {
  const [key, given] = [process.env.KELLUX_KEY ?? "", headers.get("authorization") ?? ""];
  const digest = (text: string) => createHash("sha256").update(text).digest();
  return key !== "" && timingSafeEqual(digest(`Bearer ${key}`), digest(given));
}

async function signedInBy(visit: Visit): Promise<SignedIn | undefined> {
  if (!visit.cookie.includes("kellux.")) return undefined;
  const there = whoIsThere();
  const { visits, forgotten } = there;
  const known = visits.get(visit.cookie);
  if (known && known.until > Date.now()) return known.signedIn;
  const signedIn = await (await serverStore()).whoIs(visit);
  if (visits.size >= MOST_KNOWN) visits.clear();
  if (there.forgotten === forgotten) visits.set(visit.cookie, { signedIn, until: Date.now() + KNOWN_MS });
  return signedIn;
}

/** Somebody is at the keys: known here at once, elsewhere soon. */
export function noteUse(cookie: string): void {
  const known = whoIsThere().visits.get(cookie)?.signedIn;
  if (known) known.signIn.usedAt = new Date();
}

const MINUTE_MS = 60_000;

async function houseRules(): Promise<{ wantsCodes: boolean; idleMs: number }> {
  const there = whoIsThere();
  if (there.house && there.house.until > Date.now()) return there.house;
  const { people = {} } = (await (await serverStore()).getSettings())?.settings ?? {};
  there.house = {
    wantsCodes: people.wantsCodes ?? false,
    idleMs: (people.locksAfter ?? DEFAULT_IDLE_MINUTES) * MINUTE_MS,
    until: Date.now() + KNOWN_MS,
  };
  return there.house;
}
