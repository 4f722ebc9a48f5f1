// Random requests that come through: half of them are right, and the others but for one place of their bodies. What was
// answered is what is kept.
import { expect } from "@playwright/test";
import { test } from "./own-server";
import { answerTo, changedSomewhere, pick, type Random, random, type Sent } from "./random-requests";

/** So many on a server of their own; ten times as many were sent before this was first landed (KELLUX_REQUESTS). */
const REQUESTS = Number(process.env.KELLUX_REQUESTS ?? 1000);
const AT_ONCE = 4;

/** What the answers have told so far: of each deal its newest version, and whether it is deleted. */
type Told = {
  deals: Map<string, { version: number; deleted: boolean }>;
  vehicles: Map<string, number>;
  settings: { version: number; settings: object };
  /** How many deals came in of which no id was told. */
  unnamed: number;
};

const NAMES = [
  "Zoë O’Hollow",
  "'; drop table deals; --",
  "🚐 camper",
  "Maren  Castellane",
  "<b>x</b>",
  "100 % \\ _",
  "=1+1",
];

const inputs = (next: Random) => ({
  structure: {
    price: `${1000 + Math.floor(next() * 60_000)}.00`,
    ...(next() < 0.4 && { down: { percent: "10" } }),
    ...(next() < 0.4 && { fees: [{ name: pick(NAMES, next), amount: "99.50" }] }),
  },
  plan: {
    kind: "loan",
    frequency: pick(["monthly", "weekly", "quarterly"], next),
    yearlyRate: pick(["0", "6.49", "19.99"], next),
    payments: 1 + Math.floor(next() * 84),
  },
  find: "payment",
});
const file = (next: Random) => ({ format: "kellux-deal", version: 1, currency: "USD", ...inputs(next) });
const uuid = (next: Random) =>
  "xxxxxxxx-xxxx-4xxx-8xxx-xxxxxxxxxxxx".replace(/x/g, () => Math.floor(next() * 16).toString(16));
const heading = (next: Random, status = pick(["quoting", "agreed", "lost"], next)) => ({
  customer: { id: uuid(next), name: pick(NAMES, next) },
  ...(next() < 0.5 && { vehicle: { id: uuid(next), name: pick(NAMES, next) } }),
  status,
});
const option = (next: Random) => ({ id: uuid(next), name: pick(["", ...NAMES], next), inputs: file(next) });
const vehicle = (next: Random) => ({
  description: `${pick(NAMES, next)} ${Math.floor(next() * 40)}`,
  priceMinor: pick([null, 100, 4_185_000], next),
  costMinor: null,
  listPriceMinor: null,
  currency: pick(["USD", "EUR"], next),
});

type Right = { verb: string; path: string; body?: unknown; type?: string };

