// What comes in many at once, and who waits for it.
import { expect } from "@playwright/test";
import { HEAVY_LOAN } from "../scripts/bench/heavy-deals";
import { bringIn, customersAt, manyDeals, test } from "./own-server";

const heavy = JSON.parse(HEAVY_LOAN);
const heavyDeal = (customer: string, status: string) => ({
  format: "kellux-deal",
  version: 2,
  currency: "USD",
  customer,
  status,
  options: [{ structure: heavy.structure, plan: heavy.plan, find: heavy.find, from: heavy.from }],
});

test("who signs a deal does not wait for a file of signed deals that somebody else is bringing in", async ({
  own,
}) => {
  const { address } = await own.start(own.newFolder());
  const send = async (method: string, path: string, body: object) => {
    const answer = await fetch(address + path, {
      method,
      headers: { "Content-Type": "application/json" },
      body: JSON.stringify(body),
    });
    return { status: answer.status, reply: await answer.json() };
  };
  const mine = await send("POST", "/api/deals/import", {
    fileName: "Mine.json",
    text: JSON.stringify(heavyDeal("Mine", "agreed")),
  });
  const order: string[] = [];
  const many = Array.from(
    { length: 60 },
    (_, k) => `${JSON.stringify(heavyDeal(`Theirs ${k}`, "signed"))}\n`,
  ).join("");
  const theirs = bringIn(address, many).then(({ status }) => order.push(`theirs ${status}`));
  // It has begun.
  await new Promise(resolve => setTimeout(resolve, 500));
  const heading = { customer: "Mine", vehicle: "", status: "signed" };
  const { id, version } = mine.reply;
  const { status } = await send("PUT", `/api/deals/${id}`, { version, change: { heading } });
  order.push(`mine ${status}`);
  await theirs;
  expect(order).toEqual(["mine 200", "theirs 201"]);
});

test("a file of many deals says how far it is, can be left, and comes in whole", async ({ page, own }) => {
  const { address } = await own.start(own.newFolder());
  await page.goto("/");
  const files = page.getByLabel("Deal files");
  const many = (name: string) => ({
    name: "Many deals.ndjson",
    mimeType: "application/x-ndjson",
    buffer: Buffer.from(manyDeals(3000, name)),
  });
  await files.setInputFiles([many("Left")]);
  const strip = page.getByRole("region", { name: "Import of Many deals.ndjson" });
  await expect(strip).toContainText(/[\d,]+ of 3,000 deals kept/);
  await strip.getByRole("button", { name: "Cancel" }).click();
  await expect(
    page.getByText("Bringing this file in was cancelled; none of its deals was kept."),
  ).toBeVisible();
  await expect(strip).toBeHidden();
  expect(await customersAt(address)).toEqual([]);
  await files.setInputFiles([many("Kept")]);
  await expect(strip).toBeVisible();
  await expect(page.getByText("3000 deals were imported.")).toBeVisible({ timeout: 60_000 });
  expect(await customersAt(address)).toHaveLength(3000);
});

test("two thousand vehicles come into stock, all of them also where the server is killed meanwhile", async ({
  own,
}) => {
  const folder = own.newFolder();
  const { address } = await own.start(folder);
  const vehicles = Array.from({ length: 2000 }, (_, k) => ({
    description: `Ostrel U2 utility van, stock ${k}`,
    priceMinor: 3_148_000 + k,
    costMinor: null,
    listPriceMinor: null,
    currency: "USD",
  }));
  const bringing = fetch(`${address}/api/stock`, {
    method: "POST",
    headers: { "Content-Type": "application/json" },
    body: JSON.stringify({ vehicles }),
  }).then(
    answer => answer.status,
    () => "killed",
  );
  const inStock = async (at: string) =>
    (await (await fetch(`${at}/api/stock`)).json()).vehicles.length as number;
  await expect.poll(() => inStock(address), { intervals: [10] }).toBeGreaterThan(0);
  await own.stop();
  expect(["killed", 201]).toContain(await bringing);
  const again = await own.start(folder);
  await expect.poll(() => inStock(again.address)).toBe(2000);
});
