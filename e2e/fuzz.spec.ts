import { readdirSync } from "node:fs";
import { join } from "node:path";
import { expect, test } from "@playwright/test";
import { everythingKept, leaveTheLastPage } from "./everything-kept";
import { answerTo, changedSomewhere, pick, type Random, random, type Sent } from "./random-requests";

/** So many requests, of which most are turned away at the door; those of valid-requests.spec.ts come further. */
const REQUESTS = Number(process.env.KELLUX_FUZZ ?? 1000);
const AT_ONCE = 12;
const NOBODY = "00000000-0000-4000-8000-000000000000";
const OPTION = "11111111-1111-4111-8111-111111111111";
const VERBS = ["GET", "HEAD", "POST", "PUT", "DELETE", "OPTIONS", "PATCH", "TRACE", "PROPFIND"];

/** Every address that the app answers, as its folders say. */
function routes(folder = "src/app", path = ""): string[] {
  return readdirSync(folder, { withFileTypes: true }).flatMap(entry => {
    // A folder in parentheses groups pages, and is no part of their address.
    const step = entry.name.startsWith("(") ? "" : `/${entry.name}`;
    if (entry.isDirectory()) return routes(join(folder, entry.name), path + step);
    return /^(route|page)\.tsx?$/.test(entry.name) ? [path || "/"] : [];
  });
}

const INPUTS = {
  structure: { price: "1000.00", down: { percent: "10" }, fees: [{ name: "Fee", amount: "10.00" }] },
  plan: { kind: "loan", frequency: "monthly", yearlyRate: "6", payments: 12, signed: "2026-11-20" },
  find: "payment",
};
const FILE = { format: "kellux-deal", version: 1, currency: "USD", ...INPUTS };
const HEADING = { customer: "Fuzz", vehicle: "", status: "quoting" };
const FILED = { format: "kellux-deal", version: 2, currency: "USD", ...HEADING };

/** Bodies that are right but for one thing, because of which nothing can come of them, whatever else is changed. */
const BODIES: Record<string, (changed: (value: unknown) => unknown) => unknown> = {
  // The chosen option is none of the options.
  "/api/deals": changed => ({
    document: { ...HEADING, chosen: NOBODY, options: changed([{ id: OPTION, name: "", inputs: FILE }]) },
  }),
  // No deal has come so far.
  "/api/deals/[id]": changed => ({
    version: 1_999_999_999,
    change: changed({ heading: HEADING, options: [{ id: OPTION, name: "", inputs: FILE }] }),
  }),
  "/api/deals/[id]/dealer": changed => ({
    version: 1_999_999_999,
    dealer: changed({ options: { [OPTION]: { cost: "1.00", costs: { "extra-1": "2.00" } } } }),
  }),
  "/api/settings/dealer": changed => ({
    version: 1_999_999_999,
    dealer: changed({ extraCosts: { "usual-extra-1": "1.00" } }),
  }),
  "/api/settings": changed => ({
    version: 1_999_999_999,
    settings: changed({ locale: "en-US", currency: "USD" }),
  }),
  // The second option, line and vehicle are none.
  "/api/deals/import": changed => ({
    fileName: changed("deal.json"),
    text: JSON.stringify({ ...FILED, options: [changed(INPUTS), {}] }),
  }),
  "/api/deals/all": changed => `${JSON.stringify(changed({ ...FILED, options: [INPUTS] }))}\nnonsense\n`,
  "/api/stock": changed => ({
    vehicles: [changed({ description: "Fuzz", priceMinor: 100, currency: "USD" }), { description: "" }],
  }),
  "/api/stock/[id]": changed => changed({ description: "Fuzz", priceMinor: 100, currency: "USD" }),
  "/api/deals/[id]/programs": changed => ({
    option: OPTION,
    inputs: changed(FILE),
    side: changed(true),
    rank: changed("payment"),
  }),
  // No deal has that id.
  "/api/deals/[id]/programs/take": changed => ({
    option: OPTION,
    made: OPTION,
    inputs: changed(FILE),
    lender: changed("Fuzz"),
    program: "Fuzz",
    moved: changed({ by: "down", to: 100 }),
  }),
  // In view of no state that there is.
  "/api/rates/remove": changed => ({ mark: "none such", lender: changed("Fuzz") }),
  "/api/rates": changed => JSON.stringify(changed({ format: "kellux-rates", version: 1, lenders: [] })),
  "/api/rates/look": changed => JSON.stringify(changed({ format: "kellux-rates", version: 1, lenders: [] })),
  "/api/records/[member]/[id]": changed => changed({ was: "Fuzz", name: "Fuzzed" }),
  "/api/records/[member]/[id]/same": changed => changed({ other: NOBODY }),
  "/api/backups/restore": changed => ({ copy: changed("kellux-2026-01-01.ndjson.gz") }),
};

