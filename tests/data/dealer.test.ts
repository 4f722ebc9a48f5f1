import { mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { openDatabase } from "@/data/embedded/open-folder";
import { restoreIntoEmpty } from "@/data/embedded/restore";
import { storeOf } from "@/data/embedded/store-here";
import type { Store } from "@/data/store";
import { type DealDocument, type DealOption, type Named, nameOf } from "@/exchange/deal-document";
import type { LoanFile } from "@/exchange/kinds/loan";
import type { FeeFile } from "@/exchange/structure/structure.schema";
import { lookAtKept } from "@/server/kept-rows";
import { named } from "../named";
import { testDatabase } from "./test-database";

const open = testDatabase();

const [ONE, OTHER] = ["11111111-1111-4111-8111-111111111111", "22222222-2222-4222-8222-222222222222"];
const COVER = { id: "cover-1a2b", name: "Gap cover", amount: "640.00" };
const PAINT = { id: "5f0c9d1e", name: "Paint sealing", amount: "220.00" };

const option = (id: string, extras: FeeFile[]): DealOption => ({
  id,
  name: "",
  inputs: {
    format: "kellux-deal",
    version: 1,
    currency: "USD",
    structure: { price: "30000.00", ...(extras.length > 0 && { extras }) },
    plan: { kind: "loan", frequency: "monthly", yearlyRate: "6.49", payments: 72 },
    find: "payment",
  } satisfies LoanFile,
});
const heading = { customer: named("Nerys Holloway"), status: "quoting" as const };
const deal = (...options: DealOption[]): DealDocument => ({ ...heading, chosen: ONE, options });

beforeAll(async () => {
  const { store } = open;
  await store.keepSettings(0, {
    ...{ format: "kellux-settings", version: 1, houseName: "", currency: "USD", locale: "en-US" },
    appearance: "system",
    plan: { kind: "loan", frequency: "monthly" },
    extras: [{ id: "cover", name: "Gap cover", amount: "640.00" }],
  });
  expect(await store.keepSettingsDealer(0, { extraCosts: { cover: "310.00" } })).toMatchObject({
    version: 1,
  });
  const van = { description: "Larkmoor 240, stock 1187", priceMinor: 4_185_000, listPriceMinor: null };
  await store.stockArrives([{ ...van, costMinor: 3_725_000, currency: "USD" }]);
  await store.putInStock(10);
});

async function keep(document = deal(option(ONE, [COVER, PAINT]))): Promise<string> {
  const [id = ""] = await open.store.insertDeals([document]);
  return id;
}
const dealerOf = async (id: string, store: Store = open.store) =>
  (await store.getDealer(id))?.dealer.options ?? {};

test("a usual extra comes with what it costs, in a new deal and in one that takes it; a line of one's own with nothing", async () => {
  const id = await keep();
  expect(await dealerOf(id)).toEqual({ [ONE]: { costs: { "cover-1a2b": "310.00" } } });
  const later = await keep(deal(option(ONE, [PAINT])));
  expect(await dealerOf(later)).toEqual({});
  await open.store.updateDeal(later, 1, { options: [option(ONE, [PAINT, COVER])] });
  expect(await dealerOf(later)).toEqual({ [ONE]: { costs: { "cover-1a2b": "310.00" } } });
});

test("a vehicle of the stock comes with what it cost, and takes that along when it goes", async () => {
  const id = await keep();
  const [van] = await open.store.vehiclesLike("Larkmoor 240");
  const name = "Larkmoor 240, stock 1187";
  const vehicle = (what: Named) => ({ heading: { ...heading, vehicle: what } });
  // Typed alone, it is a vehicle of the deal's own that is called so.
  await open.store.updateDeal(id, 1, vehicle(named(name)));
  expect((await dealerOf(id))[ONE]).not.toHaveProperty("cost");
  await open.store.updateDeal(id, 2, vehicle({ id: van?.id ?? "", name }));
  expect((await dealerOf(id))[ONE]?.cost).toBe("37250.00");
  await open.store.updateDeal(id, 3, vehicle(named("Somebody's own van")));
  expect((await dealerOf(id))[ONE]).not.toHaveProperty("cost");
  await open.store.updateDeal(id, 4, vehicle({ id: van?.id ?? "", name }));
  expect((await dealerOf(id))[ONE]?.cost).toBe("37250.00");
});

test("what the dealer typed of a line is there again when the line comes back, and goes with a copied option", async () => {
  const id = await keep();
  const typed = { options: { [ONE]: { costs: { "5f0c9d1e": "90.00", "cover-1a2b": "300.00" } } } };
  expect(await open.store.updateDealer(id, 1, typed)).toMatchObject({ version: 2, dealer: typed });
  await open.store.updateDeal(id, 1, { options: [option(ONE, [COVER])] });
  await open.store.updateDeal(id, 3, { options: [option(ONE, [COVER, PAINT])] });
  expect(await dealerOf(id)).toEqual(typed.options);
  await open.store.updateDeal(id, 4, {
    order: { chosen: ONE, options: [ONE, OTHER] },
    options: [option(OTHER, [PAINT, COVER])],
  });
  expect(await dealerOf(id)).toEqual({ ...typed.options, [OTHER]: typed.options[ONE] });
});

test("the part clashes with itself alone: a deal is saved beside it, and a signed one is open to it", async () => {
  const id = await keep(deal(option(ONE, [PAINT])));
  const costs = (cost: string) => ({ options: { [ONE]: { costs: { "5f0c9d1e": cost } } } });
  await open.store.updateDeal(id, 1, { heading: { ...heading, customer: named("Nerys Vale") } });
  expect(await open.store.updateDealer(id, 1, costs("90.00"))).toMatchObject({ version: 3 });
  expect(await open.store.updateDeal(id, 2, { heading })).toMatchObject({ version: 4 });
  expect(await open.store.updateDealer(id, 2, costs("95.00"))).toBeUndefined();
  // The same once more, as where the answer was lost.
  expect(await open.store.updateDealer(id, 1, costs("90.00"))).toMatchObject({ version: 4 });
  const quotes = { at: new Date(), coreVersion: "0", isLate: false, quotes: [] };
  const [signed = ""] = await open.store.insertDeals([
    { ...deal(option(ONE, [PAINT])), status: "signed", signing: quotes },
  ]);
  expect(await open.store.updateDealer(signed, 1, costs("90.00"))).toMatchObject({ version: 2 });
  expect(await open.store.setDeleted(id, true)).toBe(true);
  expect(await open.store.updateDealer(id, 4, costs("1.00"))).toBeUndefined();
});

test("its history is told to whom it is open, in words, and leads to no payment; the deal's states know nothing of it", async () => {
  const id = await keep(deal(option(ONE, [COVER, PAINT])));
  const costs = (cost: string) => ({ options: { [ONE]: { cost: "25000", costs: { "5f0c9d1e": cost } } } });
  await open.store.updateDealer(id, 1, costs("9"));
  // Typed on: one entry.
  await open.store.updateDealer(id, 2, costs("90"));
  await open.store.updateDeal(id, 3, { heading: { ...heading, customer: named("Nerys Vale") } });
  expect((await open.store.changesOf(id)).map(({ words }) => words)).toEqual([
    "customer Nerys Holloway → Nerys Vale",
    "",
  ]);
  expect((await open.store.changesOf(id, true)).map(({ part, words }) => [part, words])).toEqual([
    [null, "customer Nerys Holloway → Nerys Vale"],
    [
      "dealer",
      "cost of the vehicle 25,000.00, cost of Gap cover 310.00 removed, cost of Paint sealing 90.00",
    ],
    [null, ""],
  ]);
  const present = (await open.store.getDeal(id))?.document as DealDocument;
  expect(await open.store.stateAfter(id, present, 1)).toEqual({
    ...present,
    customer: named("Nerys Holloway"),
  });
  expect(await open.store.stateAfter(id, present, 2)).toBeUndefined();
});

test("a backup of before: costs have moved to the dealer's part, and stand nowhere else", async () => {
  const folder = mkdtempSync(join(tmpdir(), "kellux-before-parts-"));
  await restoreIntoEmpty(folder, "tests/data/before-parts.ndjson.gz", lookAtKept);
  const { database, sync, close } = await openDatabase(folder);
  const store = storeOf(database, sync);
  const { records } = await store.dealsAfter(null, 100);
  const known = new Map(
    await Promise.all(
      records.map(
        async ({ id, document }) => [nameOf(document.customer), await dealerOf(id, store)] as const,
      ),
    ),
  );
  const first = records.find(({ document }) => nameOf(document.customer) === "Aurelio Pennant");
  const [before = "", added = ""] = first?.document.options.map(({ id }) => id) ?? [];
  expect(known.get("Aurelio Pennant")).toEqual({
    [before]: { costs: { "extra-1": "1040.00" } },
    [added]: { costs: { "extra-1": "1077.70", "extra-2": "310.00" } },
  });
  expect(Object.values(known.get("Signed Before") ?? {})).toEqual([{ costs: { "extra-1": "310.00" } }]);
  expect(first?.document.options[1]?.inputs.structure.extras?.map(({ id }) => id)).toEqual([
    "extra-1",
    "extra-2",
  ]);
  const told = await store.changesOf(first?.id ?? "");
  expect(told[0]?.words).toContain("Extra 1 Service contract, 5 years: 1,890.00, financed →");
  const states = await Promise.all(
    told.map(({ number }) => store.stateAfter(first?.id ?? "", first?.document as DealDocument, number)),
  );
  const settings = await store.getSettings();
  for (const found of [records, told, states, settings, await store.stockList()])
    expect(JSON.stringify(found)).not.toMatch(/"cost|costs? \d|1040\.00|1,040\.00|1077\.7|1,077\.7/);
  expect(settings?.settings.extras?.map(({ id }) => id)).toEqual([
    "usual-extra-1",
    "usual-extra-2",
    "usual-extra-3",
  ]);
  expect(await store.getSettingsDealer()).toEqual({
    dealer: {
      extraCosts: { "usual-extra-1": "1040.00", "usual-extra-2": "310.00", "usual-extra-3": "820.00" },
    },
    version: 0,
  });
  await close();
  rmSync(folder, { recursive: true });
});
