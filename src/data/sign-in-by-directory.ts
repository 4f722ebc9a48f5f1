import type { Visit } from "@/exchange/people";
import type { Database } from "./database";
import { DIRECTORY } from "./directory";
import { whoIs } from "./sign-in";
import { signInLibrary } from "./sign-in-library";
import { asked, headersOf, note } from "./sign-in-parts";

/** Where the directory is asked who somebody is, with the cookies that the answer is held against. */
export async function beginByDirectory(
  database: Database,
  visit: Visit,
  to: string,
): Promise<{ address: string; cookies: string[] } | undefined> {
  const { api } = await signInLibrary(database, visit.origin);
  const response = await asked(() =>
    api.signInSocial({
      body: { provider: DIRECTORY, callbackURL: to, errorCallbackURL: "/sign-in" },
      headers: headersOf(visit),
      asResponse: true,
    }),
  );
  const { url } = response?.ok ? ((await response.json()) as { url?: string }) : {};
  return url ? { address: url, cookies: response?.headers.getSetCookie() ?? [] } : undefined;
}

/**
 * Takes what the directory has answered.
 *
 * @param query of the address that it has sent the browser back to
 * @returns where the browser goes on: inside, or to the way in with what was wrong
 */
export async function enterByDirectory(
  database: Database,
  visit: Visit,
  query: string,
): Promise<{ address: string; cookies: string[] }> {
  const { handler } = await signInLibrary(database, visit.origin);
  const request = new Request(`${visit.origin}/api/sign-in/callback/${DIRECTORY}?${query}`, {
    headers: headersOf(visit),
  });
  const response = await handler(request);
  const cookies = response.headers.getSetCookie();
  const entered = await whoIs(database, { ...visit, cookie: cookiesSent(cookies) });
  if (entered) await note(database, visit, "signedIn", entered.person.id);
  else await note(database, visit, "signInFailed", null);
  const location = response.headers.get("location") ?? "/sign-in";
  return { address: entered ? location : "/sign-in?why=directory", cookies };
}

/** What a browser would send back of cookies. */
const cookiesSent = (cookies: readonly string[]) => cookies.map(each => each.split(";")[0] ?? "").join("; ");
