import { sql } from "drizzle-orm";
import type { Database } from "./database";

/** The stock is changed by one at a time: what a list brings is matched with all that is there. */
export const changesStock = (tx: Database) =>
  tx.execute(sql`select pg_advisory_xact_lock(hashtext('kellux'), hashtext('stock'))`);
