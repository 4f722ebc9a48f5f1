// Every route and verb, asked by each role and by nobody, by ids that are there. What may be asked by whom is written down
// here a second time: a route that is new fails until somebody says who may.
import { expect } from "@playwright/test";
import { ROLE_NAMES, type Role } from "@/exchange/people";
import { addedPerson, allRoutes, firstPerson, type Somebody, somebody } from "./house-of-people";
import { DEAL, type Own, test } from "./own-server";

const ALL = ROLE_NAMES;
const DESK: Role[] = ["seller", "officer", "manager"];
const SEES: Role[] = [...DESK, "accounting", "reader"];
const SIDE: Role[] = ["officer", "manager", "accounting"];
const STRANGER = "stranger";

/** Who may ask for what; strangers may where it says so, and everybody else then, too. */
const WHO: Record<string, readonly (Role | typeof STRANGER)[]> = {
  "GET /api/health": [STRANGER],
  "POST /api/sign-in": [STRANGER],
  "POST /api/sign-in/code": [STRANGER],
  "POST /api/sign-in/link": [STRANGER],
  "POST /api/sign-in/out": [STRANGER],
  "GET /api/sign-in/house": [STRANGER],
  "GET /api/sign-in/callback/house": [STRANGER],
  "POST /api/sign-in/unlock": [STRANGER],
  "POST /api/sign-in/lock": ALL,
  "POST /api/sign-in/here": ALL,
  "GET /api/me": ALL,
  "PUT /api/me/password": ALL,
  "POST /api/me/codes": ALL,
  "PUT /api/me/codes": ALL,
  "DELETE /api/me/codes": ALL,
  "POST /api/me/out-everywhere": ALL,
  "GET /api/people": ALL,
  "POST /api/people": ["administrator"],
  "PUT /api/people/[id]": ["administrator"],
  "POST /api/people/[id]/link": ["administrator", "manager"],
  "POST /api/people/[id]/out": ["administrator"],
  "GET /api/doings": ["manager"],
  "GET /api/doings/table": ["manager"],
  "GET /api/settings": ALL,
  "PUT /api/settings": ["administrator"],
  "GET /api/settings/logo": ALL,
  "POST /api/settings/logo": ["administrator"],
  "GET /api/settings/dealer": SIDE,
  "PUT /api/settings/dealer": ["administrator"],
  "GET /api/backup": ["administrator"],
  "GET /api/backups/[name]": ["administrator"],
  "POST /api/backups/restore": ["administrator"],
  "GET /api/changes": ALL,
  "POST /api/tables": ALL,
  "GET /api/deals": SEES,
  "POST /api/deals": DESK,
  "POST /api/deals/import": DESK,
  "GET /api/deals/table": SIDE,
  "GET /api/deals/all": ["manager", "accounting"],
  "POST /api/deals/all": ["manager", "accounting"],
  "GET /api/deals/all/[id]": ["manager", "accounting"],
  "DELETE /api/deals/all/[id]": ["manager", "accounting"],
  "GET /api/deals/[id]": SEES,
  "PUT /api/deals/[id]": DESK,
  "DELETE /api/deals/[id]": DESK,
  "POST /api/deals/[id]/duplicate": DESK,
  "POST /api/deals/[id]/restore": DESK,
  "POST /api/deals/[id]/reopen": ["officer", "manager"],
  "GET /api/deals/[id]/version": SEES,
  "GET /api/deals/[id]/history": SEES,
  "GET /api/deals/[id]/history/[number]": SEES,
  "GET /api/deals/[id]/dealer": SIDE,
  "PUT /api/deals/[id]/dealer": SIDE,
  "GET /api/deals/[id]/dealer/recap": SIDE,
  "GET /api/deals/[id]/papers": SEES,
  "GET /api/deals/[id]/papers/[name]": SEES,
  "POST /api/deals/[id]/papers/[name]": [...DESK, "accounting"],
  "GET /api/deals/[id]/given/[paper]": SEES,
  "POST /api/deals/[id]/programs": SEES,
  "POST /api/deals/[id]/programs/take": DESK,
  "GET /api/deals/[id]/people": SEES,
  "PUT /api/deals/[id]/people": DESK,
  "GET /api/deals/[id]/releases": ["officer", "manager"],
  "POST /api/deals/[id]/releases": ["manager"],
  "GET /api/earned": ["manager", "accounting"],
  "GET /api/names": SEES,
  "GET /api/records/[member]/[id]": SEES,
  "PUT /api/records/[member]/[id]": DESK,
  "POST /api/records/[member]/[id]/same": DESK,
  "POST /api/records/[member]/[id]/erase": ["manager"],
  "GET /api/rates": SEES,
  "PUT /api/rates": ["manager"],
  "GET /api/rates/mark": ALL,
  "POST /api/rates/look": ["manager"],
  "POST /api/rates/remove": ["manager"],
  "GET /api/rates/dealer": SIDE,
  "GET /api/stock": SEES,
  "POST /api/stock": ["manager"],
  "GET /api/stock/mark": SEES,
  "GET /api/stock/costs": SIDE,
  "PUT /api/stock/[id]": ["manager"],
  "DELETE /api/stock/[id]": ["manager"],
};

