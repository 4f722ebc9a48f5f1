import { type NextRequest, NextResponse } from "next/server";
import { contentSecurityPolicy, SECURITY_HEADERS } from "@/server/security";

/** Gives each page a policy with a nonce of its own, and each worker its own; foreign requests were turned away at the edge. */
export function proxy(request: NextRequest): NextResponse {
  const policy = contentSecurityPolicy(btoa(crypto.randomUUID()));
  const headers = new Headers(request.headers);
  // Next reads the nonce from here and puts it on its own scripts.
  headers.set("Content-Security-Policy", policy);
  const response = NextResponse.next({ request: { headers } });
  for (const [name, value] of Object.entries(SECURITY_HEADERS)) response.headers.set(name, value);
  response.headers.set("Content-Security-Policy", policy);
  return response;
}

// What stands before a route keeps a copy of its body, and cuts one of more than 10 MB without a word.
export const config = { matcher: ["/((?!api/).*)"] };
