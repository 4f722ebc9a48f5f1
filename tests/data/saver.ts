// Works on a data folder in a loop and says each piece of work once it is acknowledged, until it is killed. First it says
// what it found there, which the kill before has left.

import { randomUUID } from "node:crypto";
import { and, count, eq, isNull, like } from "drizzle-orm";
import type { DealRecord } from "@/data/deals";
import { openDatabase } from "@/data/embedded/open-folder";
import { restoreBeside } from "@/data/embedded/restore";
import { takePlace } from "@/data/embedded/state";
import { storeOf } from "@/data/embedded/store-here";
import { customers, deals } from "@/data/schema";
import { readBackup } from "@/exchange/backup";
import { type Asides, headingOf, nameOf } from "@/exchange/deal-document";
import { putAllInStock, settleArrivals, showArrivals } from "@/server/arrivals";
import { copyPath, keepCopy, listCopies } from "@/server/backups";
import { lookAtKept } from "@/server/kept-rows";
import { named } from "../named";
import { asItStands } from "./as-it-stands";
import { numberedDeal } from "./numbered-deal";

const [folder = "", mode = "save"] = process.argv.slice(2);
const say = (line: object) => process.stdout.write(`${JSON.stringify(line)}\n`);
const BATCH = 20;

const VEHICLES = 150;
const COPY = "kellux-2019-12-31.ndjson.gz";

const opening = async () => {
  const { database, sync, close } = await openDatabase(folder);
  return { database, store: storeOf(database, sync), close };
};
let { database, store, close } = await opening();

/** How many files of deals and of vehicles are seen, as far as they are whole, and which copies are not. */
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
  const inStock = (await store.stockList()).filter(({ description }) => description.startsWith("Stock"));
  return { batches: (seen?.count ?? 0) / BATCH, stocks: inStock.length / VEHICLES, broken };
}

/** A deal that is there by how its customer is called; else a new one. */
async function dealOf(name: string): Promise<DealRecord> {
  const [listed] = await database
    .select({ id: deals.id })
    .from(deals)
    .innerJoin(customers, eq(customers.id, deals.customerId))
    .where(like(customers.name, `${name}%`))
    .limit(1);
  const made = { ...numberedDeal(1), customer: named(`${name} 1`), asides: numberedAsides(1) };
  const there = await store.getDeal(listed?.id ?? (await store.insertDeals([made]))[0] ?? "");
  if (!there) throw new Error("The deal is gone.");
  return there;
}

/** What is tried at a version of the deal: no schema has a member for it yet, and the database looks into none. */
const numberedAsides = (version: number) => ({ tried: version }) as Asides;

const deal = await dealOf("Customer");
const { id } = deal;
/** The deal whose dealer's part is saved. */
const told = await dealOf("Told");
const dealer = await store.getDealer(told.id);
// As the server does when it starts.
await settleArrivals(store);
const state = await found();
say({
  opened: deal.version,
  customer: nameOf(deal.document.customer),
  price: deal.document.options[0]?.inputs.structure.price,
  asides: deal.document.asides,
  dealerAt: dealer?.version,
  dealer: dealer?.dealer,
  ...state,
});

async function save(version: number): Promise<void> {
  const document = numberedDeal(version + 1);
  const saved = await store.updateDeal(id, version, {
    heading: headingOf(document),
    options: document.options,
    asides: numberedAsides(version + 1),
  });
  if (!saved) throw new Error(`Version ${version} could not be saved.`);
  say({ acknowledged: version + 1 });
}

/** The dealer's part of another deal, which has no other change. */
async function tell(version: number): Promise<void> {
  const [option] = told.document.options;
  const saved = await store.updateDealer(told.id, version, {
    options: { [option?.id ?? ""]: { cost: `${version + 1}` } },
  });
  if (!saved) throw new Error(`Version ${version} of the dealer's part could not be saved.`);
  say({ told: version + 1 });
}

/** A file of many deals, as it is brought in: in parts that are not seen, then seen together. */
async function bringIn(batch: number): Promise<void> {
  const arrival = randomUUID();
  await store.startArrival(arrival);
  for (let part = 0; part < 2; part++) {
    const hidden = Array.from({ length: BATCH / 2 }, (_, k) => ({
      ...numberedDeal(batch),
      customer: named(`Batch ${batch} ${part} ${k}`),
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
  await keepCopy(asItStands(store), folder, `kellux-${day}.ndjson.gz`);
  say({ copied: copy });
}

/** Vehicles that come into stock, which they are as soon as they have arrived. */
async function stock(list: number): Promise<void> {
  const figures = { priceMinor: 100, costMinor: null, listPriceMinor: null, currency: "USD" };
  await store.stockArrives(
    Array.from({ length: VEHICLES }, (_, k) => ({ description: `Stock ${list} ${k}`, ...figures })),
  );
  say({ stocks: list });
  await putAllInStock(store);
}

/** All that is kept, copied and restored over itself. */
async function restore(): Promise<void> {
  await keepCopy(asItStands(store), folder, COPY);
  const { place } = await restoreBeside(folder, copyPath(folder, COPY) ?? "", lookAtKept);
  takePlace(folder, place);
  await close();
  ({ database, store, close } = await opening());
  say({ restored: place });
}

for (let step = 0; ; step++) {
  await save(deal.version + step);
  await tell(told.version + step);
  if (mode === "import") await bringIn(state.batches + step + 1);
  if (mode === "backup") await backUp(step);
  if (mode === "stock") await stock(state.stocks + step + 1);
  if (mode === "restore") await restore();
}