const TYPES = [
  "application/json",
  "application/x-ndjson",
  "application/gzip",
  "text/plain",
  "multipart/form-data",
  "x",
];
const HEADERS: Record<string, string>[] = [
  {},
  {},
  {},
  { rsc: "1" },
  { rsc: "1", "next-router-state-tree": "%5B%22nonsense" },
  { "next-action": "0".repeat(40) },
  { "next-router-prefetch": "1", rsc: "1" },
  { "x-forwarded-host": "elsewhere.test", "x-forwarded-proto": "gopher" },
  { "x-middleware-subrequest": "proxy:proxy:proxy" },
  { range: "bytes=9-1" },
  { "if-none-match": "*" },
  { accept: "\u00ff" },
  { "accept-encoding": "nonsense;q=9" },
  { cookie: "=;;=%" },
  { origin: "null" },
];

function bodyFor(route: string, next: Random): { body: Buffer; type: string } {
  const make = BODIES[route];
  if (!make || next() < 0.15) {
    const bytes = Buffer.from(
      Array.from({ length: Math.floor(next() * 300) }, () => Math.floor(next() * 256)),
    );
    return { body: bytes, type: pick(TYPES, next) };
  }
  const made = make(value => (next() < 0.2 ? value : changedSomewhere(value, next)));
  const text = typeof made === "string" ? made : JSON.stringify(made);
  const type = typeof made === "string" ? "application/x-ndjson" : "application/json";
  const bytes = Buffer.from(text);
  // Now and then cut off, or with a byte that is no text.
  const harmed = next() < 0.1 ? bytes.subarray(0, bytes.length - 2) : bytes;
  if (next() < 0.05) harmed[Math.floor(next() * harmed.length)] = 0xff;
  return { body: harmed, type: next() < 0.05 ? pick(TYPES, next) : type };
}

const PARTS = [
  "x",
  "%20",
  "%2e%2e",
  "%E2%82%AC",
  "%ff",
  "%00",
  "a%2Fb",
  "-1",
  "1e9",
  "[id]",
  "0".repeat(300),
  "…",
];
const QUERIES = [
  "",
  "",
  "?page=0",
  "?page=99999999",
  "?search=%F0%9F%9A%90",
  "?sort=x",
  "?status=signed&status=lost",
  "?_rsc=x",
  "?=&&=",
  "?customer=%25",
  "?order[]=1",
];

function requestFor(route: string, id: string, next: Random): Sent {
  const verb = pick(VERBS, next);
  // What a verb alone can do to a deal that is there, is done to none that is.
  const isHarmless = verb === "GET" || verb === "HEAD" || (verb === "PUT" && route === "/api/deals/[id]");
  const ids = [NOBODY, ...(isHarmless ? [id] : [])];
  const known = (name: string) => (name === "[member]" ? ["customer", "vehicle"] : ids);
  const path = route.replace(/\[\w+\]/g, name =>
    next() < 0.6 ? pick(known(name), next) : encodeURI(pick(PARTS, next)),
  );
  const { body, type } = bodyFor(route, next);
  const hasBody = verb === "POST" || verb === "PUT" || (verb === "PATCH" && next() < 0.5);
  return {
    verb,
    path: (next() < 0.1 ? `${path}/` : path) + pick(QUERIES, next),
    headers: {
      ...pick(HEADERS, next),
      ...(hasBody && { "content-type": type, "content-length": String(body.length) }),
    },
    body: hasBody ? body : undefined,
  };
}

test(`${REQUESTS} random requests over every route and verb get no 5xx, and change nothing`, async ({
  page,
  request,
  baseURL,
}) => {
  test.setTimeout(60_000 + REQUESTS * 100);
  await leaveTheLastPage(page, request);
  const port = Number(new URL(baseURL ?? "").port);
  const all = routes();
  expect(all.length).toBeGreaterThan(20);
  const created = await request.post("/api/deals", {
    data: { document: { ...HEADING, chosen: OPTION, options: [{ id: OPTION, name: "", inputs: FILE }] } },
  });
  const { id } = await created.json();
  const before = await everythingKept(request);
  const next = random(Number(process.env.KELLUX_SEED ?? 20_261_126));
  const failures: string[] = [];
  const statuses = new Map<number, number>();
  let sent = 0;
  const sendOn = async () => {
    while (sent < REQUESTS) {
      const route = all[sent++ % all.length] ?? "/";
      const asked = requestFor(route, id, next);
      const status = await answerTo(port, asked).then(
        answer => answer.status,
        (error: Error) => error.message,
      );
      if (typeof status === "number") statuses.set(status, (statuses.get(status) ?? 0) + 1);
      if (typeof status === "string" || status >= 500 || status === 201)
        failures.push(
          `${status}: ${asked.verb} ${asked.path} ${JSON.stringify(asked.headers)} ${asked.body?.toString("latin1").slice(0, 500)}`,
        );
    }
  };
  await Promise.all(Array.from({ length: AT_ONCE }, sendOn));
  expect(failures.slice(0, 5)).toEqual([]);
  expect(await everythingKept(request)).toEqual(before);
  // Turned away for many reasons, not all at the first step.
  expect([...statuses.keys()]).toEqual(expect.arrayContaining([200, 400, 404, 405, 415, 422]));
  const { version } = await (await request.get(`/api/deals/${id}`)).json();
  await request.delete(`/api/deals/${id}?version=${version}`);
});
