// A house where people have names: how one comes in, what a lock keeps, what roles show, and what a manager releases.
import { expect, type Page } from "@playwright/test";
import type { Role } from "@/exchange/people";
import { oneTimeCode } from "../tests/one-time-code";
import { expectNoAxeFindings } from "./axe";
import { addedPerson, firstPerson, PASSWORD, type Somebody, signedIn, somebody } from "./house-of-people";
import { DealScreen, VAN } from "./officer";
import { DEAL, type Own, test } from "./own-server";

const QUIET = { KELLUX_LOG: "none" };

/** A house with an administrator and one person of each of some roles, all in one branch. */
async function houseOf<Of extends Role>(
  own: Own,
  ...roles: Of[]
): Promise<Record<Of | "administrator", Somebody>> {
  const { address } = await own.start(own.newFolder(), QUIET);
  const administrator = await firstPerson(address);
  const people = { administrator } as Record<Of | "administrator", Somebody>;
  for (const role of roles)
    people[role] = await addedPerson(address, administrator, {
      name: `Kit ${role}`,
      username: `kit.${role}`,
      roles: [role],
      branch: "Harbour",
    });
  return people;
}

async function comeIn(page: Page, username: string, password = PASSWORD): Promise<void> {
  await page.context().clearCookies();
  await page.goto("/sign-in");
  await page.getByLabel("Name").fill(username);
  await page.getByLabel("Password").fill(password);
  await page.getByRole("button", { name: "Sign in", exact: true }).click();
  await page.waitForURL(url => url.pathname !== "/sign-in");
}

async function dealBy(one: Somebody, customer: string, payments = 60): Promise<string> {
  const [option] = DEAL.options;
  const file = {
    ...DEAL,
    customer,
    options: [{ ...option, plan: { ...option?.plan, payments } }],
  };
  const made = await one.ask("POST", "/api/deals/import", { fileName: "a.json", text: JSON.stringify(file) });
  return (await made.json()).id;
}

test("the first person is made in the settings; from then on one signs in, by the keyboard alone", async ({
  own,
  page,
}) => {
  await own.start(own.newFolder(), QUIET);
  await page.goto("/settings#people");
  await page.getByRole("link", { name: "Make the first person …" }).click();
  await page.getByLabel("Name", { exact: true }).fill("Ada Brook");
  await page.getByLabel("Signs in as").fill("ada");
  await page.getByLabel("Password").fill("password12345");
  await page.getByRole("button", { name: "Make the first person and sign in" }).click();
  await expect(page.getByText("one of the passwords that are tried first")).toBeVisible();
  await page.getByLabel("Password").fill(PASSWORD);
  await page.getByRole("button", { name: "Make the first person and sign in" }).click();
  await expect(page.getByRole("heading", { name: "Ada Brook" })).toBeVisible();
  await expectNoAxeFindings(page);
  await page.getByRole("button", { name: "Sign out", exact: true }).click();
  await expect(page.getByRole("heading", { name: "Sign in" })).toBeVisible();

  // Whoever is not signed in is led to the way in, and back.
  await page.goto("/stock");
  await expect(page).toHaveURL(/\/sign-in\?to=%2Fstock$/);
  await expectNoAxeFindings(page, false);
  await expect(page.getByLabel("Name")).toBeFocused();
  await page.keyboard.type("ada");
  await page.keyboard.press("Tab");
  await page.keyboard.type("not the password");
  await page.keyboard.press("Enter");
  await expect(page.getByText("The name or the password is not right.")).toBeVisible();
  await page.keyboard.press("Control+a");
  await page.keyboard.type(PASSWORD);
  await page.keyboard.press("Enter");
  await expect(page.getByRole("heading", { name: "Stock" })).toBeVisible();

  // An address elsewhere is none to go back to.
  for (const to of ["//elsewhere.test", "https://elsewhere.test", "/\\elsewhere.test"]) {
    await page.goto(`/sign-in?to=${encodeURIComponent(to)}`);
    await expect(page).toHaveURL(`http://localhost:${own.port}/`);
  }
});

test("a stolen cookie ends with sign-out, at once on pages, routes and what is followed", async ({ own }) => {
  const { officer } = await houseOf(own, "officer");
  const address = `http://localhost:${own.port}`;
  const stolen = somebody(address, officer.cookie ?? "");
  const followed = await stolen.ask("GET", "/api/changes?of=deals");
  const ended = followed.text();
  expect((await stolen.ask("GET", "/api/deals")).status).toBe(200);
  expect((await officer.ask("POST", "/api/sign-in/out"))?.status).toBe(200);
  for (const path of ["/api/deals", "/api/me", "/api/settings"])
    expect([path, (await stolen.ask("GET", path)).status]).toEqual([path, 401]);
  expect((await stolen.ask("GET", "/")).headers.get("location")).toBe("/sign-in");
  // It would go on for ever otherwise.
  await ended;
  // And everywhere, where somebody ends all of theirs.
  const [one, other] = [await signedIn(address, "kit.officer"), await signedIn(address, "kit.officer")];
  await one.ask("POST", "/api/me/out-everywhere");
  expect((await other.ask("GET", "/api/deals")).status).toBe(401);
});

