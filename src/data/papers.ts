import { and, count, desc, eq, isNotNull, lt, sql } from "drizzle-orm";
import { askedBy } from "./asked-by";
import type { Database } from "./database";
import { blobs, papers } from "./schema";

/** A paper that has left the desk, as it is told of. */
export type GivenPaper = {
  id: string;
  kind: string;
  fileName: string;
  at: Date;
  who: string | null;
  /** The option that it is of; null where it is of several. */
  optionId: string | null;
  /** The deal's version that it was made of. */
  dealVersion: number;
  /** When it was removed; null while it is kept. */
  removedAt: Date | null;
};

/** A paper as it is given. */
type PaperToKeep = Omit<GivenPaper, "id" | "who" | "removedAt"> & {
  dealId: string;
  coreVersion: string;
  sha256: string;
  bytes: Uint8Array;
};

/** Keeps bytes under their digest, once. */
export async function keepBlob(database: Database, sha256: string, bytes: Uint8Array): Promise<void> {
  await database.insert(blobs).values({ sha256, bytes }).onConflictDoNothing();
}

/** The bytes of a digest; undefined where there are none. */
export async function blobOf(database: Database, sha256: string): Promise<Uint8Array | undefined> {
  const [row] = await database.select({ bytes: blobs.bytes }).from(blobs).where(eq(blobs.sha256, sha256));
  return row?.bytes;
}

/** Keeps a paper that is given, whole; one that was given before is the same. */
export async function keepGivenPaper(database: Database, { bytes, ...paper }: PaperToKeep): Promise<void> {
  await database.transaction(async tx => {
    await keepBlob(tx, paper.sha256, bytes);
    await tx
      .insert(papers)
      .values({ ...paper, who: askedBy()?.who ?? null })
      .onConflictDoNothing();
  });
}

const TOLD = {
  id: papers.id,
  kind: papers.kind,
  fileName: papers.fileName,
  at: papers.at,
  who: papers.who,
  optionId: papers.optionId,
  dealVersion: papers.dealVersion,
  removedAt: papers.removedAt,
};

/** The papers that were given of a deal, the latest first. */
export const givenPapers = async (database: Database, dealId: string): Promise<GivenPaper[]> =>
  database
    .select(TOLD)
    .from(papers)
    .where(eq(papers.dealId, dealId))
    .orderBy(desc(papers.at), desc(papers.id));

/** One of them with its bytes, which are not there once it was removed; undefined where there is none. */
export async function givenPaper(
  database: Database,
  dealId: string,
  id: string,
): Promise<(GivenPaper & { bytes: Uint8Array | null }) | undefined> {
  const [paper] = await database
    .select({ ...TOLD, bytes: blobs.bytes })
    .from(papers)
    .leftJoin(blobs, eq(blobs.sha256, papers.sha256))
    .where(and(eq(papers.dealId, dealId), eq(papers.id, id)));
  return paper;
}

/**
 * Removes the bytes of papers that were given before a day; that they were given stays. Bytes that nothing names any more go
 * with them.
 *
 * @returns how many papers were removed
 */
export async function removeOldPapers(database: Database, before: Date): Promise<number> {
  return database.transaction(async tx => {
    const removed = await tx
      .update(papers)
      .set({ sha256: null, removedAt: new Date() })
      .where(and(isNotNull(papers.sha256), lt(papers.at, before)))
      .returning({ id: papers.id });
    await tx.execute(sql`delete from blobs where sha256 not in
      (select sha256 from papers where sha256 is not null
       union all select coalesce(file->'papers'->'logo'->>'sha256', '') from settings)`);
    return removed.length;
  });
}

/** How many blobs are not what their digests say. */
export async function changedBlobs(database: Database): Promise<number> {
  const [row] = await database
    .select({ changed: count() })
    .from(blobs)
    .where(sql`encode(sha256(${blobs.bytes}), 'hex') <> ${blobs.sha256}`);
  return row?.changed ?? 0;
}
