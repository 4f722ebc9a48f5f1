import { request as httpRequest } from "node:http";
import { type APIRequestContext, expect, test } from "@playwright/test";
import { leaveTheLastPage } from "./everything-kept";

const inputs = {
  format: "kellux-deal",
  version: 1,
  currency: "USD",
  structure: { price: "1000.00" },
  plan: { kind: "loan", frequency: "monthly", yearlyRate: "6", payments: 12 },
  find: "payment",
};
const LEASE_PLAN = {
  kind: "lease",
  reckoning: "levelYield",
  yearlyRate: "6",
  payments: 12,
  frequency: "monthly",
  residual: { amount: "100.00" },
};
const OPTION = "11111111-1111-4111-8111-111111111111";
const OTHER_OPTION = "22222222-2222-4222-8222-222222222222";
const heading = {
  customer: { id: "d00d0000-0000-4000-8000-000000000001", name: "Door Tester" },
  status: "quoting",
};
const called = (name: string) => ({ ...heading.customer, name });
const document = { ...heading, chosen: OPTION, options: [{ id: OPTION, name: "", inputs }] };
const withInputs = (change: object) => ({
  ...document,
  options: [{ id: OPTION, name: "", inputs: { ...inputs, ...change } }],
});

/** A document as the body of a save. */
function changeOf({ chosen, options, ...rest }: typeof document): object {
  return { heading: rest, order: { chosen, options: options?.map?.(option => option?.id) }, options };
}
const NOBODY = "00000000-0000-4000-8000-000000000000";

async function keptDeal(request: APIRequestContext): Promise<string> {
  const response = await request.post("/api/deals", { data: { document } });
  expect(response.status()).toBe(201);
  return (await response.json()).id;
}

/** What the register shows, once its figures are made. */
async function everything(request: APIRequestContext): Promise<string> {
  const asked = async () => (await request.get("/api/deals")).text();
  await expect.poll(asked).not.toContain('"isMade":false');
  return asked();
}

/** Bodies that no route may take, as they go over the line. */
const HOSTILE: [name: string, body: string | Buffer, type?: string][] = [
  ["no body", ""],
  ["no JSON", "{nope"],
  ["half a body", JSON.stringify({ document }).slice(0, 60)],
  ["null", "null"],
  ["a number", "7"],
  ["a list", "[[[[]]]]"],
  ["a text", '"deal"'],
  ["an empty object", "{}"],
  ["bytes that are no text", Buffer.from([0xff, 0xfe, 0x00, 0xc3, 0x28])],
  ["a form", "customer=x", "application/x-www-form-urlencoded"],
  ["plain text", JSON.stringify({ document }), "text/plain"],
  ["over a megabyte", JSON.stringify({ document: { ...document, customer: "x".repeat(1_100_000) } })],
  ["deeply nested", "[".repeat(100_000) + "]".repeat(100_000)],
  ["a prototype", '{"__proto__":{"admin":true},"constructor":{"prototype":{}}}'],
];

