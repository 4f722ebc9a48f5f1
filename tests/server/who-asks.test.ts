// Who asks, and what is theirs: over a database in which some have names.
import { sql } from "drizzle-orm";
import { changePassword } from "@/data/own-way-in";
import { addPerson } from "@/data/people";
import { signIn, whoIs } from "@/data/sign-in";
import { makeLink, takeLink } from "@/data/sign-in-by-link";
import type { Store } from "@/data/store";
import type { Role, Visit } from "@/exchange/people";
import type { Asker } from "@/server/asker";
import { loadDemo } from "@/server/demo";
import { answer } from "@/server/door";
import { storeOf } from "@/server/guarded-store";
import { askingCounter } from "@/server/rates-of-asking";
import { isStillIn, standingOf } from "@/server/who-asks";
import { testDatabase } from "../data/test-database";

const PASSWORD = "eleven grey pebbles";
const VISIT: Visit = { cookie: "", address: null, agent: null, origin: "http://localhost" };

const tested = testDatabase();
const shared = globalThis as { kelluxStore?: unknown; kelluxForgetWho?: () => void; kelluxWho?: unknown };

/** Somebody of such roles, and the headers that they send. */
async function somebody(username: string, roles: Role[], branch: string | null = null): Promise<Headers> {
  const added = await addPerson(tested.database, { name: username, username, roles, branch });
  if (typeof added === "string") throw new Error(added);
  const entered = await takeLink(tested.database, VISIT, await makeLink(tested.database, added.id), PASSWORD);
  shared.kelluxWho = undefined;
  return headersOf("cookies" in entered ? entered.cookies : []);
}

const headersOf = (cookies: readonly string[]) =>
  new Headers({ cookie: cookies.map(each => each.split(";")[0]).join("; ") });

async function asker(headers: Headers): Promise<Asker> {
  const standing = await standingOf(headers);
  if (standing.at !== "inside") throw new Error(standing.at);
  return standing.asker;
}

beforeAll(async () => {
  const { store } = tested;
  // What the server has open, for whatever asks for it.
  shared.kelluxStore = Promise.resolve({ store, as: () => store });
  await loadDemo(store);
});

test("while nobody has a name whoever asks has everything; from then on nobody has anything without one", async () => {
  const alone = await asker(new Headers());
  expect([alone.person, alone.rights.size > 15, alone.reach]).toEqual([null, true, "house"]);
  const headers = await somebody("ada", ["administrator"]);
  expect(await standingOf(new Headers())).toEqual({ at: "nowhere" });
  expect([...(await asker(headers)).rights].sort()).toEqual([
    "changeSettings",
    "handLinks",
    "keepBackups",
    "keepPeople",
  ]);
  const madeUp = new Headers({ cookie: "kellux.session_token=made.up" });
  const refused = await answer(
    new Request("http://desk/", { headers: madeUp }),
    "signedIn",
    async () => "never",
  );
  expect([refused.status, (await refused.json()).signIn]).toEqual([401, "needed"]);
});

test("a sign-in that nobody has used for fifteen minutes is locked, and one of twelve hours is over", async () => {
  const headers = await somebody("ivo", ["officer"]);
  await tested.database.execute(sql`update sign_ins set used_at = now() - interval '14 minutes'`);
  shared.kelluxForgetWho?.();
  expect((await standingOf(headers)).at).toBe("inside");
  await tested.database.execute(sql`update sign_ins set used_at = now() - interval '15 minutes 1 second'`);
  shared.kelluxForgetWho?.();
  expect((await standingOf(headers)).at).toBe("locked");
  expect(await isStillIn(headers)).toBe(false);
  const refused = await answer(new Request("http://desk/", { headers }), "signedIn", async () => "never");
  expect([refused.status, await refused.json()]).toEqual([
    401,
    { error: "This screen is locked; its password opens it.", signIn: "locked" },
  ]);
  await tested.database.execute(sql`update sign_ins set used_at = now()`);
  shared.kelluxForgetWho?.();
  expect((await standingOf(headers)).at).toBe("inside");
  const lasts = await tested.database.execute(
    sql`select extract(epoch from max(expires_at - created_at))::int as seconds from sign_ins`,
  );
  expect(Number((lasts as unknown as { rows: { seconds: number }[] }).rows[0]?.seconds)).toBeCloseTo(
    43_200,
    -1,
  );
  await tested.database.execute(sql`update sign_ins set expires_at = now() - interval '1 second'`);
  shared.kelluxForgetWho?.();
  expect((await standingOf(headers)).at).toBe("nowhere");
});

test("what is read of a sign-in while it ends is not kept after it", async () => {
  const headers = await somebody("wren", ["seller"]);
  const reading = standingOf(headers);
  await tested.database.execute(sql`delete from sign_ins`);
  shared.kelluxForgetWho?.();
  await reading;
  expect((await standingOf(headers)).at).toBe("nowhere");
});

