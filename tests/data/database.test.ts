import { mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { DEMO_DEALS } from "#demo/scenario";
import { type OpenDatabase, openDatabase } from "@/data/database";
import { getDeal, insertDeals, listDeals, setDeleted, updateDeal } from "@/data/deals";
import { listCustomerNames, listVehicles } from "@/data/suggestions";
import { registerRows } from "@/server/deals";
import { loadDemo } from "@/server/demo";

const folder = mkdtempSync(join(tmpdir(), "kellux-data-"));
let open: OpenDatabase;
beforeAll(async () => {
  open = await openDatabase(folder);
});
afterAll(async () => {
  await open.close();
  rmSync(folder, { recursive: true });
});

const DOCUMENT = { ...DEMO_DEALS[0], changedAt: undefined } as Omit<(typeof DEMO_DEALS)[number], "changedAt">;
const { customer, vehicle, status, inputs } = DOCUMENT;
const document = { customer, vehicle, status, inputs };

async function keep(changes: Partial<typeof document> = {}): Promise<string> {
  const [id = ""] = await insertDeals(open.database, [{ ...document, ...changes }]);
  return id;
}

test("what was kept comes back as it was", async () => {
  const id = await keep();
  expect(await getDeal(open.database, id)).toMatchObject({ id, version: 1, deleted: false, document });
});

test("a save counts only from the newest version", async () => {
  const id = await keep();
  expect(await updateDeal(open.database, id, 1, { ...document, status: "agreed" })).toBe(true);
  expect(await updateDeal(open.database, id, 1, { ...document, status: "lost" })).toBe(false);
  expect(await getDeal(open.database, id)).toMatchObject({ version: 2, document: { status: "agreed" } });
});

test("a deleted deal is out of the list, takes no save, and comes back whole", async () => {
  const id = await keep();
  const ids = async () => (await listDeals(open.database)).map(deal => deal.id);
  await setDeleted(open.database, id, true);
  expect(await ids()).not.toContain(id);
  expect(await updateDeal(open.database, id, 1, document)).toBe(false);
  await setDeleted(open.database, id, false);
  expect(await ids()).toContain(id);
  expect(await getDeal(open.database, id)).toMatchObject({ version: 1, document });
});

test("inputs that break the schema are never kept, nor anything kept with them", async () => {
  const before = await listDeals(open.database);
  const bad = { ...document, inputs: { ...inputs, find: "residual" } as never };
  await expect(insertDeals(open.database, [document, bad])).rejects.toThrow("residual");
  expect(await listDeals(open.database)).toEqual(before);
});

test("a corrected name leaves nobody behind; two deals of one customer share the customer", async () => {
  const id = await keep({ customer: "Idris Vantongern", vehicle: "Larkmor" });
  await updateDeal(open.database, id, 1, document);
  const names = await listCustomerNames(open.database);
  expect(names).not.toContain("Idris Vantongern");
  expect(names.filter(name => name === customer)).toHaveLength(1);
  expect((await listVehicles(open.database)).map(each => each.description)).not.toContain("Larkmor");
});

test("the demo is loaded into an empty folder only", async () => {
  const before = await listDeals(open.database);
  await loadDemo(open.database);
  expect(await listDeals(open.database)).toEqual(before);

  const emptyFolder = mkdtempSync(join(tmpdir(), "kellux-empty-"));
  const empty = await openDatabase(emptyFolder);
  await loadDemo(empty.database);
  const rows = await registerRows(empty.database);
  expect(rows).toHaveLength(16);
  expect(await listCustomerNames(empty.database)).toHaveLength(14);
  expect((await listVehicles(empty.database)).filter(each => each.priceMinor !== null)).toHaveLength(18);
  expect(rows.filter(row => row.payment === null).map(row => row.customer)).toEqual(["Tobiah Quarles"]);
  await empty.close();
  rmSync(emptyFolder, { recursive: true });
});