/** These end what they are asked with, and come last. */
const ENDING = ["POST /api/sign-in/lock", "POST /api/me/out-everywhere", "POST /api/sign-in/out"];

type House = {
  administrator: Somebody;
  people: Record<Role, Somebody>;
  /** Makes deals for those who make none, and is never asked to sign out. */
  maker: Somebody;
};

async function houseAt(address: string): Promise<House> {
  const administrator = await firstPerson(address);
  const people: Partial<Record<Role, Somebody>> = {};
  for (const role of ROLE_NAMES)
    people[role] = await addedPerson(address, administrator, {
      name: `One ${role}`,
      username: `one.${role}`,
      roles: [role],
      branch: "Harbour",
    });
  const maker = await addedPerson(address, administrator, {
    name: "Deal Maker",
    username: "maker",
    roles: ["officer"],
    branch: "Harbour",
  });
  return { administrator, people: people as Record<Role, Somebody>, maker };
}

/** A deal of somebody's own, with its customer. */
async function dealOf(owner: Somebody, customer: string): Promise<{ id: string; customer: string }> {
  const text = JSON.stringify({ ...DEAL, customer });
  const response = await owner.ask("POST", "/api/deals/import", { fileName: "a.json", text });
  expect(response.status, await response.clone().text()).toBe(201);
  const deal = await response.json();
  return { id: deal.id, customer: deal.document.customer.id };
}

/** A route with ids that are there. */
function pathOf(route: string, deal: { id: string; customer: string }, person: string): string {
  const path = route.split(" ")[1] ?? "";
  const filled = path
    .replace("/people/[id]", `/people/${person}`)
    .replace("/records/[member]/[id]", `/records/customer/${deal.customer}`)
    .replace("/deals/[id]", `/deals/${deal.id}`)
    .replace("[number]", "1")
    .replace("/papers/[name]", "/papers/proposal")
    .replace("[paper]", "00000000-0000-4000-8000-000000000000")
    .replace("[name]", "none.gz")
    .replace("[id]", "00000000-0000-4000-8000-000000000000");
  return path === "/api/changes" ? `${filled}?of=deals` : filled;
}

async function ask(one: Somebody, route: string, path: string): Promise<{ status: number; text: string }> {
  const [verb = ""] = route.split(" ");
  const response = await one.ask(verb, path, verb === "GET" ? undefined : {});
  const isStream = response.headers.get("content-type")?.includes("event-stream");
  if (isStream) await response.body?.cancel();
  return { status: response.status, text: isStream ? "" : await response.text() };
}

async function open({ newFolder, start }: Own): Promise<{ address: string } & House> {
  const { address } = await start(newFolder(), { KELLUX_LOG: "none" });
  return { address, ...(await houseAt(address)) };
}

test("each role and nobody may ask for what is theirs, on every route that there is", async ({ own }) => {
  expect(allRoutes().sort()).toEqual(Object.keys(WHO).sort());
  const { address, administrator, people, maker } = await open(own);
  const settled = await addedPerson(address, administrator, {
    name: "Settled",
    username: "settled",
    roles: [],
  });
  const routes = [...Object.keys(WHO).filter(route => !ENDING.includes(route)), ...ENDING];
  for (const role of ROLE_NAMES) {
    const one = people[role];
    for (const route of routes) {
      const isMaker = DESK.includes(role) && !ENDING.includes(route);
      const deal = await dealOf(isMaker ? one : maker, `Of ${role}`);
      const { status, text } = await ask(one, route, pathOf(route, deal, settled.id));
      const may = WHO[route]?.includes(role) || WHO[route]?.includes(STRANGER);
      const said = `${role}: ${route} gave ${status} ${text.slice(0, 120)}`;
      expect(status, said).toBeLessThan(500);
      // What a manager has to release first is refused for another reason.
      const isRefused = [401, 403].includes(status) && !/"release":|password|Sign in/.test(text);
      expect(isRefused, said).toBe(!may);
    }
  }
  const deal = await dealOf(maker, "Of nobody");
  const nobody = somebody(address, "");
  for (const route of routes) {
    const { status, text } = await ask(nobody, route, pathOf(route, deal, settled.id));
    const said = `nobody: ${route} gave ${status} ${text.slice(0, 120)}`;
    expect(status, said).toBeLessThan(500);
    if (!WHO[route]?.includes(STRANGER)) expect(status, said).toBe(401);
  }
  const health = await (await nobody.ask("GET", "/api/health")).json();
  expect(health).toEqual({ lives: true });
});

