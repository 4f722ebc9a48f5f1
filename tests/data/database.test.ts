import { mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { eq } from "drizzle-orm";
import { DEMO_DEALS } from "#demo/scenario";
import { getDeal, setDeleted, updateDeal } from "@/data/deals";
import { openDatabase } from "@/data/embedded/open-folder";
import { storeOf } from "@/data/embedded/store-here";
import { insertDeals } from "@/data/new-deals";
import { findLines } from "@/data/register-page";
import { customers, vehicles } from "@/data/schema";
import { putInStock, stockArrives } from "@/data/stock";
import { customersLike, vehiclesLike } from "@/data/suggestions";
import { chosenOption, type DealChange, headingOf, nameOf, optionOf } from "@/exchange/deal-document";
import { isLease } from "@/exchange/deal-file";
import { optionUpToDate } from "@/exchange/dealer";
import { loadDemo } from "@/server/demo";
import { figuresFrom, makeFigures } from "@/server/figures";
import { copyFreshData } from "../fresh-data.mjs";
import { loanInputs } from "../loan-inputs";
import { named } from "../named";
import { testDatabase } from "./test-database";

const open = testDatabase();

const [first] = DEMO_DEALS;
if (!first) throw new Error("There is no demo deal.");
const { changedAt: _, ...document } = first;
const { customer } = document;
const heading = headingOf(document);
const { id: optionId, name, inputs } = chosenOption(document);

/** Every line of the register, the last changed first. */
const listed = async (database = open.database) =>
  (await findLines(database, { search: "", sort: "changedAt", descending: true, skip: 0, most: 1000 })).lines;

async function keep(changes: Partial<typeof document> = {}): Promise<string> {
  const [id = ""] = await insertDeals(open.database, [{ ...document, ...changes }]);
  return id;
}

test("what was kept comes back as it was", async () => {
  const id = await keep();
  expect(await getDeal(open.database, id)).toMatchObject({ id, version: 1, deleted: false, document });
});

test("a deal keeps the place whose law counts, or none", async () => {
  const id = await keep({ place: "JP" });
  expect((await getDeal(open.database, id))?.document.place).toBe("JP");
  const { place: _, ...nowhere } = heading;
  await updateDeal(open.database, id, 1, { heading: nowhere });
  expect((await getDeal(open.database, id))?.document).not.toHaveProperty("place");
  await updateDeal(open.database, id, 2, { heading: { ...nowhere, place: "DE" } });
  expect((await getDeal(open.database, id))?.document.place).toBe("DE");
});

test("a save counts only from the newest version", async () => {
  const id = await keep();
  expect(await updateDeal(open.database, id, 1, { heading: { ...heading, status: "agreed" } })).toBeDefined();
  expect(await updateDeal(open.database, id, 1, { heading: { ...heading, status: "lost" } })).toBeUndefined();
  expect(await getDeal(open.database, id)).toMatchObject({ version: 2, document: { status: "agreed" } });
});

test("a save that changes nothing is confirmed as what is there at that moment, not as what was there before", async () => {
  const id = await keep();
  const change = { heading: { ...heading, customer: named("Thora Quince") } };
  // The same save twice, as where the answer to the first never arrived; somebody else saves another part in between.
  const options = [{ id: optionId, name: "Renamed", inputs }];
  const saved = await Promise.all([
    updateDeal(open.database, id, 1, change),
    updateDeal(open.database, id, 1, { options }),
    updateDeal(open.database, id, 1, change),
  ]);
  // Whichever came first, none is refused.
  for (const each of saved) expect([2, 3]).toContain(each && typeof each === "object" && each.version);
  expect(await updateDeal(open.database, id, 1, change)).toMatchObject({
    version: 3,
    document: { customer: named("Thora Quince"), options },
  });
  await setDeleted(open.database, id, true);
  expect(await updateDeal(open.database, id, 1, change)).toBeUndefined();
});

test("a brief answer leaves the deal out, unless somebody else has changed it meanwhile", async () => {
  const id = await keep();
  const agreed = { heading: { ...heading, status: "agreed" as const } };
  const repriced = { options: [{ id: optionId, name, inputs: { ...inputs, structure: { price: "7.00" } } }] };
  expect(await updateDeal(open.database, id, 1, agreed, { brief: true })).not.toHaveProperty("document");
  const merged = await updateDeal(open.database, id, 1, repriced, { brief: true });
  expect(merged).toMatchObject({
    version: 3,
    document: { ...document, status: "agreed", options: repriced.options },
  });
});

test("a deleted deal is out of the list, takes no save, and comes back whole", async () => {
  const id = await keep();
  const ids = async () => (await listed()).map(deal => deal.id);
  await setDeleted(open.database, id, true);
  expect(await ids()).not.toContain(id);
  expect(await updateDeal(open.database, id, 1, { heading: { ...heading, status: "lost" } })).toBeUndefined();
  await setDeleted(open.database, id, false);
  expect(await ids()).toContain(id);
  expect(await getDeal(open.database, id)).toMatchObject({ version: 1, document });
});

test("of deals of which one cannot be kept none is", async () => {
  const before = await listed();
  const bad = { ...document, customer: named("a sign that no text of a database holds: \u0000") };
  await expect(insertDeals(open.database, [document, bad])).rejects.toThrow();
  expect(await listed()).toEqual(before);
});

const namesLike = async (text: string) => (await customersLike(open.database, text)).map(({ name }) => name);

test("a corrected name leaves nobody behind", async () => {
  const id = await keep({ customer: named("Idris Vantongern"), vehicle: named("Larkmor") });
  await updateDeal(open.database, id, 1, { heading });
  expect(await namesLike("Idris Vantongern")).toEqual([]);
  expect(await namesLike(nameOf(customer))).toEqual([nameOf(customer)]);
  const vehicles = await vehiclesLike(open.database, "Larkmor");
  expect(vehicles.map(each => each.description)).not.toContain("Larkmor");
});

test("a vehicle in stock stays when no deal names it any more, with a price or without one yet", async () => {
  const stock = { description: "Ostrel Quay trailer, stock 1290", priceMinor: null, currency: "USD" };
  await stockArrives(open.database, [{ ...stock, costMinor: null, listPriceMinor: null }]);
  await putInStock(open.database, 1);
  const [kept] = await vehiclesLike(open.database, "ostrel quay");
  const id = await keep({ vehicle: { id: kept?.id ?? "", name: stock.description } });
  await updateDeal(open.database, id, 1, { heading });
  expect(await vehiclesLike(open.database, "ostrel quay")).toEqual([kept]);
  expect(kept).toMatchObject({ ...stock, listPriceMinor: null, inStock: true });
});

test("names are suggested for what is typed: those that begin with it first, signs for themselves", async () => {
  for (const name of ["Ansel 50% Maro", "Maro Ansel", "Teo Maro_Lind"]) await keep({ customer: named(name) });
  expect(await namesLike("maro")).toEqual(["Maro Ansel", "Ansel 50% Maro", "Teo Maro_Lind"]);
  expect(await namesLike("%")).toEqual(["Ansel 50% Maro"]);
  expect(await namesLike("_lind")).toEqual(["Teo Maro_Lind"]);
});

describe("saves of different parts", () => {
  const [one, two] = ["11111111-1111-4111-8111-111111111111", "22222222-2222-4222-8222-222222222222"];
  const option = (id: string, price: string) => ({
    id,
    name: "",
    inputs: { ...inputs, structure: { ...inputs.structure, price } },
  });
  const twoOptions = { ...document, chosen: one, options: [option(one, "1000.00"), option(two, "2000.00")] };
  const save = async (id: string, version: number, change: DealChange) => {
    const saved = await updateDeal(open.database, id, version, change);
    // What a save gives back is what is kept.
    if (saved) expect(await getDeal(open.database, id)).toEqual(saved);
    return saved !== undefined;
  };
  const keptPrices = async (id: string) =>
    (await getDeal(open.database, id))?.document.options.map(each => each.inputs.structure.price);

  test("meet in one deal, whoever comes first", async () => {
    const id = await keep(twoOptions);
    expect(await save(id, 1, { options: [option(one, "1100.00")] })).toBe(true);
    expect(await save(id, 1, { options: [option(two, "2200.00")] })).toBe(true);
    expect(await save(id, 1, { heading: { ...heading, status: "agreed" } })).toBe(true);
    expect(await save(id, 1, { order: { chosen: one, options: [two, one] } })).toBe(true);
    expect(await getDeal(open.database, id)).toMatchObject({
      version: 5,
      document: {
        status: "agreed",
        chosen: one,
        options: [option(two, "2200.00"), option(one, "1100.00")],
      },
    });
    // Which option is chosen is said in view of all of them.
    const chosen = { order: { chosen: two, options: [two, one] } };
    expect(await save(id, 4, chosen)).toBe(false);
    expect(await save(id, 5, chosen)).toBe(true);
    expect(await save(id, 5, chosen)).toBe(true);
  });

  test("of the same part count only from its newest version, and the same save twice is one", async () => {
    const id = await keep(twoOptions);
    expect(await save(id, 1, { options: [option(one, "1100.00")] })).toBe(true);
    expect(await save(id, 1, { options: [option(one, "1100.00")] })).toBe(true);
    expect((await getDeal(open.database, id))?.version).toBe(2);
    expect(await save(id, 1, { options: [option(one, "1200.00")] })).toBe(false);
    expect(await save(id, 9, { options: [option(one, "1200.00")] })).toBe(false);
    expect(await save(id, 2, { options: [option(one, "1200.00")] })).toBe(true);
    expect(await keptPrices(id)).toEqual(["1200.00", "2000.00"]);
  });

  test("with an option that another took out, or that another has changed since, are refused", async () => {
    const id = await keep(twoOptions);
    expect(await save(id, 1, { options: [option(two, "2200.00")] })).toBe(true);
    expect(await save(id, 1, { order: { chosen: one, options: [one] } })).toBe(false);
    expect(await save(id, 2, { order: { chosen: one, options: [one] } })).toBe(true);
    expect(await save(id, 2, { options: [option(two, "2300.00")] })).toBe(false);
    expect(await keptPrices(id)).toEqual(["1000.00"]);
  });

  test("add an option, which keeps its id", async () => {
    const id = await keep();
    const order = { chosen: optionId, options: [optionId, two] };
    expect(await save(id, 1, { order, options: [option(two, "2000.00")] })).toBe(true);
    const kept = await getDeal(open.database, id);
    expect(kept && optionOf(kept.document, two)).toEqual(option(two, "2000.00"));
    expect(kept?.document.chosen).toBe(optionId);
  });
});

test("the demo is loaded into an empty folder only", async () => {
  const before = await listed();
  await loadDemo(open.store);
  expect(await listed()).toEqual(before);

  const emptyFolder = mkdtempSync(join(tmpdir(), "kellux-empty-"));
  copyFreshData(emptyFolder);
  const empty = await openDatabase(emptyFolder);
  await loadDemo(storeOf(empty.database, empty.sync));
  await makeFigures(storeOf(empty.database, empty.sync), async from => figuresFrom(from));
  const rows = await listed(empty.database);
  expect(rows).toHaveLength(32);
  expect(await empty.database.$count(customers)).toBe(30);
  expect(await empty.database.$count(vehicles, eq(vehicles.inStock, true))).toBe(18);
  expect(rows.filter(row => row.payment === null).map(row => row.customer)).toEqual(["Tobiah Quarles"]);
  await empty.close();
  rmSync(emptyFolder, { recursive: true });
});

test("a lease is kept with the loan that it was, comes back as it was, and has its figures in the register", async () => {
  const lease = DEMO_DEALS.map(chosenOption).find(option => option.inputs.plan.kind === "lease");
  if (!lease || !isLease(lease.inputs)) throw new Error("The demo has no lease.");
  const { find, plan } = loanInputs(inputs);
  const kept = { ...lease.inputs, kept: { plan, find } };
  const leased = { ...document, chosen: lease.id, options: [{ ...lease, inputs: kept }] };
  const id = await keep(leased);
  expect((await getDeal(open.database, id))?.document).toEqual({
    ...leased,
    options: leased.options.map(optionUpToDate),
  });
  await makeFigures(open.store, async from => figuresFrom(from));
  expect((await listed()).find(line => line.id === id)).toMatchObject({
    payment: 74_603,
    amountFinanced: 3_889_558,
    paid: "monthly lease",
    problem: null,
  });
});