const WRONG_DOCUMENTS: [name: string, document: unknown][] = [
  ["a number for a name", { ...document, customer: 5 }],
  ["a zero character in a name", { ...document, customer: "a\u0000b" }],
  ["a name of ten thousand letters", { ...document, customer: "x".repeat(10_000) }],
  ["an unknown status", { ...document, status: "won" }],
  ["a property too many", { ...document, admin: true }],
  ["no inputs", { ...document, options: [{ id: OPTION, name: "", inputs: null }] }],
  ["no options", { ...document, options: [] }],
  ["options that are none", { ...document, options: [null] }],
  ["nine options", { ...document, options: Array.from({ length: 9 }, () => document.options[0]) }],
  ["an option twice", { ...document, options: [document.options[0], document.options[0]] }],
  ["an option without an id", { ...document, options: [{ name: "", inputs }] }],
  ["an id that is none", { ...document, options: [{ id: "one", name: "", inputs }] }],
  ["a chosen option that is not there", { ...document, chosen: OTHER_OPTION }],
  ["another format", withInputs({ format: "other" })],
  ["a negative price", withInputs({ structure: { price: "-1" } })],
  ["a price that is not finite", withInputs({ structure: { price: "1e999" } })],
  ["a price of a fraction of a cent", withInputs({ structure: { price: "1.001" } })],
  ["a price of statements", withInputs({ structure: { price: "1'; drop table deals; --" } })],
  ["a price that is an object", withInputs({ structure: { price: { $gt: 0 } } })],
  ["an unknown currency", withInputs({ currency: "QQQ" })],
  ["too many payments", withInputs({ plan: { ...inputs.plan, payments: 1e9 } })],
  ["a day that does not exist", withInputs({ plan: { ...inputs.plan, signed: "2026-02-30" } })],
  ["the found figure given", withInputs({ plan: { ...inputs.plan, payment: "5.00" } })],
  ["a lease with a balloon", withInputs({ plan: { ...LEASE_PLAN, balloon: { amount: "1" } } })],
  ["a lease by both rates", withInputs({ plan: { ...LEASE_PLAN, moneyFactor: "0.001" } })],
  ["a lease of a personal loan", withInputs({ plan: LEASE_PLAN, structure: { purpose: "Piano" } })],
  ["a kept lease that is a loan", withInputs({ kept: { plan: inputs.plan, find: "payment" } })],
];

test("hostile and malformed bodies get a 4xx with a sentence on every route, and change nothing", async ({
  page,
  request,
}) => {
  await leaveTheLastPage(page, request);
  const id = await keptDeal(request);
  const before = await everything(request);
  const routes: [method: string, path: string][] = [
    ["POST", "/api/deals"],
    ["POST", "/api/deals/import"],
    ["PUT", `/api/deals/${id}`],
    ["PUT", `/api/deals/${NOBODY}`],
    ["PUT", "/api/deals/not-an-id"],
    ["PUT", "/api/settings"],
  ];
  for (const [method, path] of routes) {
    for (const [name, data, type = "application/json"] of HOSTILE) {
      const response = await request.fetch(path, { method, data, headers: { "Content-Type": type } });
      const where = `${method} ${path} with ${name}`;
      expect([where, Math.floor(response.status() / 100)]).toEqual([where, 4]);
      expect((await response.json()).error, where).toMatch(/^.{10,300}\.$/);
    }
  }
  expect(await everything(request)).toBe(before);
});

test("wrong deals get a 4xx with a sentence that names the figure, and change nothing", async ({
  page,
  request,
}) => {
  await leaveTheLastPage(page, request);
  const id = await keptDeal(request);
  const before = await everything(request);
  for (const [name, wrong] of WRONG_DOCUMENTS) {
    const wrongDocument = wrong as typeof document;
    const attempts = [
      () => request.post("/api/deals", { data: { document: wrong } }),
      () => request.put(`/api/deals/${id}`, { data: { version: 1, change: changeOf(wrongDocument) } }),
    ];
    // An import carries the inputs alone: what is wrong around them cannot be in it.
    const [option] = wrongDocument.options;
    if (option && option.inputs !== inputs) {
      const text = JSON.stringify(option.inputs);
      attempts.push(() => request.post("/api/deals/import", { data: { fileName: "x.json", text } }));
    }
    for (const attempt of attempts) {
      const response = await attempt();
      expect([name, response.status()]).toEqual([name, 422]);
      expect((await response.json()).error, name).toMatch(/^.{10,300}\.$/);
    }
  }
  expect(await everything(request)).toBe(before);
});