test("what is another branch’s is not there, by whatever address it is asked for", async ({ own }) => {
  const { address, administrator, people } = await open(own);
  const away = await addedPerson(address, administrator, {
    name: "Far Officer",
    username: "far",
    roles: ["officer"],
    branch: "Quarry",
  });
  const theirs = await dealOf(away, "Quill Faraway");
  const ofADeal = Object.keys(WHO).filter(route => /\/(deals|records\/\[member\])\/\[id\]/.test(route));
  expect(ofADeal.length).toBeGreaterThan(20);
  for (const role of ["seller", "officer"] as const) {
    for (const route of ofADeal) {
      if (!WHO[route]?.includes(role)) continue;
      const body = BODIES[route]?.(theirs);
      const [verb = ""] = route.split(" ");
      const query = verb === "GET" || body !== undefined ? "" : "?version=1";
      const response = await people[role].ask(
        verb,
        `${pathOf(route, theirs, "")}${PAPER_QUERY[route] ?? query}`,
        verb === "GET" ? undefined : (body ?? {}),
      );
      expect(response.status, `${role}: ${route} ${(await response.text()).slice(0, 200)}`).toBe(404);
    }
    const found = await (await people[role].ask("GET", "/api/deals?search=faraway")).json();
    expect(found.rows).toEqual([]);
    const names = await (await people[role].ask("GET", "/api/names?customer=quill")).json();
    expect(names.customers).toEqual([]);
    const page = await people[role].ask("GET", `/deals/${theirs.id}`);
    expect(await page.text()).not.toContain("Quill Faraway");
  }
  const seen = await (await people.manager.ask("GET", "/api/deals?search=faraway")).json();
  expect(seen.rows).toHaveLength(1);
  // Somebody who works on it sees it from then on, with a share of it.
  const kept = await (await away.ask("GET", `/api/deals/${theirs.id}/people`)).json();
  const shared = { ...kept, people: [{ who: people.seller.id, role: "seller", percent: "25" }] };
  expect((await away.ask("PUT", `/api/deals/${theirs.id}/people`, shared)).status).toBe(200);
  expect((await people.seller.ask("GET", `/api/deals/${theirs.id}`)).status).toBe(200);
  expect((await people.officer.ask("GET", `/api/deals/${theirs.id}`)).status).toBe(404);
  // Handed over, it is the other's, and the branch's.
  const now = await (await away.ask("GET", `/api/deals/${theirs.id}/people`)).json();
  const over = { ...now, owner: people.officer.id, branch: "Harbour", people: [] };
  expect((await away.ask("PUT", `/api/deals/${theirs.id}/people`, over)).status).toBe(200);
  expect((await people.officer.ask("GET", `/api/deals/${theirs.id}`)).status).toBe(200);
  expect((await away.ask("GET", `/api/deals/${theirs.id}`)).status).toBe(404);
});

const OPTIONS_ASKED = "?options=00000000-0000-4000-8000-000000000000&version=1&day=2026-11-30";

const PAPER_QUERY: Record<string, string> = {
  "GET /api/deals/[id]/papers": OPTIONS_ASKED,
  "GET /api/deals/[id]/papers/[name]": OPTIONS_ASKED,
  "POST /api/deals/[id]/papers/[name]": OPTIONS_ASKED,
  "GET /api/deals/[id]/dealer/recap": "?option=00000000-0000-4000-8000-000000000000&day=2026-11-30",
};

const OPTION = "00000000-0000-4000-8000-000000000000";
const INPUTS = { format: "kellux-deal", version: 1, currency: "USD", ...DEAL.options[0] };

/** Bodies that would be taken, were the deal seen. */
const BODIES: Record<string, (deal: { customer: string }) => unknown> = {
  "PUT /api/deals/[id]": () => ({ version: 1, change: { heading: { status: "lost" } } }),
  "PUT /api/deals/[id]/dealer": () => ({ version: 1, dealer: {} }),
  "POST /api/deals/[id]/programs": () => ({ option: OPTION, inputs: INPUTS, side: false }),
  "POST /api/deals/[id]/programs/take": () => ({
    option: OPTION,
    made: OPTION,
    inputs: INPUTS,
    lender: "a",
    program: "b",
  }),
  "PUT /api/deals/[id]/people": () => ({ mark: "x", owner: null, branch: null, people: [] }),
  "PUT /api/records/[member]/[id]": () => ({ was: "Quill Faraway", name: "Another" }),
  "POST /api/records/[member]/[id]/same": () => ({ other: "00000000-0000-4000-8000-000000000001" }),
};
