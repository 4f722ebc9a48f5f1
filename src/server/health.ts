import { sql } from "drizzle-orm";
import { CORE_VERSION } from "@/core";
import type { Database } from "@/data/database";

/** That the server answers, and its database with it. */
export type Health = { database: "answers"; core: string };

/** Asks the database; fails where it does not answer. */
export async function health(database: Database): Promise<Health> {
  await database.execute(sql`select 1`);
  return { database: "answers", core: CORE_VERSION };
}