test("settings that a deal could not be made with get a 4xx with the reason, and change nothing", async ({
  page,
  request,
}) => {
  await leaveTheLastPage(page, request);
  const asked = async () => (await request.get("/api/settings")).json();
  const before = await asked();
  const { version, settings } = before;
  const wrong: [object, string][] = [
    [{ ...settings, currency: "QQQ" }, "QQQ is not a known currency"],
    [{ ...settings, locale: "de" }, 'settings.locale is "de"'],
    [{ ...settings, fees: [{ name: "Fee" }] }, "Fee must have an amount, or a percent"],
    [{ ...settings, plan: { ...settings.plan, yearlyRate: "1001" } }, "The yearly rate 1001 % is too high"],
    [{ ...settings, houseName: "a\u0000b" }, "settings.houseName is"],
    [{ ...settings, taxProfiles: "none" }, "settings.taxProfiles is"],
  ];
  for (const [each, sentence] of wrong) {
    const response = await request.put("/api/settings", { data: { version, settings: each } });
    expect(response.status()).toBe(422);
    expect((await response.json()).error).toContain(sentence);
  }
  for (const late of [-1, version + 7, 1e20]) {
    const response = await request.put("/api/settings", { data: { version: late, settings } });
    expect([409, 422]).toContain(response.status());
  }
  expect(await asked()).toEqual(before);
});

test("versions that are no versions, and deals that are not there", async ({ request }) => {
  const id = await keptDeal(request);
  for (const version of [0, -1, 1.5, "1", 1e20, null]) {
    const response = await request.put(`/api/deals/${id}`, { data: { version, change: { heading } } });
    expect(response.status()).toBe(422);
  }
  for (const path of [NOBODY, "not-an-id", "..%2f..%2fetc", "%00", "x".repeat(3000)]) {
    for (const [method, suffix] of [
      ["GET", ""],
      ["DELETE", ""],
      ["POST", "/duplicate"],
      ["POST", "/restore"],
    ] as const) {
      const response = await request.fetch(`/api/deals/${path}${suffix}`, { method });
      expect([path.slice(0, 40), method, Math.floor(response.status() / 100)]).toEqual([
        path.slice(0, 40),
        method,
        4,
      ]);
    }
  }
  const page = await request.get(`/deals/${NOBODY}`);
  expect(page.status()).toBe(404);
  expect(await page.text()).toContain("There is nothing at this address");
});

test("a save from an old version is refused with the deal as it is; the same save twice is confirmed", async ({
  request,
}) => {
  const id = await keptDeal(request);
  const save = (version: number, customer: string) =>
    request.put(`/api/deals/${id}`, {
      data: { version, change: { heading: { ...heading, customer: called(customer) } } },
    });
  expect((await save(1, "First")).status()).toBe(200);
  const again = await save(1, "First");
  expect([again.status(), (await again.json()).version]).toEqual([200, 2]);
  const late = await save(1, "Late");
  expect(late.status()).toBe(409);
  expect((await late.json()).current).toMatchObject({
    version: 2,
    document: { customer: { name: "First" } },
  });
  await request.delete(`/api/deals/${id}?version=2`);
  expect((await save(2, "Deleted")).status()).toBe(410);
});

test("what signs, reopens, chooses or deletes names the version in view; asked again, it is confirmed", async ({
  request,
}) => {
  const id = await keptDeal(request);
  const address = `/api/deals/${id}`;
  const put = (version: number, change: object) => request.put(address, { data: { version, change } });
  const options = [OPTION, OTHER_OPTION].map(each => ({ id: each, name: "", inputs }));
  const choose = (chosen: string) => ({ order: { chosen, options: [OPTION, OTHER_OPTION] } });
  expect((await put(1, { ...choose(OPTION), options })).status()).toBe(200);
  const dearer = { id: OPTION, name: "", inputs: { ...inputs, structure: { price: "36000.00" } } };
  expect((await put(2, { options: [dearer] })).status()).toBe(200);
  const current = { version: 3, document: { chosen: OPTION } };
  const sign = { heading: { ...heading, status: "signed" } };
  for (const asked of [
    () => put(2, choose(OTHER_OPTION)),
    () => put(2, sign),
    () => request.delete(`${address}?version=2`),
  ]) {
    const unseen = await asked();
    expect(unseen.status()).toBe(409);
    expect((await unseen.json()).current).toMatchObject(current);
  }
  for (let time = 0; time < 2; time++) expect((await put(3, choose(OTHER_OPTION))).status()).toBe(200);
  for (let time = 0; time < 2; time++) expect((await put(4, sign)).status()).toBe(200);
  const unseen = await request.post(`${address}/reopen?version=4`);
  expect([unseen.status(), (await unseen.json()).current?.version]).toEqual([409, 5]);
  for (let time = 0; time < 2; time++) {
    const reopened = await request.post(`${address}/reopen?version=5`);
    expect([reopened.status(), (await reopened.json()).version]).toEqual([200, 6]);
  }
  for (const nameless of ["", "?version=", "?version=x", "?version=0", "?version=-1"]) {
    expect((await request.post(`${address}/reopen${nameless}`)).status()).toBe(400);
    expect((await request.delete(`${address}${nameless}`)).status()).toBe(400);
  }
  for (let time = 0; time < 2; time++)
    expect((await request.delete(`${address}?version=6`)).status()).toBe(200);
});

