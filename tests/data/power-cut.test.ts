import { mkdtempSync, readdirSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { sql } from "drizzle-orm";
import { getDeal, updateDeal } from "@/data/deals";
import { type OpenDatabase, openDatabase } from "@/data/embedded/open-folder";
import { storeOf } from "@/data/embedded/store-here";
import type { Store } from "@/data/store";
import { nameOf } from "@/exchange/deal-document";
import { named } from "../named";
import { numberedDeal } from "./numbered-deal";
import { powerCut } from "./power-cut";

const SAVES = 100;
/** A cut after each save takes minutes: KELLUX_EVERY=1 makes them. */
const EVERY = Number(process.env.KELLUX_EVERY ?? 50);
const scratch = mkdtempSync(join(tmpdir(), "kellux-power-"));
const folder = join(scratch, "data");
const watch = powerCut(scratch);
let open: OpenDatabase;
let store: Store;
let cuts = 0;
afterAll(async () => {
  await open.close();
  watch.restore();
  rmSync(scratch, { recursive: true });
});

/** Opens what is left after a cut at this moment, and says what it holds. */
async function afterCut<Found>(look: (store: Store) => Promise<Found>): Promise<Found> {
  const left = mkdtempSync(join(tmpdir(), `kellux-cut-${++cuts}-`));
  watch.diskAt(left);
  // A claim of this process is not on the disk of a machine that starts anew.
  rmSync(join(left, "data/in-use.json"), { force: true });
  const opened = await openDatabase(join(left, "data"));
  try {
    return await look(storeOf(opened.database, opened.sync));
  } finally {
    await opened.close();
    rmSync(left, { recursive: true });
  }
}

const customersIn = async (kept: Store) => {
  const { records } = await kept.dealsAfter(null, 1000);
  return records.map(({ document }) => nameOf(document.customer)).sort();
};

const isLinux = process.platform === "linux";
// It looks into the system's own list of open files.
(isLinux ? describe : describe.skip)("a power cut", () => {
  test("before the first start is done leaves nothing that is taken for a database; after it, an empty one opens", async () => {
    open = await openDatabase(folder);
    store = storeOf(open.database, open.sync);
    expect(await afterCut(customersIn)).toEqual([]);
  });

  test("what was saved without waiting for the disk would be gone, so that this test can fail", async () => {
    const [id = ""] = await store.insertDeals([numberedDeal(1)]);
    const change = { heading: { customer: named("Lost"), status: "quoting" as const } };
    await updateDeal(open.database, id, 1, change);
    expect((await getDeal(open.database, id))?.document.customer?.name).toBe("Lost");
    expect(await afterCut(customersIn)).toEqual(["Customer 1"]);
    // A read waits for what it has read, where that was saved.
    await open.sync.saving(async () => {});
    await store.getDeal(id);
    expect(await afterCut(customersIn)).toEqual(["Lost"]);
  });

  test(`after each of ${SAVES} saves, or some of them, leaves every one that was acknowledged`, async () => {
    const [id = ""] = await store.insertDeals([numberedDeal(100)]);
    for (let version = 1; version <= SAVES; version++) {
      const { customer, options } = numberedDeal(100 + version);
      const heading = { customer, status: "quoting" as const };
      expect(await store.updateDeal(id, version, { heading, options })).toMatchObject({
        version: version + 1,
      });
      if (version % EVERY > 0) continue;
      const found = await afterCut(kept => kept.getDeal(id));
      expect([found?.version, found?.document.options[0]?.inputs.structure.price]).toEqual([
        version + 1,
        `${100 + version}.00`,
      ]);
    }
  });

  test("loses nothing across a new segment of the log and a checkpoint", async () => {
    const segments = () =>
      readdirSync(join(folder, "database/pg_wal")).filter(name => /^0/.test(name)).length;
    const before = segments();
    const kept = await customersIn(store);
    const steps = [sql`select pg_switch_wal()`, sql`checkpoint`, sql`select pg_switch_wal()`];
    for (const [k, step] of steps.entries()) {
      await open.database.execute(step);
      const deals = Array.from({ length: 20 }, (_, j) => numberedDeal(10_000 + 20 * k + j));
      await store.insertDeals(deals);
      kept.push(...deals.map(({ customer }) => nameOf(customer)));
      expect(await afterCut(customersIn)).toEqual(kept.sort());
    }
    expect(segments()).toBeGreaterThan(before);
  });

  test("saves that wait together share a sync, and none is answered before it", async () => {
    const ids = await store.insertDeals(Array.from({ length: 100 }, (_, k) => numberedDeal(50_000 + k)));
    const before = watch.syncs();
    const answered: string[] = [];
    const saves = ids.map(async (id, k) => {
      const heading = { customer: named(`Together ${k}`), status: "quoting" as const };
      await store.updateDeal(id, 1, { heading });
      answered.push(`Together ${k}`);
      // The first of them is answered: it is on the disk, whatever becomes of the others.
      if (answered.length === 1) expect(await afterCut(customersIn)).toContain(`Together ${k}`);
    });
    await Promise.all(saves);
    const syncs = watch.syncs() - before;
    expect(await afterCut(customersIn)).toEqual(expect.arrayContaining(answered));
    expect(answered).toHaveLength(100);
    expect(syncs).toBeLessThanOrEqual(20);
  });
});
