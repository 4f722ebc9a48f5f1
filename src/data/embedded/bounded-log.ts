import { sql } from "drizzle-orm";
import { type Database, rowsOf } from "../database";

/** Two of the pieces that the log is written in: what is left of it afterwards is about as much. */
const LONGEST_BYTES = 32 * 1024 * 1024;

/**
 * Keeps the database's log short. The embedded database has nobody who does it beside the work: it would grow until the
 * database is closed, by a gigabyte for some ten thousand deals.
 *
 * @param checkpoint puts what the log holds into the tables' own files
 * @returns looks how long it is, and shortens it
 */
export function boundedLog(database: Database, checkpoint: () => Promise<void>): () => Promise<void> {
  let from: string | undefined;
  return async () => {
    const [log] = await rowsOf<{ at: string; bytes: number }>(
      database,
      sql`select pg_current_wal_insert_lsn()::text as at,
        pg_wal_lsn_diff(pg_current_wal_insert_lsn(), ${from ?? "0/0"}::pg_lsn)::float8 as bytes`,
    );
    if (!log) return;
    if (from !== undefined && log.bytes > LONGEST_BYTES) await checkpoint();
    if (from === undefined || log.bytes > LONGEST_BYTES) from = log.at;
  };
}
