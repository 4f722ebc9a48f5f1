import { type NextRequest, NextResponse } from "next/server";
import { contentSecurityPolicy, refusalReason, SECURITY_HEADERS } from "@/server/security";

/** Stands before every page and route: turns foreign requests away and sets the security headers. */
export function proxy(request: NextRequest): NextResponse {
  const reason = refusalReason(request.method, request.headers);
  if (reason) return withHeaders(NextResponse.json({ error: reason }, { status: 403 }));

  const policy = contentSecurityPolicy(btoa(crypto.randomUUID()));
  const headers = new Headers(request.headers);
  // Next reads the nonce from here and puts it on its own scripts.
  headers.set("Content-Security-Policy", policy);
  const response = withHeaders(NextResponse.next({ request: { headers } }));
  response.headers.set("Content-Security-Policy", policy);
  return response;
}

function withHeaders(response: NextResponse): NextResponse {
  for (const [name, value] of Object.entries(SECURITY_HEADERS)) response.headers.set(name, value);
  return response;
}