/** Requests that are right as things are, as far as was told; somebody else may be quicker. */
const RIGHT: ((told: Told, next: Random) => Right)[] = [
  (_, next) => {
    const options = Array.from({ length: 1 + Math.floor(next() * 3) }, () => option(next));
    const document = { ...heading(next), chosen: options[0]?.id, options };
    return { verb: "POST", path: "/api/deals", body: { document } };
  },
  (_, next) => ({
    verb: "POST",
    path: "/api/deals/import",
    body: { fileName: `${pick(NAMES, next)}.json`, text: JSON.stringify(file(next)) },
  }),
  (_, next) => ({
    verb: "POST",
    path: `/api/deals/all?arrival=${uuid(next)}`,
    body: Array.from({ length: 3 }, () => JSON.stringify(file(next))).join("\n"),
    type: "application/x-ndjson",
  }),
  (told, next) => {
    const [id, { version }] = someDeal(told, next);
    return {
      verb: "PUT",
      path: `/api/deals/${id}`,
      body: { version, change: { heading: heading(next) }, brief: true },
    };
  },
  (told, next) => {
    const [id, { version }] = someDeal(told, next);
    return {
      verb: "PUT",
      path: `/api/deals/${id}`,
      body: { version, change: { heading: heading(next, "signed") } },
    };
  },
  (told, next) => {
    const [id, { version }] = someDeal(told, next);
    return {
      verb: pick(["DELETE", "POST"], next),
      path: `/api/deals/${id}${pick(["", "/reopen"], next)}?version=${version}`,
    };
  },
  (told, next) => {
    const [id, { version }] = someDeal(told, next);
    const costs = { [pick(["fee-1", "extra-1"], next)]: "12.50" };
    const dealer = { options: { [uuid(next)]: { cost: "1000.00", costs } } };
    return { verb: "PUT", path: `/api/deals/${id}/dealer`, body: { version, dealer } };
  },
  (told, next) => ({
    verb: "POST",
    path: `/api/deals/${someDeal(told, next)[0]}/${pick(["duplicate", "restore"], next)}`,
  }),
  (told, next) => ({
    verb: "GET",
    path: `/api/deals/${someDeal(told, next)[0]}${pick(["", "/history", "/history?with=dealer", "/history/1", "/version", "/dealer"], next)}`,
  }),
  (told, next) => ({
    verb: "POST",
    path: `/api/deals/${someDeal(told, next)[0]}/programs`,
    body: { option: uuid(next), inputs: file(next), side: next() < 0.5 },
  }),
  (told, next) => ({ verb: "GET", path: `/deals/${someDeal(told, next)[0]}` }),
  (_, next) => ({
    verb: "GET",
    path: pick(
      [
        "/",
        "/?search=zo",
        "/stock",
        "/settings",
        "/figures",
        "/figures/match",
        "/api/deals?sort=payment",
        "/api/deals?search=999&status=lost",
      ],
      next,
    ),
  }),
  (_, next) => ({
    verb: "GET",
    path: pick(
      [
        "/api/health",
        "/api/stock",
        "/api/stock/mark",
        "/api/settings",
        "/api/names?customer=z",
        "/api/names?vehicle=1",
        "/api/backup",
        "/api/deals/all",
        "/api/deals/all?with=dealer",
        "/api/settings/dealer",
        "/api/stock/costs",
        "/api/rates",
        "/api/rates/dealer",
        "/api/rates/mark",
      ],
      next,
    ),
  }),
];

/** What all of them would change together: one of those who ask does it alone, so that answers come in the order of what was done. */
const SHARED: typeof RIGHT = [
  (told, next) => {
    const houseName = pick(["", ...NAMES], next);
    const { version, settings } = told.settings;
    return { verb: "PUT", path: "/api/settings", body: { version, settings: { ...settings, houseName } } };
  },
  (_, next) => ({
    verb: "POST",
    path: "/api/stock",
    body: { vehicles: Array.from({ length: 1 + Math.floor(next() * 4) }, () => vehicle(next)) },
  }),
  (told, next) => {
    const [id = uuid(next), version = 1] = pick([...told.vehicles], next) ?? [];
    const path = `/api/stock/${id}?version=${version}`;
    return next() < 0.7 ? { verb: "PUT", path, body: vehicle(next) } : { verb: "DELETE", path };
  },
];

const someDeal = ({ deals }: Told, next: Random) => pick([...deals], next) as [string, { version: number }];

function requestOf(right: Right, isChanged: boolean, next: Random): Sent {
  const { verb, path, type = "application/json" } = right;
  const sent = isChanged && typeof right.body === "object" ? changedSomewhere(right.body, next) : right.body;
  const text = sent === undefined ? undefined : typeof sent === "string" ? sent : JSON.stringify(sent);
  const body = text === undefined ? undefined : Buffer.from(text);
  return {
    verb,
    path: encodeURI(path),
    headers: body ? { "content-type": type, "content-length": String(body.length) } : {},
    body,
  };
}

