// People of a test's house, each with a sign-in of their own.
import { readdirSync, readFileSync } from "node:fs";
import { join } from "node:path";
import type { Role } from "@/exchange/people";

export const PASSWORD = "sea glass and three gulls";

/** Somebody who is signed in: what they send goes with their cookie. */
export type Somebody = {
  id: string;
  cookie: string;
  ask: (method: string, path: string, body?: unknown, type?: string) => Promise<Response>;
};

const JSON_TYPE = "application/json";

/** Whoever has this cookie; none is nobody's. */
export function somebody(address: string, cookie: string, id = ""): Somebody {
  return {
    id,
    cookie,
    ask: (method, path, body, type = JSON_TYPE) =>
      fetch(`${address}${path}`, {
        method,
        redirect: "manual",
        headers: { ...(cookie && { Cookie: cookie }), ...(body !== undefined && { "Content-Type": type }) },
        ...(body !== undefined && { body: typeof body === "string" ? body : JSON.stringify(body) }),
      }),
  };
}

/** What a browser would send back of the cookies of an answer. */
export const cookieIn = (response: Response): string =>
  response.headers
    .getSetCookie()
    .map(each => each.split(";")[0] ?? "")
    .filter(each => !each.endsWith("="))
    .join("; ");

/** Signs somebody in by name and password. */
export async function signedIn(address: string, username: string, password = PASSWORD): Promise<Somebody> {
  const response = await somebody(address, "").ask("POST", "/api/sign-in", { name: username, password });
  if (!response.ok) throw new Error(`${username}: ${response.status} ${await response.text()}`);
  const cookie = cookieIn(response);
  const { person } = await (await somebody(address, cookie).ask("GET", "/api/me")).json();
  return somebody(address, cookie, person.id);
}

/** Makes the first person of a house, who is an administrator. */
export async function firstPerson(address: string): Promise<Somebody> {
  const response = await somebody(address, "").ask("POST", "/api/people", {
    name: "Ada Brook",
    username: "ada",
    roles: ["administrator"],
    password: PASSWORD,
  });
  if (!response.ok) throw new Error(`${response.status} ${await response.text()}`);
  return signedIn(address, "ada");
}

/** Adds somebody, who sets a password by the link that is handed over. */
export async function addedPerson(
  address: string,
  administrator: Somebody,
  person: { name: string; username: string; roles: Role[]; branch?: string },
): Promise<Somebody> {
  const added = await (await administrator.ask("POST", "/api/people", person)).json();
  const { path } = await (await administrator.ask("POST", `/api/people/${added.person.id}/link`)).json();
  const link = new URL(path, address).searchParams.get("link");
  const used = await somebody(address, "").ask("POST", "/api/sign-in/link", { link, password: PASSWORD });
  if (!used.ok) throw new Error(`${person.username}: ${used.status} ${await used.text()}`);
  return somebody(address, cookieIn(used), added.person.id);
}

const ROUTES = "src/app/api";

/** Every route and verb of the app, as its files have them: "GET /api/deals/[id]". */
export function allRoutes(folder = ROUTES, path = "/api"): string[] {
  return readdirSync(folder, { withFileTypes: true }).flatMap(entry => {
    const inside = join(folder, entry.name);
    if (entry.isDirectory()) return allRoutes(inside, `${path}/${entry.name}`);
    if (entry.name !== "route.ts") return [];
    const verbs = readFileSync(inside, "utf8").matchAll(
      /^export (?:const|async function|function) ([A-Z]+)\b/gm,
    );
    return [...verbs].map(([, verb]) => `${verb} ${path}`);
  });
}