test("saves of different parts of a deal meet in it", async ({ request }) => {
  const id = await keptDeal(request);
  const save = (version: number, change: object) =>
    request.put(`/api/deals/${id}`, { data: { version, change } });
  const dearer = { id: OPTION, name: "", inputs: { ...inputs, structure: { price: "2000.00" } } };
  expect((await save(1, { heading: { ...heading, customer: called("First") } })).status()).toBe(200);
  const second = await save(1, { options: [dearer] });
  expect(await second.json()).toMatchObject({
    version: 3,
    document: { customer: { name: "First" }, options: [dearer] },
  });
  const clash = await save(1, { options: [{ ...dearer, name: "Late" }] });
  expect([clash.status(), (await clash.json()).current.version]).toEqual([409, 3]);
});

test("a page that was opened before deals had options can save, duplicate its deal and see a conflict", async ({
  request,
}) => {
  const older = { customer: "Door Tester", vehicle: "", status: "quoting", inputs };
  const created = await request.post("/api/deals", { data: { document: older } });
  const { id, document: kept } = await created.json();
  expect(kept).toMatchObject({
    customer: { name: "Door Tester" },
    status: "quoting",
    options: [{ name: "", inputs }],
  });
  const [option] = kept.options;
  expect(kept.chosen).toBe(option.id);
  const save = (version: number, customer: string) =>
    request.put(`/api/deals/${id}`, { data: { version, document: { ...older, customer } } });
  const saved = await save(1, "First");
  expect(await saved.json()).toMatchObject({
    version: 2,
    document: { customer: "First", options: [option] },
  });
  const late = await save(1, "Late");
  expect(late.status()).toBe(409);
  // Such a page looks for the inputs where they were.
  expect((await late.json()).current).toMatchObject({ version: 2, document: { customer: "First", inputs } });
  const wrong = await request.put(`/api/deals/${id}`, {
    data: { version: 2, document: { ...older, admin: true } },
  });
  expect(wrong.status()).toBe(422);
});

/** A request with headers that a browser would not let a page set. */
function raw(method: string, headers: Record<string, string>): Promise<number> {
  return new Promise((resolve, reject) => {
    const { port } = new URL(test.info().project.use.baseURL ?? "");
    const sent = httpRequest({ host: "127.0.0.1", port, path: "/api/deals", method, headers }, response => {
      response.resume();
      resolve(response.statusCode ?? 0);
    });
    sent.on("error", reject);
    sent.end(method === "POST" ? JSON.stringify({ document }) : undefined);
  });
}

test("posts from other sites and calls by other names are refused", async ({ page, request }) => {
  await leaveTheLastPage(page, request);
  const { host } = new URL(test.info().project.use.baseURL ?? "");
  const json = { "Content-Type": "application/json", Host: host };
  const before = await everything(request);
  expect(await raw("POST", { ...json, Origin: "http://elsewhere.example" })).toBe(403);
  expect(await raw("POST", { ...json, Origin: "null" })).toBe(403);
  expect(await raw("POST", { ...json, "Sec-Fetch-Site": "cross-site" })).toBe(403);
  expect(await raw("POST", { ...json, "Sec-Fetch-Site": "same-site", Origin: "http://localhost:1" })).toBe(
    403,
  );
  // The server here is not encrypted: what is comes from another, whatever it is called.
  expect(await raw("POST", { ...json, Origin: `https://${host}` })).toBe(403);
  expect(await raw("GET", { Host: "rebound.example" })).toBe(403);
  expect(await everything(request)).toBe(before);
  expect(await raw("POST", { ...json, Origin: `http://${host}`, "Sec-Fetch-Site": "same-origin" })).toBe(201);
});