/** Takes in what an answer that is no refusal has told. */
function hear(told: Told, { verb, path }: Right, text: string): void {
  if (verb === "GET" || path.endsWith("/programs")) return;
  const reply = JSON.parse(text);
  if (path.startsWith("/api/stock")) hearOfStock(told, verb, path, reply);
  else if (path === "/api/settings") told.settings = reply;
  else if (path.startsWith("/api/deals/all")) told.unnamed += reply.deals;
  else {
    const known = told.deals.get(reply.id)?.version ?? 1;
    const { id, version = known, deleted = true } = reply;
    told.deals.set(id, { version, deleted });
  }
}

type VehicleReply = { id: string; version: number };

function hearOfStock(
  told: Told,
  verb: string,
  path: string,
  reply: VehicleReply & { vehicles?: VehicleReply[] },
): void {
  if (verb === "DELETE") {
    told.vehicles.delete(/[0-9a-f-]{36}/.exec(path)?.[0] ?? "");
    return;
  }
  for (const { id, version } of reply.vehicles ?? [reply]) told.vehicles.set(id, version);
}

test(`${REQUESTS} random requests, half of them right, get no 5xx, and what was refused has changed nothing`, async ({
  own,
}) => {
  test.setTimeout(120_000 + REQUESTS * 200);
  const { address } = await own.start(own.newFolder());
  const read = async (path: string) => (await fetch(address + path)).json();
  const kept = await read("/api/settings");
  const lanes = Array.from(
    { length: AT_ONCE },
    (): Told => ({ deals: new Map(), vehicles: new Map(), settings: kept, unnamed: 0 }),
  );
  const next = random(Number(process.env.KELLUX_SEED ?? 20_261_129));
  const failures: string[] = [];
  const statuses = new Map<number, number>();
  const send = async (told: Told, right: Right, isChanged: boolean) => {
    const asked = requestOf(right, isChanged, next);
    const { status, text } = await answerTo(own.port, asked).catch(error => ({
      status: 0,
      text: String(error),
    }));
    statuses.set(status, (statuses.get(status) ?? 0) + 1);
    if (status === 0 || status >= 500)
      failures.push(
        `${status}: ${asked.verb} ${asked.path} ${asked.body?.toString("utf8").slice(0, 500)} ${text.slice(0, 300)}`,
      );
    else if (status < 300) hear(told, right, text);
  };
  let sent = 0;
  const sendOn = async (told: Told, lane: number) => {
    const rights = lane === 0 ? [...RIGHT, ...SHARED] : RIGHT;
    // There is a deal from the first on.
    await send(told, RIGHT[0]?.(told, next) as Right, false);
    while (sent++ < REQUESTS) await send(told, pick(rights, next)(told, next), next() < 0.5);
  };
  await Promise.all(lanes.map(sendOn));
  expect(failures.slice(0, 5)).toEqual([]);
  // Each deal and vehicle that was told of is there at the version that was told last, and nothing else is.
  const deals = new Map(lanes.flatMap(told => [...told.deals]));
  const [shared] = lanes as [Told];
  const found = await Promise.all(
    [...deals.keys()].map(async id => [id, await read(`/api/deals/${id}/version`)] as const),
  );
  expect(new Map(found)).toEqual(deals);
  const live = (await (await fetch(`${address}/api/deals/all`)).text()).split("\n").length - 1;
  const unnamed = lanes.reduce((sum, told) => sum + told.unnamed, 0);
  expect(live).toBe(unnamed + [...deals.values()].filter(({ deleted }) => !deleted).length);
  const { vehicles } = (await read("/api/stock")) as { vehicles: { id: string; version: number }[] };
  expect(new Set(vehicles.map(({ id }) => id))).toEqual(new Set(shared.vehicles.keys()));
  expect((await read("/api/settings")).version).toBe(shared.settings.version);
  // Half of them came through.
  const through = [...statuses].filter(([status]) => status < 300).reduce((sum, [, count]) => sum + count, 0);
  expect(through).toBeGreaterThan(REQUESTS * 0.4);
});
