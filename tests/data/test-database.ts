import { mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { type OpenDatabase, openDatabase } from "@/data/database";
import { type Store, storeOf } from "@/data/store";
import { copyFreshData } from "../fresh-data.mjs";

/** A database in a folder of its own, open while the tests of a file run. */
export function testDatabase(): { readonly database: OpenDatabase["database"]; readonly store: Store } {
  const folder = mkdtempSync(join(tmpdir(), "kellux-data-"));
  let open: OpenDatabase;
  beforeAll(async () => {
    copyFreshData(folder);
    open = await openDatabase(folder);
  });
  afterAll(async () => {
    await open.close();
    rmSync(folder, { recursive: true });
  });
  return {
    get database() {
      return open.database;
    },
    get store() {
      return storeOf(open.database, open.sync);
    },
  };
}
