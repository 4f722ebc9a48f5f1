import { existsSync, readFileSync } from "node:fs";
import { type SQL, sql } from "drizzle-orm";
import { type Database, rowsOf } from "../database";
import { failureOf } from "../failure";
import { FolderRefused } from "../folder/refused";
import { writeWhole } from "../folder/sync";
import { damaged, lastStopPath } from "./state";

/** How many rows a table holds, and a sum over all that is in them, in whatever order. */
export type Tally = { rows: number; check: string };

/** What was kept when the database was last closed in good order. */
export type LastStop = {
  /** The number of the next transaction that writes: where it is the same, nothing was written since. */
  nextTransaction: string;
  /** Deals never go, but those that were cut off as they arrived. */
  deals: number;
  tables: Record<string, Tally>;
};

/** What the last stop has noted; undefined where there was none, as after a kill of a first run. */
export function lastStop(folder: string): LastStop | undefined {
  if (!existsSync(lastStopPath(folder))) return undefined;
  try {
    return JSON.parse(readFileSync(lastStopPath(folder), "utf8")) as LastStop;
  } catch {
    return undefined;
  }
}

/** Notes what is kept, for the next start to compare. */
export async function noteStop(database: Database, folder: string): Promise<void> {
  const tables: LastStop["tables"] = {};
  for (const table of await tableNames(database)) tables[table] = await tallyOf(database, table);
  const noted: LastStop = {
    nextTransaction: await nextTransaction(database),
    deals: await dealCount(database),
    tables,
  };
  writeWhole(lastStopPath(folder), `${JSON.stringify(noted)}\n`);
}

/**
 * Sees that each table can be read and that nothing of it was lost since the last stop.
 *
 * @throws FolderRefused with what is missing
 */
export async function refuseLoss(database: Database, folder: string): Promise<void> {
  const noted = lastStop(folder);
  try {
    const loss = (await lostTransactions(database)) ?? (noted && (await lostRows(database, noted)));
    if (loss) throw damaged(folder, loss);
  } catch (error) {
    throw error instanceof FolderRefused ? error : damaged(folder, failureOf(error).message);
  }
}

async function lostRows(database: Database, noted: LastStop): Promise<string | undefined> {
  const isUntouched = (await nextTransaction(database)) === noted.nextTransaction;
  const found: Record<string, number> = {};
  for (const table of Object.keys(noted.tables))
    found[table] = await countOf(database, sql`${sql.identifier(table)}`);
  const all = isUntouched ? Object.entries(noted.tables) : [];
  const lost = all.find(([table, { rows }]) => found[table] !== rows);
  if (lost) return missing(lost[0], found[lost[0]] ?? 0, lost[1].rows);
  const deals = await dealCount(database);
  return deals < noted.deals ? missing("deals", deals, noted.deals) : undefined;
}

const missing = (table: string, there: number, kept: number) =>
  `${there} rows of “${table}” are there, and ${kept} were kept`;

const FIRST_TRANSACTIONS = 16;

/** What the first transactions did made the tables: where none of them counts, the database has forgotten which do. */
async function lostTransactions(database: Database): Promise<string | undefined> {
  const [counted] = await rowsOf(
    database,
    sql`select count(status)::int as known, count(*) filter (where status = 'committed')::int as committed
      from (select pg_xact_status((oldest_xid::text::bigint + place)::text::xid8) as status
        from pg_control_checkpoint(), generate_series(0, ${FIRST_TRANSACTIONS - 1}::int) place
        where oldest_xid::text::bigint + place < pg_snapshot_xmax(pg_current_snapshot())::text::bigint) first`,
  );
  const { known, committed } = counted as { known: number; committed: number };
  return known === FIRST_TRANSACTIONS && committed === 0
    ? "it has forgotten which of its transactions were done"
    : undefined;
}

/** A part of a table: what it comes to, and whether anything was written by then. */
export type TallyPart = Tally & { isLast: boolean; nextTransaction: string };

/** Reads some blocks of a table, all of what is in them. */
export async function tallyPart(
  database: Database,
  table: string,
  from: number,
  blocks: number,
): Promise<TallyPart> {
  const within = sql`where ctid >= ${`(${from},0)`}::tid and ctid < ${`(${from + blocks},0)`}::tid`;
  const tally = await tallyOf(database, table, within);
  const [size] = await rowsOf(database, sql`select pg_relation_size(${table}::regclass) / 8192 as blocks`);
  return {
    ...tally,
    isLast: from + blocks >= Number(size?.blocks),
    nextTransaction: await nextTransaction(database),
  };
}

async function tallyOf(database: Database, table: string, within: SQL = sql``): Promise<Tally> {
  const [row] = await rowsOf(
    database,
    sql`select count(*)::int as rows, coalesce(sum(hashtextextended(line::text, 0)::numeric), 0)::text as check
      from ${sql.identifier(table)} line ${within}`,
  );
  return row as Tally;
}

const dealCount = (database: Database) => countOf(database, sql`deals where arrival is null`);

async function countOf(database: Database, from: SQL): Promise<number> {
  const [row] = await rowsOf(database, sql`select count(*)::int as count from ${from}`);
  return Number(row?.count);
}

async function nextTransaction(database: Database): Promise<string> {
  const [row] = await rowsOf(database, sql`select pg_snapshot_xmax(pg_current_snapshot())::text as next`);
  return String(row?.next);
}

/** The tables that hold what is kept. */
export async function tableNames(database: Database): Promise<string[]> {
  const rows = await rowsOf(
    database,
    sql`select tablename as name from pg_tables where schemaname = 'public' order by 1`,
  );
  return rows.map(({ name }) => String(name));
}
