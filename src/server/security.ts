const LOOPBACK = /^(localhost|127(\.\d{1,3}){3}|\[::1\])(:\d+)?$/i;
const SAFE_METHODS = new Set(["GET", "HEAD", "OPTIONS"]);

/**
 * Why a request must be turned down before it reaches a route, as one sentence, or undefined.
 *
 * A server on this machine has no password, so it answers only to names of this machine (a page elsewhere
 * could otherwise point a name of its own at it), and takes changes only from its own pages. Behind a reverse proxy
 * KELLUX_ORIGIN says what its pages are called outside, so that both are still checked.
 */
export function refusalReason(method: string, headers: Headers): string | undefined {
  const host = headers.get("host") ?? "";
  const known = publicOrigin();
  if (!LOOPBACK.test(host) && !(known ? isHostOf(known, host) : listensToOthers())) {
    return known
      ? `This server answers only to localhost and to ${known.origin}.`
      : "This server answers only to localhost; set KELLUX_ORIGIN or KELLUX_HOST to serve other names.";
  }
  if (SAFE_METHODS.has(method)) return undefined;
  const site = headers.get("sec-fetch-site");
  const origin = headers.get("origin");
  const isForeign =
    (site !== null && site !== "same-origin" && site !== "none") ||
    (origin !== null && !isOwn(origin, host, known));
  return isForeign ? "Changes are accepted only from Kellux's own pages." : undefined;
}

const listensToOthers = () =>
  Boolean(process.env.KELLUX_HOST) && !LOOPBACK.test(process.env.KELLUX_HOST ?? "");

/** What the app is called where it is reached from outside: "https://deals.example.test"; undefined where it is not. */
function publicOrigin(): URL | undefined {
  return process.env.KELLUX_ORIGIN ? asUrl(process.env.KELLUX_ORIGIN) : undefined;
}

/** A host may name the port that its protocol has anyway. */
const isHostOf = (known: URL, host: string) => asUrl(`${known.protocol}//${host}`)?.host === known.host;

function isOwn(origin: string, host: string, known: URL | undefined): boolean {
  const url = asUrl(origin);
  if (!url) return false;
  // To its name outside only pages of that very origin may send; to this machine's, pages of this machine.
  return known && isHostOf(known, host) ? url.origin === known.origin : url.host === host;
}

function asUrl(text: string): URL | undefined {
  try {
    return new URL(text);
  } catch {
    return undefined;
  }
}

/** The content security policy of a page whose scripts carry a nonce. */
export function contentSecurityPolicy(nonce: string): string {
  // React's development build rebuilds call stacks by eval; the built app does not.
  const development = process.env.NODE_ENV === "development" ? " 'unsafe-eval'" : "";
  return [
    "default-src 'self'",
    `script-src 'self' 'nonce-${nonce}' 'strict-dynamic'${development}`,
    "style-src 'self' 'unsafe-inline'",
    "img-src 'self' data:",
    "object-src 'none'",
    "base-uri 'none'",
    "form-action 'self'",
    "frame-ancestors 'none'",
  ].join("; ");
}

export const SECURITY_HEADERS: Record<string, string> = {
  "X-Content-Type-Options": "nosniff",
  "X-Frame-Options": "DENY",
  "Referrer-Policy": "no-referrer",
  "Cross-Origin-Opener-Policy": "same-origin",
  "Cross-Origin-Resource-Policy": "same-origin",
  "Permissions-Policy": "camera=(), microphone=(), geolocation=()",
};