test("a locked screen shows nothing, takes nothing and prints nothing; its password opens it as it was", async ({
  own,
  page,
}) => {
  await houseOf(own, "officer");
  await comeIn(page, "kit.officer");
  const beside = await page.context().newPage();
  await beside.goto("/");
  await page.getByRole("button", { name: "New deal" }).click();
  await page.waitForURL("**/deals/*");
  const deal = await new DealScreen(page).ready();
  await deal.type({ Customer: "Isolde Crane", ...VAN });
  await deal.saved();
  await page.keyboard.press("Control+Shift+L");
  const lock = page.getByRole("dialog", { name: "Locked" });
  await expect(lock).toBeVisible();
  await expect(page.getByText("579.98").first()).toBeHidden();
  await expect(page.getByLabel("Customer")).toBeHidden();
  await expect(beside.getByRole("dialog", { name: "Locked" })).toBeVisible();
  await expect(lock.getByLabel("Password")).toBeFocused();
  await page.keyboard.press("Escape");
  await expect(lock).toBeVisible();
  expect((await page.request.get("/api/deals")).status()).toBe(401);
  await page.emulateMedia({ media: "print" });
  await expect(page.getByText("579.98").first()).toBeHidden();
  await page.emulateMedia({ media: "screen" });
  await lock.getByLabel("Password").fill("wrong");
  await page.keyboard.press("Enter");
  await expect(lock.getByText("The password is not right.")).toBeVisible();
  await lock.getByLabel("Password").fill(PASSWORD);
  await page.keyboard.press("Enter");
  await expect(lock).toBeHidden();
  await expect(page.getByLabel("Customer")).toHaveValue("Isolde Crane");
  await expect(beside.getByRole("dialog", { name: "Locked" })).toBeHidden();
  await deal.type({ Price: "31,000" });
  await deal.saved();
});

test("a screen locks by itself after fifteen minutes without a key, and changes hands", async ({
  own,
  page,
}) => {
  await houseOf(own, "officer", "manager");
  await page.clock.install();
  // The page says that somebody is there once it counts the minutes.
  const counting = page.waitForResponse("**/api/sign-in/here");
  await comeIn(page, "kit.officer");
  await counting;
  await expect(page.getByRole("heading", { name: "Deals" })).toBeVisible();
  await page.clock.runFor("14:00");
  await expect(page.getByRole("dialog", { name: "Locked" })).toBeHidden();
  await page.clock.runFor("02:00");
  const lock = page.getByRole("dialog", { name: "Locked" });
  await expect(lock).toBeVisible();
  // What the one before had open is closed for whoever comes after.
  await page.evaluate(() => sessionStorage.setItem("kellux.side", String(Date.now() + 300_000)));
  await lock.getByRole("link", { name: "Somebody else signs in" }).click();
  await page.getByLabel("Name").fill("kit.manager");
  await page.getByLabel("Password").fill(PASSWORD);
  await page.keyboard.press("Enter");
  await page.waitForURL(`http://localhost:${own.port}/`);
  await page.goto("/people");
  await expect(page.getByRole("heading", { name: "Kit manager" })).toBeVisible();
  await expect(page.getByRole("button", { name: /^Side open/ })).toBeHidden();
});

test("a seller sees no dealer’s side and signs nothing; a reader changes nothing; an administrator sees no deals", async ({
  own,
  page,
}) => {
  const { seller } = await houseOf(own, "seller", "reader");
  const id = await dealBy(seller, "Wren Alder");
  await comeIn(page, "kit.seller");
  await page.goto(`/deals/${id}`);
  await new DealScreen(page).ready();
  await page.keyboard.press("Control+.");
  await expect(page.getByText("The dealer’s side is not shown to your roles.")).toBeVisible();
  await page.getByRole("button", { name: "Sign …" }).click();
  await expect(page.getByText("Signing a deal is an officer’s.")).toBeVisible();
  await page.keyboard.press("Escape");
  await page.goto("/earned");
  await expect(page.getByRole("heading", { name: "Your roles show you no earnings" })).toBeVisible();
  await page.goto("/settings");
  const house = page.getByRole("region", { name: "House", exact: true });
  await expect(house.getByLabel("Name", { exact: true })).toBeDisabled();
  await expect(page.getByRole("heading", { name: "Backups" })).toBeHidden();

  await comeIn(page, "kit.reader");
  await expect(page.getByRole("button", { name: "New deal" })).toBeHidden();
  await page.goto(`/deals/${id}`);
  await new DealScreen(page).ready();
  await expect(page.getByLabel("Customer", { exact: true })).toBeHidden();
  await expect(page.getByText("Wren Alder").first()).toBeVisible();

  await comeIn(page, "ada");
  await expect(page.getByRole("heading", { name: "Your roles show you no deals" })).toBeVisible();
});

