// Databases of the server of the tests, of which nothing is left after a test.
import pg from "pg";
import { type OnServer, openStoreOnServer } from "@/data/postgres/open-store-on-server";
import { newServerDatabase, TEST_SERVER } from "./test-database";

export const SERVER = TEST_SERVER ?? "";
/** Tests for which there has to be a server. */
export const onServer = TEST_SERVER ? describe : describe.skip;

/** What is undone after a test, the last first. */
export const undone: (() => Promise<unknown>)[] = [];
afterEach(async () => {
  for (const undo of undone.splice(0).reverse()) await undo();
});

export async function emptyDatabase(options?: string): Promise<string> {
  const { url, drop } = await newServerDatabase(SERVER, options);
  undone.push(drop);
  return url;
}

export function open(url: string): OnServer {
  const server = openStoreOnServer(url);
  undone.push(server.close);
  return server;
}

/** Two processes on one database. */
export async function two(): Promise<[OnServer, OnServer]> {
  const url = await emptyDatabase();
  return [open(url), open(url)];
}

export async function run(url: string, ...statements: string[]): Promise<Record<string, unknown>[]> {
  const client = new pg.Client(url);
  await client.connect();
  const rows: Record<string, unknown>[] = [];
  for (const statement of statements) rows.push(...(await client.query(statement)).rows);
  await client.end();
  return rows;
}

/** The address of a database for a user who may only connect to it. */
export async function asGuest(url: string): Promise<string> {
  const name = `guest_${Math.random().toString(36).slice(2)}`;
  await run(`${SERVER}/postgres`, `create role ${name} login`);
  undone.unshift(() => run(`${SERVER}/postgres`, `drop role ${name}`));
  return url.replace("//kellux@", `//${name}@`);
}
