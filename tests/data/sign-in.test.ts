// Who is let in, and who is not: over the tables that hold it, on the embedded database and on a server.
import { sql } from "drizzle-orm";
import { passwordProblem } from "@/data/common-passwords";
import type { Database } from "@/data/database";
import { beginCodes, changePassword, confirmCodes } from "@/data/own-way-in";
import { addPerson, changePerson } from "@/data/people";
import { lockScreen, unlockScreen } from "@/data/screen-lock";
import { giveCode, signIn, signOut, signOutEverywhere, whoIs } from "@/data/sign-in";
import { makeFirst, makeLink, takeLink } from "@/data/sign-in-by-link";
import type { SignInAnswer } from "@/data/sign-in-parts";
import { waitAfter } from "@/data/slow-down";
import type { Person, Visit } from "@/exchange/people";
import { oneTimeCode } from "../one-time-code";
import { testDatabase } from "./test-database";

const PASSWORD = "kelp and lantern 47";
const OTHER = "six gulls over the pier";

const visit = (cookie = "", address: string | null = "192.0.2.1"): Visit => ({
  cookie,
  address,
  agent: "test",
  origin: "http://localhost",
});

/** What a browser sends after an answer, as it keeps cookies. */
function cookieOf(answer: SignInAnswer, before = ""): string {
  if (!("cookies" in answer)) return before;
  const kept = new Map(
    before
      .split("; ")
      .filter(Boolean)
      .map(each => each.split(/=(.*)/s) as [string, string]),
  );
  for (const cookie of answer.cookies) {
    const [, name = "", value = ""] = /^([^=]+)=([^;]*)/.exec(cookie) ?? [];
    if (/max-age=0/i.test(cookie)) kept.delete(name);
    else kept.set(name, value);
  }
  return [...kept].map(([name, value]) => `${name}=${value}`).join("; ");
}

const tested = testDatabase();
let database: Database;
let maren: Person;

beforeAll(async () => {
  ({ database } = tested);
  const made = await makeFirst(
    database,
    visit(),
    { name: "Maren Castellane", username: "Maren", roles: ["administrator", "manager"], branch: null },
    PASSWORD,
  );
  const who = typeof made === "object" ? await whoIs(database, visit(cookieOf(made))) : undefined;
  if (!who) throw new Error(String(made));
  maren = who.person;
});
beforeEach(async () => {
  await database.execute(sql`delete from failed_sign_ins`);
});

const enter = async (address?: string) => {
  const answer = await signIn(database, visit("", address ?? "192.0.2.1"), "maren", PASSWORD);
  expect(answer.kind).toBe("in");
  return cookieOf(answer);
};

test("who gives name and password is let in, by a new sign-in each time, and is nobody after signing out", async () => {
  const [first, second] = [await enter(), await enter()];
  expect(first).not.toBe(second);
  expect((await whoIs(database, visit(first)))?.person).toMatchObject({
    name: "Maren Castellane",
    roles: ["administrator", "manager"],
    hasCodes: false,
  });
  await signOut(database, visit(first));
  expect(await whoIs(database, visit(first))).toBeUndefined();
  expect((await whoIs(database, visit(second)))?.person.id).toBe(maren.id);
  await signOutEverywhere(database, maren.id);
  expect(await whoIs(database, visit(second))).toBeUndefined();
});

test("a cookie that was made up, or changed in one letter, is nobody's", async () => {
  const cookie = await enter();
  const changed = cookie.replace(/.(?=;|$)/, letter => (letter === "A" ? "B" : "A"));
  expect(changed).not.toBe(cookie);
  for (const other of [
    changed,
    "kellux.session_token=abc.def",
    "kellux.session_token=",
    "",
    "x".repeat(9000),
  ])
    expect(await whoIs(database, visit(other))).toBeUndefined();
});

test("cookies are kept from scripts and other sites, and to encrypted ways where there are", async () => {
  const plain = await signIn(database, visit(), "maren", PASSWORD);
  const secure = await signIn(
    database,
    { ...visit(), origin: "https://deals.example.test" },
    "maren",
    PASSWORD,
  );
  const [named] = "cookies" in plain ? plain.cookies : [];
  const [kept] = "cookies" in secure ? secure.cookies : [];
  expect(named).toMatch(/^kellux\.session_token=/);
  expect(named).toMatch(/; HttpOnly/i);
  expect(named).toMatch(/; SameSite=Lax/i);
  expect(named).toMatch(/; Max-Age=43200/i);
  expect(kept).toMatch(/^__Secure-kellux\.session_token=.*; Secure/i);
});

test("the name's capitals do not matter, nothing says which of name and password was wrong", async () => {
  expect((await signIn(database, visit("", "192.0.2.9"), "MAREN", PASSWORD)).kind).toBe("in");
  const wrong = await signIn(database, visit("", "192.0.2.9"), "maren", "not the password at all");
  const nobody = await signIn(database, visit("", "192.0.2.9"), "nobody", "not the password at all");
  expect(wrong).toEqual({ kind: "wrong" });
  expect(nobody).toEqual(wrong);
});

