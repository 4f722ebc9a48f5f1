import { getTableName, sql } from "drizzle-orm";
import { getTableConfig, type PgTable } from "drizzle-orm/pg-core";
import { type Database, rowsOf } from "./database";
import { DataRefused } from "./refused";
import * as schema from "./schema";
import * as ofPeople from "./schema-people";

/** All tables: what a row names comes before it. */
export const TABLES: readonly PgTable[] = [
  ofPeople.people,
  ofPeople.signIns,
  ofPeople.credentials,
  ofPeople.verifications,
  ofPeople.secondFactors,
  ofPeople.failedSignIns,
  ofPeople.houseSecrets,
  ofPeople.doings,
  schema.settings,
  schema.lenders,
  schema.blobs,
  schema.customers,
  schema.vehicles,
  schema.deals,
  schema.options,
  schema.dealParts,
  schema.dealChanges,
  schema.signings,
  schema.registerLines,
  schema.dealIncome,
  schema.papers,
  schema.dealPeople,
  schema.releases,
  schema.jobs,
];

/** So many rows are read at a time; of what can be large, few. */
const AT_A_TIME = 200;
const LARGE_AT_A_TIME = 4;

/** What was carried: how many rows of each table. */
export type Carried = Record<string, number>;

/**
 * Carries all rows from one database to another that has none, and reads both again: row by row they are the same, or it
 * fails. Both are transactions: the first sees one moment, and what the second does is undone where this fails.
 *
 * @throws DataRefused where a row is not the same afterwards
 */
export async function carry(from: Database, to: Database): Promise<Carried> {
  const carried: Carried = {};
  for (const table of TABLES) carried[getTableName(table)] = await carryTable(from, to, table);
  for (const table of TABLES) await compareTable(from, to, table);
  return carried;
}

/** Whether a database has no row that anybody has made. */
export async function isEmpty(database: Database): Promise<boolean> {
  for (const { table, where } of [
    { table: schema.deals, where: sql`true` },
    { table: schema.vehicles, where: sql`in_stock` },
    { table: schema.settings, where: sql`true` },
    { table: schema.lenders, where: sql`true` },
    { table: ofPeople.people, where: sql`true` },
  ]) {
    const rows = await rowsOf(database, sql`select 1 from ${table} where ${where} limit 1`);
    if (rows.length > 0) return false;
  }
  return true;
}

/** Removes all rows; who reads meanwhile sees them until the transaction is done, and who writes waits for it. */
export async function clear(tx: Database): Promise<void> {
  for (const table of [...TABLES].reverse()) await tx.execute(sql`delete from ${table}`);
}

/** Lets nobody else write until the transaction is done. */
export async function keepOthersFromWriting(tx: Database): Promise<void> {
  const all = sql.join(
    TABLES.map(table => sql`${table}`),
    sql`, `,
  );
  await tx.execute(sql`lock table ${all} in exclusive mode`);
}

async function carryTable(from: Database, to: Database, table: PgTable): Promise<number> {
  let rows = 0;
  for await (const lines of readRows(from, table)) {
    await to.execute(sql`insert into ${table} select row.* from json_array_elements(${`[${lines.join(",")}]`}::json) line,
      json_populate_record(null::${table}, line) row`);
    rows += lines.length;
  }
  return rows;
}

async function compareTable(from: Database, to: Database, table: PgTable): Promise<void> {
  const there = readRows(to, table);
  for await (const lines of readRows(from, table)) {
    const { value = [] } = await there.next();
    const place = lines.findIndex((line, index) => line !== value[index]);
    if (place >= 0 || value.length !== lines.length)
      throw new DataRefused(
        `A row of “${getTableName(table)}” is not the same after it was carried over. Nothing was kept.`,
      );
  }
  const { value: more = [] } = await there.next();
  if (more.length > 0)
    throw new DataRefused(`“${getTableName(table)}” has more rows than were carried over. Nothing was kept.`);
}

/** The rows of a table as JSON, in the order of their keys, which is the same everywhere. */
async function* readRows(database: Database, table: PgTable): AsyncGenerator<string[], undefined> {
  const most = table === schema.blobs ? LARGE_AT_A_TIME : AT_A_TIME;
  const name = sql.identifier(`rows_of_${getTableName(table)}`);
  await database.execute(sql`declare ${name} no scroll cursor for
    select row_to_json(r)::text as row from ${table} r order by ${keyOf(table)}`);
  for (;;) {
    const rows = await rowsOf<{ row: string }>(database, sql`fetch ${sql.raw(String(most))} from ${name}`);
    if (rows.length > 0) yield rows.map(({ row }) => row);
    if (rows.length < most) break;
  }
  await database.execute(sql`close ${name}`);
  return undefined;
}

/** The columns of a table's key, text by its letters' numbers. */
function keyOf(table: PgTable) {
  const { columns, primaryKeys } = getTableConfig(table);
  const key = primaryKeys[0]?.columns ?? columns.filter(column => column.primary);
  const parts = key.map(column => {
    const name = sql`r.${sql.identifier(snake(column.name))}`;
    return column.dataType === "string" && column.columnType === "PgText" ? sql`${name} collate "C"` : name;
  });
  return sql.join(parts, sql`, `);
}

const snake = (name: string) => name.replace(/[A-Z]/g, letter => `_${letter.toLowerCase()}`);