test("a manager releases what is beyond a limit, and what was signed, with a reason that stays", async ({
  own,
  page,
}) => {
  const { administrator, officer, manager } = await houseOf(own, "officer", "manager");
  const { settings, version } = await (await administrator.ask("GET", "/api/settings")).json();
  const limited = { ...settings, limits: { mostTerm: 48 } };
  await administrator.ask("PUT", "/api/settings", { version, settings: limited });
  const id = await dealBy(officer, "Brook Sallow");
  await comeIn(page, "kit.officer");
  await page.goto(`/deals/${id}`);
  let deal = await new DealScreen(page).ready();
  await page.getByRole("button", { name: "Sign …" }).click();
  const dialog = page.getByRole("dialog");
  await expect(dialog.getByText("60 months, at most 48")).toBeVisible();
  await expect(dialog.getByRole("button", { name: "Sign it" })).toBeHidden();
  // No page is asked for it either.
  const open = await (await officer.ask("GET", `/api/deals/${id}`)).json();
  const heading = { ...open.document, status: "signed" };
  const { customer, status } = heading;
  const change = { version: open.version, change: { heading: { customer, status } } };
  const refused = await officer.ask("PUT", `/api/deals/${id}`, change);
  expect([refused.status, (await refused.json()).release]).toEqual([
    403,
    [{ kind: "limit", detail: "60 months, at most 48" }],
  ]);

  await comeIn(page, "kit.manager");
  await page.goto(`/deals/${id}`);
  deal = await new DealScreen(page).ready();
  await page.getByRole("button", { name: "Sign …" }).click();
  await dialog.getByLabel("Why it is released; it stays with the deal").fill("A fleet of the town’s own");
  await dialog.getByRole("button", { name: "Release it" }).click();
  await dialog.getByRole("button", { name: "Sign it" }).click();
  await expect(page.getByRole("region", { name: "Signed" })).toBeVisible();

  // Reopening wants another one.
  await comeIn(page, "kit.officer");
  await page.goto(`/deals/${id}`);
  deal = await new DealScreen(page).ready();
  await page.getByRole("button", { name: "Reopen to change it" }).click();
  await page.getByRole("button", { name: "Reopen it" }).click();
  await expect(page.getByText("the signed deal is reopened")).toBeVisible();
  await expect(page.getByRole("button", { name: "Release it" })).toBeHidden();
  const signed = await (await manager.ask("GET", `/api/deals/${id}`)).json();
  await manager.ask("POST", `/api/deals/${id}/releases`, {
    version: signed.version,
    kind: "reopen",
    detail: "the signed deal is reopened",
    reason: "A typing error in the name",
  });
  await page.getByRole("button", { name: "Reopen it" }).click();
  await deal.saved();
  await expect(page.getByLabel("Price", { exact: true })).toBeVisible();
  const { releases } = await (await manager.ask("GET", `/api/deals/${id}/releases`)).json();
  expect(releases.map(({ who, reason }: { who: string; reason: string }) => [who, reason])).toEqual([
    ["Kit manager", "A typing error in the name"],
    ["Kit manager", "A fleet of the town’s own"],
  ]);
  const { doings } = await (await manager.ask("GET", `/api/doings?of=${id}`)).json();
  const said = doings.map(({ who, what }: { who: string; what: string }) => `${who} ${what}`);
  for (const line of [
    "Kit officer began a deal",
    "Kit manager released something of a deal",
    "Kit manager signed a deal",
    "Kit officer reopened a deal",
  ])
    expect(said).toContain(line);
  await page.getByRole("button", { name: "More views" }).click();
  await page.getByRole("button", { name: /^History/ }).click();
  await expect(page.getByText("Kit manager").first()).toBeVisible();
});

