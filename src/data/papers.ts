import { count, sql } from "drizzle-orm";
import type { Database } from "./database";
import { blobs } from "./schema";

/** How many blobs are not what their digests say. */
export async function changedBlobs(database: Database): Promise<number> {
  const [row] = await database
    .select({ changed: count() })
    .from(blobs)
    .where(sql`encode(sha256(${blobs.bytes}), 'hex') <> ${blobs.sha256}`);
  return row?.changed ?? 0;
}
