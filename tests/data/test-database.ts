import { randomUUID } from "node:crypto";
import { mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import pg from "pg";
import type { Database } from "@/data/database";
import { openDatabase } from "@/data/embedded/open-folder";
import { storeOf } from "@/data/embedded/store-here";
import { databaseOver, readyServer } from "@/data/postgres/open-server";
import { openPool } from "@/data/postgres/pool";
import { storeOnServer } from "@/data/postgres/store-on-server";
import type { Store } from "@/data/store";
import { copyFreshData } from "../fresh-data.mjs";

type Open = { database: Database; store: Store; close: () => Promise<void> };

/** The PostgreSQL server on which data is tested, too, where there is one. */
export const TEST_SERVER = process.env.KELLUX_TEST_SERVER || undefined;

/** A database of its own, open while the tests of a file run: in a folder, or on a server where that is asked for. */
export function testDatabase(): { readonly database: Database; readonly store: Store } {
  let open: Open;
  beforeAll(async () => {
    open = await (TEST_SERVER ? openOnServer(TEST_SERVER) : openInFolder());
  });
  afterAll(() => open.close());
  return {
    get database() {
      return open.database;
    },
    get store() {
      return open.store;
    },
  };
}

async function openInFolder(): Promise<Open> {
  const folder = mkdtempSync(join(tmpdir(), "kellux-data-"));
  copyFreshData(folder);
  const { database, sync, close } = await openDatabase(folder);
  return {
    database,
    store: storeOf(database, sync),
    close: async () => {
      await close();
      rmSync(folder, { recursive: true });
    },
  };
}

async function openOnServer(server: string): Promise<Open> {
  const { url, drop } = await newServerDatabase(server);
  await readyServer(url);
  const pool = openPool(url);
  const database = databaseOver(pool);
  return {
    database,
    store: storeOnServer(database),
    close: async () => {
      await pool.end();
      await drop();
    },
  };
}

/**
 * An empty database on a server, and how it is dropped.
 *
 * @param options of "create database"
 */
export async function newServerDatabase(
  server: string,
  options = "encoding 'UTF8'",
): Promise<{ url: string; drop: () => Promise<void> }> {
  const name = `kellux_${randomUUID().replaceAll("-", "")}`;
  const asOwner = async (statement: string) => {
    const client = new pg.Client(`${server}/postgres`);
    await client.connect();
    await client.query(statement).finally(() => client.end());
  };
  await asOwner(`create database ${name} template template0 ${options}`);
  return { url: `${server}/${name}`, drop: () => asOwner(`drop database ${name} with (force)`) };
}
