import { drizzle } from "drizzle-orm/node-postgres";
import type pg from "pg";
import type { Database } from "../database";
import { failureOf } from "../failure";
import { migrate, NewerDatabase } from "../migrate";
import { DataRefused } from "../refused";
import * as schema from "../schema";
import { isAway } from "./failures";
import { lockNumbers } from "./locks";
import { withConnection } from "./pool";

/** The queries over a connection, or over a pool of them. */
export const databaseOver = (client: pg.Client | pg.Pool | pg.PoolClient): Database =>
  drizzle(client as pg.Client, { schema, casing: "snake_case" }) as unknown as Database;

/** What a server's database is called in a sentence: never with its password. */
export function serverName(url: string): string {
  const { host, pathname, searchParams } = new URL(url, "postgres://localhost");
  return `${pathname.slice(1) || "postgres"} at ${searchParams.get("host") || host || "localhost"}`;
}

/** Whether an address is one of a PostgreSQL server. */
export const isServerAddress = (text: string): boolean =>
  /^postgres(ql)?:\/\//i.test(text) && URL.canParse(text.replace("@/", "@localhost/"));

/** The oldest version that has what the queries need. */
const OLDEST = 14;

/**
 * Sees that a server can hold what is kept, and brings its tables up to date: one process does, others that start meanwhile
 * wait for it.
 *
 * @param filled is done before others go on, once the tables are there
 * @throws DataRefused with a sentence where it cannot; a failure that says that it does not answer stays as it is
 */
export async function readyServer(
  url: string,
  filled: (database: Database) => Promise<void> = async () => {},
): Promise<void> {
  if (!isServerAddress(url))
    throw new DataRefused(
      "KELLUX_DATABASE_URL must be an address such as postgres://kellux@localhost/kellux.",
    );
  try {
    await withConnection(url, async client => {
      await refuseUnfit(client, url);
      await client.query("select pg_advisory_lock($1, $2)", lockNumbers("migrating"));
      await haveTrigrams(client, url);
      await migrate(databaseOver(client));
      await refuseWithoutRights(client, url);
      await filled(databaseOver(client));
    });
  } catch (error) {
    throw refusalOf(error, url);
  }
}

/** Old servers, and texts that are not in UTF-8. */
async function refuseUnfit(client: pg.Client, url: string): Promise<void> {
  const { rows } = await client.query<{ version: string; number: string; encoding: string }>(
    `select current_setting('server_version') as version, current_setting('server_version_num') as number,
      current_setting('server_encoding') as encoding`,
  );
  const [{ version = "", number = "0", encoding = "" } = {}] = rows;
  if (Number(number) < OLDEST * 10_000)
    throw new DataRefused(
      `The server of ${serverName(url)} is PostgreSQL ${version}; Kellux needs ${OLDEST} or newer.`,
    );
  if (encoding !== "UTF8")
    throw new DataRefused(
      `The database ${serverName(url)} keeps text in ${encoding}; make one in UTF8: createdb --template=template0 --encoding=UTF8 NAME.`,
    );
}

/** By which words are found. */
async function haveTrigrams(client: pg.Client, url: string): Promise<void> {
  const { rows } = await client.query<{ installed: boolean; available: boolean }>(
    `select exists (select 1 from pg_extension where extname = 'pg_trgm') as installed,
      exists (select 1 from pg_available_extensions where name = 'pg_trgm') as available`,
  );
  const [{ installed = false, available = false } = {}] = rows;
  if (installed) return;
  if (!available)
    throw new DataRefused(
      `The server of ${serverName(url)} lacks the extension pg_trgm, by which words are found. It comes with PostgreSQL's own additions (on Debian: apt install postgresql-contrib).`,
    );
  await client.query("create extension pg_trgm").catch(error => {
    throw failureOf(error).code === NO_RIGHT
      ? new DataRefused(
          `The user of ${serverName(url)} may not add the extension pg_trgm to it. As a superuser, in that database: create extension pg_trgm;`,
        )
      : error;
  });
}

const NO_RIGHT = "42501";

/** The tables, where another user has made them. */
async function refuseWithoutRights(client: pg.Client, url: string): Promise<void> {
  const { rows } = await client.query<{ tables: string | null; name: string }>(
    `select string_agg(tablename, ', ') as tables, current_user as name from pg_tables where schemaname = 'public'
      and not has_table_privilege(format('%I.%I', schemaname, tablename), 'select, insert, update, delete')`,
  );
  const [{ tables = null, name = "" } = {}] = rows;
  if (tables !== null)
    throw new DataRefused(
      `The user ${name} may not read and change all tables of ${serverName(url)} (${tables}). As their owner: grant select, insert, update, delete, truncate on all tables in schema public to ${name};`,
    );
}

/** What each failure to connect, or to make the tables, says to whoever can mend it. */
const REFUSALS: [code: RegExp, sentence: (url: string) => string][] = [
  [/^28/, url => `The server of ${serverName(url)} refuses the user or the password of KELLUX_DATABASE_URL.`],
  [
    /^3D000$/,
    url =>
      `There is no database ${serverName(url)}. Make it: createdb --template=template0 --encoding=UTF8 NAME.`,
  ],
  [
    /^(42501|25006)$/,
    url =>
      `The user of ${serverName(url)} may not make tables there. As the database's owner: grant create on database NAME to USER; grant create on schema public to USER;`,
  ],
];

function refusalOf(error: unknown, url: string): unknown {
  if (error instanceof DataRefused || isAway(error)) return error;
  if (error instanceof NewerDatabase)
    return new DataRefused(
      `The database ${serverName(url)} was kept by a newer Kellux than this one. Nothing was changed; start the newer one.`,
    );
  const { code = "", message } = failureOf(error);
  const known = REFUSALS.find(([pattern]) => pattern.test(code));
  return new DataRefused(
    known ? known[1](url) : `The database ${serverName(url)} cannot be used: ${message}.`,
  );
}
