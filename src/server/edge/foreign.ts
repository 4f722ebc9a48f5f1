import { isIP } from "node:net";
import { isThisMachine } from "../this-machine";

/** Whether anybody has a name here, as is known behind the edge: another bundle, so over the process. */
const shared = globalThis as typeof globalThis & { kelluxHasPeople?: boolean | undefined };

const NOBODY_YET = "Nobody has a name here yet, so this server answers this machine alone.";

const SAFE_METHODS = new Set(["GET", "HEAD", "OPTIONS"]);

/** What is read of a request's headers, by their names in small letters. */
type Headers = { readonly [name: string]: string | string[] | undefined };

/**
 * Why a request must be turned down before it reaches a route, as one sentence, or undefined.
 *
 * A server on this machine has no password, so it answers only to names of this machine (a page elsewhere
 * could otherwise point a name of its own at it), and takes changes only from its own pages. Where it listens to others it
 * answers to addresses, at which no name can be pointed, and to the names that were settled. Behind a reverse proxy
 * KELLUX_ORIGIN says what its pages are called outside, so that both are still checked.
 */
export function refusalReason(method: string, headers: Headers): string | undefined {
  const host = textOf(headers.host) ?? "";
  const known = publicOrigin();
  if (!isThisMachine(host) && !known && listensToOthers() && !shared.kelluxHasPeople) return NOBODY_YET;
  if (!isThisMachine(host) && !(known ? isHostOf(known, host) : listensTo(host))) return notAnswered(known);
  if (SAFE_METHODS.has(method)) return undefined;
  const site = textOf(headers["sec-fetch-site"]);
  const origin = textOf(headers.origin);
  const isForeign =
    (site !== undefined && site !== "same-origin" && site !== "none") ||
    (origin !== undefined && !isOwn(origin, host, known));
  return isForeign ? "Changes are accepted only from Kellux's own pages." : undefined;
}

const textOf = (header: string | string[] | undefined) => (Array.isArray(header) ? header.join() : header);

function notAnswered(known: URL | undefined): string {
  if (known) return `This server answers only to localhost and to ${known.origin}.`;
  return listensToOthers()
    ? "This server answers only to localhost, to addresses, and to the names in KELLUX_NAMES."
    : "This server answers only to localhost; set KELLUX_ORIGIN or KELLUX_HOST to serve other names.";
}

const listensToOthers = () =>
  Boolean(process.env.KELLUX_HOST) && !isThisMachine(process.env.KELLUX_HOST ?? "");

/** Whether a host is an address, or one of the names that were settled, where it listens to others at all. */
function listensTo(host: string): boolean {
  const name = asUrl(`http://${host}`)?.hostname.toLowerCase();
  if (!name || !listensToOthers()) return false;
  return isIP(name.replace(/^\[|\]$/g, "")) > 0 || settledNames().includes(name);
}

/** The name that it listens at, and those that it is called by besides. */
const settledNames = (): string[] =>
  [process.env.KELLUX_HOST ?? "", ...(process.env.KELLUX_NAMES ?? "").split(",")].map(name =>
    name.trim().toLowerCase(),
  );

/** What the app is called where it is reached from outside: "https://deals.example.test"; undefined where it is not. */
function publicOrigin(): URL | undefined {
  return process.env.KELLUX_ORIGIN ? asUrl(process.env.KELLUX_ORIGIN) : undefined;
}

/** A host may name the port that its protocol has anyway. */
const isHostOf = (known: URL, host: string) => asUrl(`${known.protocol}//${host}`)?.host === known.host;

function isOwn(origin: string, host: string, known: URL | undefined): boolean {
  const url = asUrl(origin);
  if (!url) return false;
  // To its name outside only pages of that very origin may send; to this machine's, pages that came from here.
  return url.origin === (known && isHostOf(known, host) ? known.origin : asUrl(`http://${host}`)?.origin);
}

function asUrl(text: string): URL | undefined {
  try {
    return new URL(text);
  } catch {
    return undefined;
  }
}