test("no header that the framework speaks to itself by has a request answered without its work", async ({
  request,
}) => {
  for (const name of ["x-middleware-prefetch", "x-middleware-subrequest", "x-nextjs-data"]) {
    const headers = { [name]: "1", "content-type": "application/json" };
    expect((await request.post("/api/deals", { headers, data: Buffer.from("{nope") })).status()).toBe(400);
    expect(await (await request.get("/api/deals", { headers })).json()).toHaveProperty("rows");
    expect(await (await request.get("/settings", { headers })).text()).toContain("<main");
  }
  // Where a page says that it stands: nonsense fails no address, whether there is one or not.
  const headers = { rsc: "1", "next-router-state-tree": "%5B%22nonsense" };
  for (const [address, status] of [
    ["/nowhere", 404],
    ["/customer?_rsc=x", 200],
  ] as const)
    expect([address, (await request.get(address, { headers })).status()]).toEqual([address, status]);
});

test("a file of more than 10 MB is taken to its end", async ({ request }) => {
  const { format, currency, version: _version, ...option } = inputs;
  const deal = JSON.stringify({ format, version: 2, currency, customer: "Far Behind", options: [option] });
  const headers = { "content-type": "application/x-ndjson" };
  const data = `${"\n".repeat(12_000_000)}${deal}\n`;
  const response = await request.post("/api/deals/all", { headers, data });
  expect([response.status(), await response.json()]).toEqual([201, { deals: 1 }]);
  expect((await request.post("/api/deals/all", { headers, data: " ".repeat(100_000_001) })).status()).toBe(
    413,
  );
});

test("pages carry the security headers, and every script on them a nonce of its own", async ({ page }) => {
  const broken: string[] = [];
  page.on("console", message => {
    if (message.type() === "error") broken.push(message.text());
  });
  const nonces: (string | undefined)[] = [];
  for (let visit = 0; visit < 2; visit++) {
    const response = await page.goto("/");
    const headers = response?.headers() ?? {};
    const policy = headers["content-security-policy"] ?? "";
    expect(policy).not.toMatch(/script-src[^;]*'unsafe-(inline|eval)'/);
    expect(policy).toContain("frame-ancestors 'none'");
    expect(headers).toMatchObject({ "x-content-type-options": "nosniff", "x-frame-options": "DENY" });
    const nonce = /'nonce-([^']+)'/.exec(policy)?.[1];
    nonces.push(nonce);
    const html = (await response?.text()) ?? "";
    const inline = [...html.matchAll(/<script(?![^>]*\ssrc=)([^>]*)>/g)];
    expect(inline.length).toBeGreaterThan(0);
    for (const [, attributes] of inline) expect(attributes).toContain(`nonce="${nonce}"`);
  }
  expect(nonces[0]).not.toBe(nonces[1]);
  expect(broken).toEqual([]);
});

test("says that it is well, and suggests names for what was typed of them", async ({ request }) => {
  const health = await request.get("/api/health");
  const { newestBackup, ...said } = await health.json();
  expect([health.status(), said]).toEqual([
    200,
    { database: "answers", core: expect.any(String), freeBytes: expect.any(Number) },
  ]);
  // The day's copy is made soon after the start.
  expect(String(newestBackup)).toMatch(/^(null|\d{4}-\d\d-\d\dT.*Z)$/);
  const names = await request.get("/api/names?customer=tamsin");
  expect(await names.json()).toMatchObject({ customers: [{ name: "Tamsin Wherry" }] });
  for (const query of ["", "?customer=a&vehicle=b", `?customer=${"x".repeat(121)}`, "?vehicle=%00"]) {
    const refused = await request.get(`/api/names${query}`);
    expect([query, refused.status()]).toEqual([query, 422]);
  }
});
