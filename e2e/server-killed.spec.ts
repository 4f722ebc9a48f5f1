import { mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { expect, test } from "@playwright/test";
import { newDeal, VAN } from "./officer";
import { type OwnServer, startServer, stopServer } from "./own-server";

const PORT = 4313;
const folder = mkdtempSync(join(tmpdir(), "kellux-killed-"));
let server: OwnServer;
const start = async () => {
  server = await startServer(folder, PORT);
};

test.use({ baseURL: `http://localhost:${PORT}` });
test.beforeAll(start);
test.afterAll(async () => {
  await stopServer(server);
  rmSync(folder, { recursive: true, force: true });
});

test("a server killed under the officer's hands: what was saved is there, what was typed since is saved later", async ({
  page,
}) => {
  const deal = await newDeal(page);
  await deal.type({ Customer: "Cosima Wherry", ...VAN });
  await deal.saved();
  await stopServer(server);
  await deal.type({ Price: "31,500" });
  await expect(deal.status).toContainText("Not saved: the server is away");
  // The answers go on without the server.
  await expect(deal.sentence).toContainText("At a price of $31,500.00");

  await start();
  const row = async () => {
    const answer = await fetch(`http://localhost:${PORT}/api/deals`);
    const { rows }: { rows: { customer: string; amountFinanced: number }[] } = await answer.json();
    return rows.find(each => each.customer === "Cosima Wherry")?.amountFinanced;
  };
  // The acknowledged save survived; the later change may have followed by now.
  await expect.poll(async () => [3_000_000, 3_150_000].includes((await row()) ?? 0)).toBe(true);
  await deal.saved();
  await expect.poll(row).toBe(3_150_000);
});
