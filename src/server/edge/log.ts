import type { IncomingMessage, ServerResponse } from "node:http";

// Who asked is known behind the edge, in another bundle: so over the process.
const shared = globalThis as typeof globalThis & {
  kelluxHasPeople?: boolean | undefined;
  /** By whom the requests under way are asked, by the request's id. */
  kelluxAskedBy?: Map<string, string>;
};

/**
 * Writes a line of JSON for each request, once it is answered, where people have names, or KELLUX_LOG asks for it: when,
 * which, by whom, from where, how it ended. Of the address no more than the path, in which there are ids alone.
 */
export function logWhenAnswered(
  { method = "", url = "" }: IncomingMessage,
  response: ServerResponse,
  { request, address }: { request: string; address: string | null },
): void {
  const began = performance.now();
  response.once("close", () => {
    const who = shared.kelluxAskedBy?.get(request) ?? null;
    shared.kelluxAskedBy?.delete(request);
    if (!isLogged()) return;
    const path = url.split("?")[0] ?? "";
    if (path.startsWith("/_next/")) return;
    const line = {
      at: new Date().toISOString(),
      request,
      method,
      path,
      status: response.statusCode,
      ms: Math.round(performance.now() - began),
      who,
      from: address,
    };
    // As JSON no text can begin a line of its own.
    process.stdout.write(`${JSON.stringify(line)}\n`);
  });
}

const isLogged = () =>
  process.env.KELLUX_LOG === "requests" ||
  (shared.kelluxHasPeople === true && process.env.KELLUX_LOG !== "none");
