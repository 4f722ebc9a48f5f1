import { getTableColumns, type InferInsertModel, type SQL, sql } from "drizzle-orm";
import { toSnakeCase } from "drizzle-orm/casing";
import type { PgTable } from "drizzle-orm/pg-core";
import type { Database } from "./database";

/**
 * Puts many rows into a table by one statement, which takes them as one text: a statement for each row, or a parameter
 * for each of its values, takes the embedded database some ten times as long.
 *
 * @param rows each with the same columns, which others are left to what the table says
 * @param conflict what is done with rows that are there already
 */
export async function insertRows<Table extends PgTable>(
  tx: Database,
  table: Table,
  rows: readonly InferInsertModel<Table>[],
  conflict: SQL = sql``,
): Promise<void> {
  const [first] = rows;
  if (!first) return;
  const names = Object.keys(first).filter(name => name in getTableColumns(table));
  const columns = sql.join(
    names.map(name => sql.identifier(toSnakeCase(name))),
    sql`, `,
  );
  const lines = rows.map(row =>
    Object.fromEntries(names.map(name => [toSnakeCase(name), (row as Record<string, unknown>)[name]])),
  );
  await tx.execute(sql`insert into ${table} (${columns})
    select ${columns} from json_populate_recordset(null::${table}, ${JSON.stringify(lines)}::json) ${conflict}`);
}
