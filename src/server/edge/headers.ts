import { SECURITY_HEADERS } from "../security";

/** What every answer carries that says nothing else of itself. */
export const EVERY_ANSWER: Record<string, string> = {
  ...SECURITY_HEADERS,
  "Content-Security-Policy": "default-src 'none'; frame-ancestors 'none'",
};

/** A file of the app's own code: its name follows from what is in it, and it holds nothing that anybody typed. */
const NAMED_BY_CONTENT = /^\/_next\/static\//;

/** How an answer may be kept: not at all, but for the app's own code. */
export function keeping(address: string, status: number): string | undefined {
  const mayBeKept = NAMED_BY_CONTENT.test(address) && (status === 200 || status === 304 || status === 206);
  return mayBeKept ? undefined : "no-store";
}
