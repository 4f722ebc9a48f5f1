// What the tests with random requests are made of.
import { Agent, request as httpRequest } from "node:http";

/** Random numbers that come in the same order each time, so that a failure can be looked at. */
export function random(seed: number): () => number {
  let state = seed;
  return () => {
    state = (Math.imul(state ^ (state >>> 15), 0x2c1b3c6d) + 0x9e3779b9) | 0;
    return ((state ^ (state >>> 13)) >>> 0) / 2 ** 32;
  };
}

export type Random = ReturnType<typeof random>;

export const pick = <Value>(list: readonly Value[], next: Random): Value =>
  list[Math.floor(next() * list.length)] as Value;

/** The same data with one of its places changed, at whatever depth. */
export function changedSomewhere(value: unknown, next: Random): unknown {
  if (typeof value !== "object" || value === null || next() < 0.15) return pick(HOSTILE, next);
  const copy: Record<string, unknown> | unknown[] = Array.isArray(value) ? [...value] : { ...value };
  const key = pick(Object.keys(copy), next);
  if (key === undefined) return pick(HOSTILE, next);
  const members = copy as Record<string, unknown>;
  const what = next();
  if (what < 0.1) delete members[key];
  else if (what < 0.2) members[pick(["__proto__x", "constructor", "admin", ""], next)] = pick(HOSTILE, next);
  else members[key] = changedSomewhere(members[key], next);
  return copy;
}

const HOSTILE: unknown[] = [
  null,
  true,
  -1,
  1e308,
  0.1,
  "",
  "\u0000",
  "\ud83d",
  "1e999",
  "1'; drop table deals; --",
  "x".repeat(20_000),
  "9".repeat(400),
  "../../etc/passwd",
  "{{7*7}}",
  [],
  {},
  [[[[]]]],
  { $gt: 0 },
  Array.from({ length: 2000 }, () => ({})),
];

export type Sent = { verb: string; path: string; headers: Record<string, string>; body: Buffer | undefined };

/** What came of a request: its status, and what was said. */
export type Answered = { status: number; text: string };

const agent = new Agent({ keepAlive: true, maxSockets: 12 });

export const answerTo = (port: number, { verb, path, headers, body }: Sent): Promise<Answered> =>
  new Promise((resolve, reject) => {
    const asked = httpRequest({ port, host: "127.0.0.1", method: verb, path, headers, agent }, answer => {
      const chunks: Buffer[] = [];
      answer.on("data", chunk => chunks.push(chunk));
      answer.once("end", () =>
        resolve({ status: answer.statusCode ?? 0, text: Buffer.concat(chunks).toString("utf8") }),
      );
      answer.once("error", reject);
    });
    // A slow machine takes its time over a deal of many options that is signed.
    asked.setTimeout(60_000, () => asked.destroy(new Error("no answer")));
    asked.once("error", reject);
    asked.end(body);
  });
