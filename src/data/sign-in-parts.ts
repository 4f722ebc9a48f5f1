import type { Doing, Person, Visit } from "@/exchange/people";
import type { Database } from "./database";
import { noteDoingOf } from "./doings";
import { ADDRESS_HEADER } from "./sign-in-library";

/** What came of an attempt, with the cookies that the browser is to keep. */
export type SignInAnswer =
  | { kind: "in"; cookies: string[]; person: string }
  /** The password is right; a code is asked for. */
  | { kind: "code"; cookies: string[] }
  | { kind: "wrong" }
  /** Too many failed: so many seconds are to be waited. */
  | { kind: "slow"; seconds: number }
  /** A password that is not taken, and why. */
  | { kind: "refused"; sentence: string };

/** What the library is told of a request. */
export const headersOf = ({ cookie, address, agent }: Visit) =>
  new Headers({
    ...(cookie && { cookie }),
    ...(agent && { "user-agent": agent }),
    ...(address && { [ADDRESS_HEADER]: address }),
  });

/** What is known of somebody that is guessed first. */
export const namesOf = ({ name, username }: Pick<Person, "name" | "username">) => [
  username,
  ...name.split(/\s+/),
];

/** Notes what somebody has done at the way in. */
export const note = (
  database: Database,
  visit: Visit,
  what: Doing,
  who: string | null,
  of: string | null = null,
) => noteDoingOf(database, { what, who, of, from: visit.address, request: null });

/** What the library has no answer to, it throws: to whoever asks it is the same as wrong. A database that is away is not. */
export async function asked<Answer>(ask: () => Promise<Answer>): Promise<Answer | undefined> {
  try {
    return await ask();
  } catch (error) {
    if (error instanceof Error && error.name === "APIError") return undefined;
    throw error;
  }
}
