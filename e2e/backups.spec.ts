import { existsSync, readFileSync, writeFileSync } from "node:fs";
import { join } from "node:path";
import { gunzipSync } from "node:zlib";
import { expect } from "@playwright/test";
import { bringIn, customersAt, manyDeals, runToItsEnd, test } from "./own-server";

/** Runs one of the app's programs on a data folder. */
const program = (name: "backup" | "restore", file: string, folder: string) =>
  runToItsEnd([`scripts/${name}.mjs`, file], folder);

test("a backup is made while the app runs and while it does not, and restored into an empty folder", async ({
  own,
}) => {
  const folder = own.newFolder();
  // What a kill has left of a backup that was being received.
  writeFileSync(join(folder, "restoring.ndjson.gz"), "half of it");
  const { address } = await own.start(folder, { KELLUX_DEMO: "1" });
  await expect.poll(() => existsSync(join(folder, "restoring.ndjson.gz"))).toBe(false);
  const [running, stopped, restored] = [
    join(own.scratch, "running.gz"),
    join(own.scratch, "stopped.gz"),
    own.emptyFolder(),
  ];
  const before = await customersAt(address);
  // What the register shows is made by itself, and is kept.
  const register = async () => (await fetch(`${address}/api/deals`)).text();
  await expect.poll(register, { timeout: 20_000 }).not.toContain('"isMade":false');
  await expect
    .poll(async () => (await fetch(`${address}/api/deals?page=2`)).text())
    .not.toContain('"isMade":false');
  expect(await program("backup", running, folder)).toMatchObject({
    code: 0,
    out: expect.stringMatching(new RegExp(`${before.length} deals, \\d+ rows, .* read again and whole`)),
  });
  expect((await program("backup", running, folder)).err).toContain("is there already");
  expect((await program("restore", running, folder)).err).toContain("is not empty");
  await own.stop("SIGTERM");
  expect((await program("backup", stopped, folder)).code).toBe(0);
  const rows = (file: string) =>
    gunzipSync(readFileSync(file)).toString("utf8").split("\n").slice(1, -2).sort();
  expect(rows(stopped)).toEqual(rows(running));
  expect(await program("restore", stopped, restored)).toMatchObject({
    code: 0,
    out: expect.stringContaining(`${before.length} deals of the backup of`),
  });
  expect((await program("restore", join(own.scratch, "nothing.gz"), own.emptyFolder())).err).toContain(
    "There is no file",
  );
  const again = await own.start(restored);
  expect(await customersAt(again.address)).toEqual(before);
});

test("all deals leave as one file and come in again; a backup is saved, and restored over everything", async ({
  page,
  own,
}) => {
  const folder = own.newFolder();
  const { address } = await own.start(folder);
  await bringIn(address, manyDeals(3, "Kept"));
  await page.goto("/");
  const saving = page.waitForEvent("download");
  await page.getByRole("link", { name: "Export all deals" }).click();
  const deals = join(own.scratch, "deals.ndjson");
  await (await saving).saveAs(deals);

  await page.goto("/settings");
  const backingUp = page.waitForEvent("download");
  await page.getByRole("link", { name: "Save a backup" }).click();
  const backup = join(own.scratch, "saved.ndjson.gz");
  await (await backingUp).saveAs(backup);

  await page.goto("/");
  await page.getByLabel("Deal files").setInputFiles(deals);
  await expect(page.getByText("3 deals were imported.")).toBeVisible();
  expect(await customersAt(address)).toHaveLength(6);

  await page.goto("/settings");
  const damaged = join(own.scratch, "damaged.ndjson.gz");
  writeFileSync(damaged, readFileSync(backup).subarray(0, -30));
  await page.getByLabel("Backup to restore").setInputFiles(damaged);
  await page.getByRole("button", { name: "Restore it" }).click();
  await expect(page.getByText("The backup is not whole")).toBeVisible();
  expect(await customersAt(address)).toHaveLength(6);

  // It is said, and soon the page loads anew by itself.
  const restored = async (said: RegExp) => {
    await expect(page.getByText(said)).toBeVisible({ timeout: 90_000 });
    await expect(page.getByText(said)).toBeHidden();
  };
  await page.getByLabel("Backup to restore").setInputFiles(backup);
  await page.getByRole("button", { name: "Leave everything as it is" }).click();
  await expect(page.getByRole("dialog")).toBeHidden();
  await page.getByLabel("Backup to restore").setInputFiles(backup);
  await page.getByRole("button", { name: "Restore it" }).click();
  await restored(/3 deals of saved\.ndjson\.gz are back/);
  expect(await customersAt(address)).toEqual(["Kept 0", "Kept 1", "Kept 2"]);

  // What was there before can be brought back, too.
  // The day's copy may be there by now as well.
  await page
    .getByRole("listitem")
    .filter({ hasText: "before a restoring" })
    .getByRole("button", { name: /^Restore the copy of/ })
    .click();
  await page.getByRole("button", { name: "Restore it" }).click();
  await restored(/6 deals of the copy of .* are back/);
  expect(await customersAt(address)).toHaveLength(6);
  // A page that was open goes on with what is there now.
  await page.goto("/");
  await expect(page.getByRole("row")).toHaveCount(7);
});
