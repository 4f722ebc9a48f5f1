import { expect } from "@playwright/test";
import { newDeal, VAN } from "./officer";
import { test } from "./own-server";

test("a server killed under the officer's hands: what was saved is there, what was typed since is saved later", async ({
  page,
  own,
}) => {
  const folder = own.newFolder();
  const { address } = await own.start(folder);
  const deal = await newDeal(page);
  await deal.type({ Customer: "Cosima Wherry", ...VAN });
  await deal.saved();
  await own.stop();
  await deal.type({ Price: "31,500" });
  await expect(deal.status).toContainText("Not saved: the server is away");
  // The answers go on without the server.
  await expect(deal.sentence).toContainText("At a price of $31,500.00");

  await own.start(folder);
  const row = async () => {
    const answer = await fetch(`${address}/api/deals`);
    const { rows }: { rows: { customer: string; amountFinanced: number }[] } = await answer.json();
    return rows.find(each => each.customer === "Cosima Wherry")?.amountFinanced;
  };
  // The acknowledged save survived; the later change may have followed by now.
  await expect.poll(async () => [3_000_000, 3_150_000].includes((await row()) ?? 0)).toBe(true);
  await deal.saved();
  await expect.poll(row).toBe(3_150_000);
});
