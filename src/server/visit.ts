import type { Visit } from "@/exchange/people";

const LONGEST_AGENT = 200;
const LONGEST_COOKIE = 4000;

/** Where a request comes from, as the edge has seen it: what it says of that itself was dropped there. */
export function visitOf(headers: Headers): Visit {
  const cookie = headers.get("cookie") ?? "";
  return {
    cookie: cookie.length > LONGEST_COOKIE ? "" : cookie,
    address: headers.get("x-kellux-address"),
    agent: headers.get("user-agent")?.slice(0, LONGEST_AGENT) ?? null,
    origin: process.env.KELLUX_ORIGIN ? new URL(process.env.KELLUX_ORIGIN).origin : "http://localhost",
  };
}