test("passwords are kept by a memory-hard function, each with a salt of its own", async () => {
  const { rows } = (await database.execute(sql`select password from credentials`)) as unknown as {
    rows: { password: string }[];
  };
  for (const { password } of rows) {
    expect(password).not.toContain(PASSWORD);
    expect(password).toMatch(/^[0-9a-f]{32}:[0-9a-f]{128}$/);
  }
});

describe("what fails is slowed down", () => {
  test("eight wrong passwords from eight addresses slow that account, and nobody else", async () => {
    const kinds = [];
    for (let k = 1; k <= 8; k++)
      kinds.push((await signIn(database, visit("", `198.51.100.${k}`), "maren", `wrong, the ${k}th`)).kind);
    expect(kinds).toEqual(["wrong", "wrong", "wrong", "wrong", "wrong", "slow", "slow", "slow"]);
    // Not even the right one is looked at now.
    expect(await signIn(database, visit("", "203.0.113.5"), "maren", PASSWORD)).toMatchObject({
      kind: "slow",
    });
    expect((await signIn(database, visit("", "203.0.113.5"), "somebody else", "wrong")).kind).toBe("wrong");
    expect((await signIn(database, visit("", "198.51.100.3"), "somebody else", "wrong")).kind).toBe("wrong");
  });

  test("five wrong ones from an address slow that address; without an address nobody locks others out", async () => {
    for (let k = 1; k <= 5; k++) await signIn(database, visit("", "198.51.100.77"), `name ${k}`, "wrong");
    expect((await signIn(database, visit("", "198.51.100.77"), "maren", PASSWORD)).kind).toBe("slow");
    expect((await signIn(database, visit("", "198.51.100.78"), "maren", PASSWORD)).kind).toBe("in");
    for (let k = 1; k <= 8; k++) await signIn(database, visit("", null), `other ${k}`, "wrong");
    expect((await signIn(database, visit("", null), "maren", PASSWORD)).kind).toBe("in");
  });

  test("many at once are not looked at together", async () => {
    const at = Array.from({ length: 20 }, (_, k) =>
      signIn(database, visit("", `203.0.113.${k}`), "maren", `guess ${k}`),
    );
    const kinds = (await Promise.all(at)).map(({ kind }) => kind);
    expect(kinds.filter(kind => kind === "wrong")).toHaveLength(5);
  });

  test("each further failure doubles the wait, up to a quarter of an hour", () => {
    expect([0, 4, 5, 6, 7, 9, 10, 60].map(waitAfter)).toEqual([0, 0, 30, 60, 120, 480, 900, 900]);
  });

  test("who comes in frees the account, and a wait ends", async () => {
    for (let k = 0; k < 4; k++) await signIn(database, visit(), "maren", "wrong");
    await enter();
    for (let k = 0; k < 5; k++) await signIn(database, visit("", "192.0.2.8"), "maren", "wrong");
    await database.execute(sql`update failed_sign_ins set at = at - interval '31 seconds'`);
    expect((await signIn(database, visit("", "192.0.2.7"), "maren", PASSWORD)).kind).toBe("in");
  });
});

test("what is guessed first is no password", async () => {
  for (const [password, sentence] of [
    ["short", "at least 12"],
    // A longer one would be taken and let nobody in.
    [`${"lantern and kelp ".repeat(9)}`, "at most 128"],
    ["aaaaaaaaaaaaaaaa", "same few characters"],
    ["maren is at the desk", "your own name"],
    ["password12345", "tried first"],
    ["Qwertyuiop123!", "tried first"],
  ] as const)
    expect(await passwordProblem(password, ["maren", "Castellane"])).toContain(sentence);
  expect(await passwordProblem(PASSWORD, ["maren"])).toBeUndefined();
});

test("a change of the password asks for the old one, and ends the other sign-ins", async () => {
  const [here, elsewhere] = [await enter(), await enter()];
  expect((await changePassword(database, visit(here), "not the old one", OTHER)).kind).toBe("wrong");
  expect(await changePassword(database, visit(here), PASSWORD, "password12345")).toMatchObject({
    kind: "refused",
  });
  const changed = await changePassword(database, visit(here), PASSWORD, OTHER);
  expect(changed.kind).toBe("in");
  expect(await whoIs(database, visit(elsewhere))).toBeUndefined();
  const now = cookieOf(changed, here);
  expect((await whoIs(database, visit(now)))?.person.id).toBe(maren.id);
  expect((await changePassword(database, visit(now), OTHER, PASSWORD)).kind).toBe("in");
});

