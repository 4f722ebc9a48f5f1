import { and, desc, eq } from "drizzle-orm";
import type { ReleaseKind } from "@/exchange/people";
import { askedBy } from "./asked-by";
import type { Database } from "./database";
import { deals, releases } from "./schema";

/** What a manager has released of a deal. */
export type Release = Omit<typeof releases.$inferSelect, "dealId">;

/**
 * Keeps that a manager has released something of a deal, as it is at a version.
 *
 * @returns undefined where there is no such deal; "changed" where it is at another version
 */
export async function keepRelease(
  database: Database,
  dealId: string,
  version: number,
  { kind, detail, reason }: { kind: ReleaseKind; detail: string; reason: string },
): Promise<Release | "changed" | undefined> {
  const by = askedBy();
  if (!by) return undefined;
  return database.transaction(async tx => {
    const [deal] = await tx
      .select({ version: deals.version })
      .from(deals)
      .where(eq(deals.id, dealId))
      .for("share");
    if (!deal) return undefined;
    if (deal.version !== version) return "changed";
    const [kept] = await tx
      .insert(releases)
      .values({ dealId, kind, detail, reason, dealVersion: version, who: by.who })
      .returning();
    return kept;
  });
}

/** What was released of a deal, the latest first. */
export async function releasesOf(database: Database, dealId: string, kind?: ReleaseKind): Promise<Release[]> {
  const rows = await database
    .select()
    .from(releases)
    .where(and(eq(releases.dealId, dealId), kind && eq(releases.kind, kind)))
    .orderBy(desc(releases.at), desc(releases.id));
  return rows.map(({ dealId: _, ...release }) => release);
}
