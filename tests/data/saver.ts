// Works on a data folder in a loop and says each piece of work once it is acknowledged, until it is killed. First it says
// what it found there, which the kill before has left.

import { randomUUID } from "node:crypto";
import { and, count, eq, isNull, like } from "drizzle-orm";
import { openDatabase } from "@/data/database";
import { customers, deals } from "@/data/schema";
import { storeOf } from "@/data/store";
import { readBackup } from "@/exchange/backup";
import { headingOf } from "@/exchange/deal-document";
import { settleArrivals, showArrivals } from "@/server/arrivals";
import { copyPath, keepCopy, listCopies } from "@/server/backups";
import { numberedDeal } from "./numbered-deal";

const [folder = "", mode = "save"] = process.argv.slice(2);
const say = (line: object) => process.stdout.write(`${JSON.stringify(line)}\n`);
const BATCH = 20;

const { database, sync } = await openDatabase(folder);
const store = storeOf(database, sync);

/** How many deals of batches are seen, how many there must be at the least, and which copies are not whole. */
async function found() {
  const [seen] = await database
    .select({ count: count() })
    .from(deals)
    .innerJoin(customers, eq(customers.id, deals.customerId))
    .where(and(like(customers.name, "Batch%"), isNull(deals.deletedAt)));
  const broken: string[] = [];
  for (const { name } of listCopies(folder)) {
    await readBackup(
      copyPath(folder, name) ?? "",
      () => {},
      () => {},
    ).catch(() => broken.push(name));
  }
  return { batches: (seen?.count ?? 0) / BATCH, broken };
}

const [listed] = await database
  .select({ id: deals.id })
  .from(deals)
  .innerJoin(customers, eq(customers.id, deals.customerId))
  .where(like(customers.name, "Customer%"))
  .limit(1);
const known = listed && (await store.getDeal(listed.id));
const id = known?.id ?? (await store.insertDeals([numberedDeal(1)]))[0] ?? "";
const deal = await store.getDeal(id);
if (!deal) throw new Error("The deal is gone.");
// As the server does when it starts.
await settleArrivals(store);
const state = await found();
say({
  opened: deal.version,
  customer: deal.document.customer,
  price: deal.document.options[0]?.inputs.structure.price,
  ...state,
});

async function save(version: number): Promise<void> {
  const document = numberedDeal(version + 1);
  const saved = await store.updateDeal(id, version, {
    heading: headingOf(document),
    options: document.options,
  });
  if (!saved) throw new Error(`Version ${version} could not be saved.`);
  say({ acknowledged: version + 1 });
}

/** A file of many deals, as it is brought in: in parts that are not seen, then seen together. */
async function bringIn(batch: number): Promise<void> {
  const arrival = randomUUID();
  for (let part = 0; part < 2; part++) {
    const hidden = Array.from({ length: BATCH / 2 }, (_, k) => ({
      ...numberedDeal(batch),
      customer: `Batch ${batch} ${part} ${k}`,
      arrival,
    }));
    await store.insertDeals(hidden);
  }
  await store.completeArrival(arrival, BATCH);
  await showArrivals(store);
  say({ batches: batch });
}

async function backUp(copy: number): Promise<void> {
  // A day for each, so that every one is there to be looked at.
  const day = new Date(Date.UTC(2020, 0, 1 + (copy % 3000))).toISOString().slice(0, 10);
  await keepCopy(store, folder, `kellux-${day}.ndjson.gz`);
  say({ copied: copy });
}

for (let step = 0; ; step++) {
  await save(deal.version + step);
  if (mode === "import") await bringIn(state.batches + step + 1);
  if (mode === "backup") await backUp(step);
}