test("a locked screen opens by its own password; five wrong ones end its sign-in and slow nobody", async () => {
  const cookie = await enter();
  const here = await whoIs(database, visit(cookie));
  await lockScreen(database, here?.signIn.id ?? "");
  expect((await whoIs(database, visit(cookie)))?.signIn.lockedAt).toBeInstanceOf(Date);
  expect(await unlockScreen(database, visit(cookie), "wrong")).toEqual({ kind: "wrong", isOver: false });
  expect(await unlockScreen(database, visit(cookie), PASSWORD)).toEqual({ kind: "in" });
  expect((await whoIs(database, visit(cookie)))?.signIn.lockedAt).toBeNull();
  for (let k = 1; k <= 5; k++)
    expect(await unlockScreen(database, visit(cookie), "wrong")).toEqual({ kind: "wrong", isOver: k === 5 });
  expect(await whoIs(database, visit(cookie))).toBeUndefined();
  await enter();
});

describe("a link", () => {
  let ivo: Person;
  beforeAll(async () => {
    const added = await addPerson(database, {
      name: "Ivo Tern",
      username: "ivo",
      roles: ["seller"],
      branch: "Harbour",
    });
    if (typeof added === "string") throw new Error(added);
    ivo = added;
  });

  test("sets a password once; the one before is no good any more", async () => {
    const before = await makeLink(database, ivo.id);
    const link = await makeLink(database, ivo.id);
    expect((await takeLink(database, visit(), before, OTHER)).kind).toBe("wrong");
    expect((await takeLink(database, visit(), link, "password12345")).kind).toBe("refused");
    const used = await takeLink(database, visit(), link, OTHER);
    expect(used.kind).toBe("in");
    expect((await takeLink(database, visit(), link, "another pass phrase")).kind).toBe("wrong");
    const late = await makeLink(database, ivo.id);
    await database.execute(sql`update verifications set expires_at = now() - interval '1 second'`);
    expect((await takeLink(database, visit(), late, "another pass phrase")).kind).toBe("wrong");
  });

  test("who has left is signed out, and comes in no more", async () => {
    const link = await makeLink(database, ivo.id);
    const cookie = cookieOf(await takeLink(database, visit(), link, OTHER));
    expect((await whoIs(database, visit(cookie)))?.person.name).toBe("Ivo Tern");
    await changePerson(database, ivo.id, { ...ivo, hasLeft: true });
    expect(await whoIs(database, visit(cookie))).toBeUndefined();
    expect((await signIn(database, visit("", "192.0.2.33"), "ivo", OTHER)).kind).toBe("wrong");
    await changePerson(database, ivo.id, { ...ivo, hasLeft: false });
    expect((await signIn(database, visit("", "192.0.2.33"), "ivo", OTHER)).kind).toBe("in");
  });

  test("the last administrator stays one", async () => {
    expect(await changePerson(database, maren.id, { ...maren, roles: ["manager"] })).toBe(
      "lastAdministrator",
    );
    expect(await changePerson(database, maren.id, { ...maren, hasLeft: true })).toBe("lastAdministrator");
    expect(await addPerson(database, { ...ivo, username: "MAREN" })).toBe("taken");
  });
});

test("one-time codes are asked for after the password; each recovery code is good once", async () => {
  const cookie = await enter();
  expect((await beginCodes(database, visit(cookie), "wrong")).kind).toBe("wrong");
  const begun = await beginCodes(database, visit(cookie), PASSWORD);
  if (begun.kind !== "begun") throw new Error(begun.kind);
  const secret = new URL(begun.address).searchParams.get("secret") ?? "";
  expect((await confirmCodes(database, visit(cookie), "000000")).kind).toBe("wrong");
  const confirmed = await confirmCodes(database, visit(cookie), oneTimeCode(secret, Date.now()));
  expect(confirmed.kind).toBe("in");
  expect((await whoIs(database, visit(cookieOf(confirmed, cookie))))?.person.hasCodes).toBe(true);

  const half = await signIn(database, visit(), "maren", PASSWORD);
  expect(half.kind).toBe("code");
  const waiting = cookieOf(half);
  expect(await whoIs(database, visit(waiting))).toBeUndefined();
  expect((await giveCode(database, visit(waiting), "123")).kind).toBe("wrong");
  const whole = await giveCode(database, visit(waiting), oneTimeCode(secret, Date.now()));
  expect(whole.kind).toBe("in");
  expect((await whoIs(database, visit(cookieOf(whole, waiting))))?.person.id).toBe(maren.id);

  const [code = ""] = begun.recovery;
  const again = cookieOf(await signIn(database, visit(), "maren", PASSWORD));
  expect((await giveCode(database, visit(again), code)).kind).toBe("in");
  const twice = cookieOf(await signIn(database, visit(), "maren", PASSWORD));
  expect((await giveCode(database, visit(twice), code)).kind).toBe("wrong");
});