test("where the house wants one-time codes nobody has a right without them, but who signs in by its directory", async () => {
  const headers = await somebody("odile", ["manager"]);
  const { store } = tested;
  const kept = await store.getSettings();
  if (!kept) throw new Error("The demo has settings.");
  await store.keepSettings(kept.version, { ...kept.settings, people: { wantsCodes: true } });
  shared.kelluxWho = undefined;
  const without = await asker(headers);
  expect([without.needsCodes, without.rights.size]).toEqual([true, 0]);
  const refused = await answer(new Request("http://desk/", { headers }), "seeDeals", async () => "never");
  expect([refused.status, (await refused.json()).signIn]).toEqual([403, "codes"]);
  await tested.database.execute(sql`delete from credentials`);
  shared.kelluxForgetWho?.();
  const byDirectory = await asker(headers);
  expect([byDirectory.needsCodes, byDirectory.rights.has("release")]).toEqual([false, true]);
  await store.keepSettings(kept.version + 1, kept.settings);
  shared.kelluxWho = undefined;
});

test("a command with the folder’s key may back up, and nothing else; without one nobody may", async () => {
  process.env.KELLUX_KEY = "between the folder and its commands";
  const { rights } = await asker(new Headers({ authorization: `Bearer ${process.env.KELLUX_KEY}` }));
  expect([...rights]).toEqual(["keepBackups"]);
  expect((await standingOf(new Headers({ authorization: "Bearer another" }))).at).toBe("nowhere");
  delete process.env.KELLUX_KEY;
  for (const said of ["Bearer ", "Bearer undefined", ""])
    expect((await standingOf(new Headers({ authorization: said }))).at).toBe("nowhere");
});

test("the store of an officer holds what they see: the branch’s deals and those that nobody has", async () => {
  const headers = await somebody("bram", ["officer"], "Harbour");
  const { person } = await asker(headers);
  const house = tested.store;
  const { lines } = await house.findLines({
    search: "",
    sort: "customer",
    descending: false,
    skip: 0,
    most: 500,
  });
  const [mine, branch, nobodys, others] = lines.map(({ id }) => id) as [string, string, string, string];
  const give = (id: string, owner: string | null, of: string | null) =>
    tested.database.execute(
      sql`update deals set owner_id = ${owner}::uuid, branch = ${of}::text where id = ${id}::uuid`,
    );
  await tested.database.execute(sql`update deals set branch = 'Quarry'`);
  await give(mine, person?.id ?? "", "Quarry");
  await give(branch, null, "Harbour");
  await give(nobodys, null, null);
  const theirs = await storeOf(await asker(headers));
  const all = await theirs.findLines({ search: "", sort: "customer", descending: false, skip: 0, most: 500 });
  expect(all.lines.map(({ id }) => id).sort()).toEqual([mine, branch, nobodys].sort());
  expect(all.found).toBe(3);
  for (const id of [mine, branch, nobodys]) expect((await theirs.getDeal(id))?.id).toBe(id);
  const missing = { status: 404, message: "There is no deal at this address." };
  for (const work of [
    () => theirs.getDeal(others),
    () => theirs.getDealText(others),
    () => theirs.getDealer(others),
    () => theirs.setDeleted(others, true),
    () => theirs.changesOf(others, true),
    () => theirs.updateDeal(others, 1, {}),
  ])
    await expect(work()).rejects.toMatchObject(missing);
  for (const name of ["dealsAfter", "earningDeals", "backupPart", "findDoings"] as const)
    await expect((theirs[name] as (...args: unknown[]) => unknown)(null, 1)).rejects.toMatchObject({
      status: 403,
    });
  const hidden = await customerOf(house, others);
  expect(await theirs.customersLike(hidden.name)).not.toContainEqual(
    expect.objectContaining({ id: hidden.id }),
  );
  await expect(theirs.correctName("customer", hidden.id, hidden.name, "Another")).rejects.toMatchObject({
    status: 404,
  });
});

async function customerOf(store: Store, id: string) {
  const customer = (await store.getDeal(id))?.document.customer;
  if (!customer) throw new Error("It names nobody.");
  return customer;
}

test("so many requests a minute are answered, of each account and each address by itself", () => {
  let now = 0;
  const seconds = askingCounter(() => now);
  const waits = Array.from({ length: 601 }, () => seconds("192.0.2.1", "stranger"));
  expect(waits.slice(0, 600).every(wait => wait === 0)).toBe(true);
  expect(waits[600]).toBe(60);
  expect(seconds("192.0.2.2", "stranger")).toBe(0);
  expect(seconds("ada", "known")).toBe(0);
  now = 45_000;
  expect(seconds("192.0.2.1", "stranger")).toBe(15);
  now = 60_001;
  expect(seconds("192.0.2.1", "stranger")).toBe(0);
});

test("a wrong old password changes nothing", async () => {
  const headers = await somebody("tern", ["reader"]);
  const visit = { ...VISIT, cookie: headers.get("cookie") ?? "" };
  expect((await changePassword(tested.database, visit, "wrong", "a whole new sentence")).kind).toBe("wrong");
  expect((await signIn(tested.database, VISIT, "tern", PASSWORD)).kind).toBe("in");
  expect(await whoIs(tested.database, visit)).toBeDefined();
});