test("a deal is handed over with a share for who has sold it; a link lets in whom it is handed to", async ({
  own,
  page,
  browser,
}) => {
  const { officer } = await houseOf(own, "officer", "seller");
  const id = await dealBy(officer, "Lark Mallow");
  await comeIn(page, "kit.officer");
  await page.goto(`/deals/${id}`);
  await new DealScreen(page).ready();
  await page.getByRole("button", { name: "Whose deal it is" }).click();
  const panel = page.getByRole("region", { name: "Whose deal it is" });
  await panel.getByRole("button", { name: "Add a person" }).click();
  await panel.getByLabel("Person 1", { exact: true }).selectOption({ label: "Kit seller" });
  await panel.getByLabel("As what person 1 works on it").fill("seller");
  await panel.getByLabel("Percent of person 1").fill("120");
  await panel.getByRole("button", { name: "Keep it" }).click();
  await expect(panel.getByRole("alert")).toContainText("more than 100 %");
  await panel.getByLabel("Percent of person 1").fill("25");
  await expect(panel.getByText("75 % is whose deal it is")).toBeVisible();
  await panel.getByRole("button", { name: "Keep it" }).click();
  await expect(panel).toBeHidden();
  await page.goto("/");
  await expect(page.getByRole("row", { name: /Lark Mallow/ })).toContainText("Kit officer");

  await comeIn(page, "ada");
  await page.goto("/people");
  await page.getByRole("button", { name: "Add a person" }).click();
  const form = page.getByRole("form", { name: "Add a person" });
  await form.getByLabel("Name", { exact: true }).fill("Tern Fallow");
  await form.getByLabel("Signs in as").fill("kit.officer");
  await form.getByLabel(/^Officer/).check();
  await form.getByRole("button", { name: "Add", exact: true }).click();
  await expect(form.getByRole("alert")).toContainText("signs in by this name already");
  await form.getByLabel("Signs in as").fill("tern");
  await form.getByRole("button", { name: "Add", exact: true }).click();
  const link = await page.getByLabel(/^Hand this link to Tern Fallow/).inputValue();
  await expectNoAxeFindings(page);
  const theirs = await (await browser.newContext()).newPage();
  await theirs.goto(link);
  await expect(theirs.getByRole("heading", { name: "Welcome, Tern Fallow" })).toBeVisible();
  await theirs.getByLabel("Your new password").fill("tern fallow 1234");
  await theirs.getByRole("button", { name: "Set it and sign in" }).click();
  await expect(theirs.getByText("your own name in it")).toBeVisible();
  await theirs.getByLabel("Your new password").fill("eleven grey pebbles");
  await theirs.getByRole("button", { name: "Set it and sign in" }).click();
  await expect(theirs.getByRole("heading", { name: "Deals" })).toBeVisible();
  await theirs.goto(link);
  await expect(theirs.getByRole("heading", { name: "This link is over" })).toBeVisible();
  await theirs.context().close();
});

test("where the house wants one-time codes they are set up before anything else, and asked for from then on", async ({
  own,
  page,
}) => {
  const { administrator } = await houseOf(own, "officer");
  const { settings, version } = await (await administrator.ask("GET", "/api/settings")).json();
  const wanting = { ...settings, people: { wantsCodes: true } };
  await administrator.ask("PUT", "/api/settings", { version, settings: wanting });
  await page.setViewportSize({ width: 390, height: 844 });
  await page.goto("/");
  await page.getByLabel("Name").fill("kit.officer");
  await page.getByLabel("Password").fill(PASSWORD);
  await page.keyboard.press("Enter");
  await expect(page.getByRole("heading", { name: "Set up one-time codes" })).toBeVisible();
  expect((await page.request.get("/api/deals")).status()).toBe(403);
  await page.goto("/stock");
  await expect(page.getByRole("heading", { name: "Set up one-time codes" })).toBeVisible();
  await page.getByLabel("Your password").fill(PASSWORD);
  await page.getByRole("button", { name: "Go on" }).click();
  const secret = (await page.locator("[data-secret]").textContent()) ?? "";
  const [recovery = ""] = await page
    .getByRole("region", { name: "Recovery codes" })
    .locator("li")
    .allTextContents();
  await expectNoAxeFindings(page, false);
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
  await page.getByLabel("The first code").fill("000000");
  await page.keyboard.press("Enter");
  await expect(page.getByText("The code is not right.")).toBeVisible();
  await page.getByLabel("The first code").fill(oneTimeCode(secret, Date.now()));
  await page.keyboard.press("Enter");
  await expect(page.getByRole("heading", { name: "Stock" })).toBeVisible();

  await page.context().clearCookies();
  await page.goto("/");
  await page.getByLabel("Name").fill("kit.officer");
  await page.getByLabel("Password").fill(PASSWORD);
  await page.keyboard.press("Enter");
  await page.getByLabel("Code").fill(recovery);
  await page.keyboard.press("Enter");
  await expect(page.getByRole("heading", { name: "Deals" })).toBeVisible();
});

test("beyond this machine it serves nobody while nobody has a name", async ({ own }) => {
  const folder = own.newFolder();
  const { spawnServer } = await import("./own-server");
  const refused = spawnServer(folder, own.port, { KELLUX_HOST: "0.0.0.0" });
  expect(await refused.ended).toBe(1);
  expect(refused.said()).toContain("nobody has a name here yet: whoever reaches it would see everything");
});
