// Random requests as each role and as nobody, over every route: nothing fails, and nobody is told what is not theirs.
import { expect } from "@playwright/test";
import { ROLE_NAMES, type Role } from "@/exchange/people";
import { addedPerson, allRoutes, firstPerson, type Somebody, somebody } from "./house-of-people";
import { DEAL, test } from "./own-server";
import { answerTo, changedSomewhere, pick, type Random, random } from "./random-requests";

/** Of each role and of nobody; ten times as many in the long run. */
const REQUESTS = process.env.KELLUX_LONG === "1" ? 1000 : 100;
const AT_ONCE = 4;

/** Stand in deals of another branch, and in the dealer's side of every deal. */
const ELSEWHERE = "Quill Faraway";
const SECRET_COST = "27182.81";

/** What ends what is asked with, or locks it: tested by itself. */
const LEFT_OUT =
  /sign-in\/(out|lock|unlock)|out-everywhere|backups\/restore|people\/\[id\]|me\/password|changes/;

type Known = { deals: string[]; customers: string[]; people: string[]; papers: string[] };

const HOSTILE_IDS = ["00000000-0000-0000-0000-000000000000", "1", "..%2f..", "%00", "x".repeat(300)];

function pathOf(route: string, known: Known, next: Random): string {
  const id = (of: string[]) => (next() < 0.8 ? pick(of, next) : pick(HOSTILE_IDS, next));
  const path = (route.split(" ")[1] ?? "")
    .replace(
      "/records/[member]/[id]",
      `/records/${pick(["customer", "vehicle", "x"], next)}/${id(known.customers)}`,
    )
    .replace("/deals/[id]", `/deals/${id(known.deals)}`)
    .replace("[paper]", id(known.papers))
    .replace("[number]", pick(["1", "2", "x"], next))
    .replace("/papers/[name]", `/papers/${pick(["proposal", "comparison", "x"], next)}`)
    .replace(/\[[a-z]+\]/g, () => id(known.deals));
  const query = pick(
    [
      ...["", "?version=1", "?with=dealer", "?customer=quill", "?search=faraway", "?page=2", "?deleted=yes"],
      ...[
        "?month=2026-12",
        "?options=x&version=1&day=2026-11-30",
        `?owner=${id(known.people)}`,
        "?branch=Quarry",
      ],
    ],
    next,
  );
  return path + query;
}

const heading = {
  customer: { id: "00000000-0000-4000-8000-0000000000aa", name: "Somebody" },
  status: "quoting",
};

/** Bodies that are right somewhere. */
const BODIES: unknown[] = [
  { fileName: "a.json", text: JSON.stringify(DEAL) },
  { version: 1, change: { heading } },
  { version: 1, change: { heading: { ...heading, status: "signed" } } },
  { version: 2, dealer: { applicant: { score: 700, income: "5000.00" } } },
  { mark: "x", owner: null, branch: "Harbour", people: [] },
  { version: 1, kind: "limit", detail: "x", reason: "y" },
  { name: "one.manager", password: "guess" },
  { link: "guess", password: "eleven grey pebbles" },
  { was: ELSEWHERE, name: "Mine" },
  { other: "00000000-0000-4000-8000-0000000000aa" },
  { name: "New", username: "new", roles: ["administrator"] },
];

async function ask(port: number, one: Somebody, known: Known, next: Random) {
  const route = pick(ROUTES, next);
  const [verb = "GET"] = route.split(" ");
  const path = pathOf(route, known, next);
  const right = pick(BODIES, next);
  const body = JSON.stringify(next() < 0.5 ? right : changedSomewhere(right, next));
  const headers = {
    cookie: one.cookie,
    "content-type": "application/json",
    "content-length": String(Buffer.byteLength(body)),
  };
  const answered = await answerTo(port, {
    verb,
    path,
    headers: verb === "GET" ? { cookie: one.cookie } : headers,
    body: verb === "GET" ? undefined : Buffer.from(body),
  });
  return { ...answered, asked: `${verb} ${path} ${verb === "GET" ? "" : body.slice(0, 300)}` };
}

const ROUTES = allRoutes().filter(route => !LEFT_OUT.test(route));

/** Who may see deals of another branch, and the dealer's side of any. */
const SEES_ELSEWHERE: Role[] = ["manager", "accounting", "reader", "administrator"];
const SEES_COST: Role[] = ["officer", "manager", "accounting", "administrator"];

/** What a reader may send: nothing of it changes anything. */
const OF_A_READER = /^(GET|POST \/api\/(tables|deals\/[^/]+\/programs|sign-in|me))/;
/** What a stranger is answered. */
const OF_A_STRANGER = /^(GET \/api\/health|GET \/api\/sign-in)/;

type Judged = { status: number; text: string; asked: string };

function judge(called: string, role: Role | null, { status, text, asked }: Judged): void {
  const said = `${called}: ${asked} gave ${status} ${text.slice(0, 200)}`;
  const sees = (roles: readonly Role[]) => role !== null && roles.includes(role);
  expect(status, said).toBeLessThan(500);
  if (!sees(SEES_ELSEWHERE)) expect(text, said).not.toContain(ELSEWHERE);
  if (!sees(SEES_COST)) expect(text, said).not.toContain(SECRET_COST);
  if (status >= 300) return;
  if (role === null) expect(asked).toMatch(OF_A_STRANGER);
  if (role === "reader") expect(asked).toMatch(OF_A_READER);
}

test(`${REQUESTS} random requests as each role and as nobody: nothing fails, nothing is told that is not theirs`, async ({
  own,
}) => {
  test.setTimeout(15 * 60_000);
  const { address } = await own.start(own.newFolder(), { KELLUX_LOG: "none" });
  const administrator = await firstPerson(address);
  const far = await addedPerson(address, administrator, {
    name: "Far Officer",
    username: "far",
    roles: ["officer"],
    branch: "Quarry",
  });
  const known: Known = { deals: [], customers: [], people: [far.id], papers: [far.id] };
  const dealOf = async (owner: Somebody, customer: string, hasSide: boolean) => {
    const [option] = DEAL.options;
    const file = {
      ...DEAL,
      customer,
      options: [{ ...option, ...(hasSide && { dealer: { cost: SECRET_COST } }) }],
    };
    const made = await owner.ask("POST", "/api/deals/import", {
      fileName: "a.json",
      text: JSON.stringify(file),
    });
    expect(made.status, await made.clone().text()).toBe(201);
    const { id, document } = await made.json();
    known.deals.push(id);
    known.customers.push(document.customer.id);
  };
  for (let k = 0; k < 5; k++) await dealOf(far, `${ELSEWHERE} ${k}`, true);
  const roles: [string, Role | null, Somebody][] = [["nobody", null, somebody(address, "")]];
  for (const role of ROLE_NAMES) {
    const one = await addedPerson(address, administrator, {
      name: `One ${role}`,
      username: `one.${role}`,
      roles: [role],
      branch: "Harbour",
    });
    roles.push([role, role, one]);
    known.people.push(one.id);
    if (role === "seller" || role === "officer") await dealOf(one, `Near ${role}`, role === "officer");
  }
  for (const [called, role, one] of roles) {
    const next = random(called.length * 7919);
    for (let asked = 0; asked < REQUESTS; asked += AT_ONCE) {
      const answers = await Promise.all(
        Array.from({ length: AT_ONCE }, () => ask(own.port, one, known, next)),
      );
      for (const answer of answers) judge(called, role, answer);
    }
  }
  expect((await (await administrator.ask("GET", "/api/me")).json()).person.name).toBe("Ada Brook");
});
