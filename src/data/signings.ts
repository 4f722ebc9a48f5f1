import { and, eq, isNull } from "drizzle-orm";
import { readSignedQuotes, type SignedQuote } from "@/exchange/signed-quote";
import type { Database } from "./database";
import { namesNow, signedNames } from "./names";
import { deals, signings } from "./schema";

/** The quotes of a deal as it was signed, with the version of the core that made them. */
export type Signing = { at: Date; coreVersion: string; isLate: boolean; quotes: SignedQuote[] };

/** What a deal was signed with; undefined where it is not signed, or its quotes are still to be kept. */
export async function getSigning(database: Database, dealId: string): Promise<Signing | undefined> {
  const signing = await storedSigning(database, dealId);
  return signing && { ...signing, quotes: readSignedQuotes(signing.quotes) };
}

/** The same as it is kept, of whatever form. */
export async function storedSigning(
  database: Database,
  dealId: string,
): Promise<(Omit<Signing, "quotes"> & { quotes: unknown[] }) | undefined> {
  const { at, coreVersion, isLate, quotes } = signings;
  const [signing] = await database
    .select({ at, coreVersion, isLate, quotes })
    .from(signings)
    .innerJoin(deals, and(eq(deals.id, signings.dealId), eq(deals.status, "signed")))
    .where(eq(signings.dealId, dealId));
  return signing;
}

/** The ids of all deals that were ever signed. */
export async function signedDeals(database: Database): Promise<string[]> {
  const rows = await database.select({ id: signings.dealId }).from(signings);
  return rows.map(({ id }) => id);
}

/** Keeps what a deal is signed with, over what it was signed with before it was reopened. */
export async function keepSigning(tx: Database, dealId: string, signing: Signing): Promise<void> {
  const names = signedNames(await namesNow(tx, dealId));
  await tx
    .insert(signings)
    .values({ dealId, ...signing, ...names })
    .onConflictDoUpdate({ target: signings.dealId, set: { ...signing, ...names } });
}

/** The ids of signed deals whose quotes are not kept yet. */
export async function signedWithoutQuotes(database: Database, most: number): Promise<string[]> {
  const rows = await database
    .select({ id: deals.id })
    .from(deals)
    .leftJoin(signings, eq(signings.dealId, deals.id))
    .where(and(eq(deals.status, "signed"), isNull(signings.dealId)))
    .limit(most);
  return rows.map(({ id }) => id);
}

/** Keeps the quotes of a deal that had been signed before, unless it was changed or signed anew since. */
export async function keepLateSigning(
  database: Database,
  dealId: string,
  version: number,
  signing: Signing,
): Promise<void> {
  await database.transaction(async tx => {
    const [deal] = await tx
      .select({ version: deals.version, status: deals.status })
      .from(deals)
      .where(eq(deals.id, dealId))
      .for("update");
    if (deal?.version !== version || deal.status !== "signed") return;
    await tx
      .insert(signings)
      .values({ dealId, ...signing, ...signedNames(await namesNow(tx, dealId)) })
      .onConflictDoNothing();
  });
}
