import { and, eq, inArray, isNotNull, lt, sql } from "drizzle-orm";
import { headingOf } from "@/exchange/deal-document";
import { FEWEST_MONTHS_KEPT } from "@/exchange/settings";
import type { Database } from "./database";
import { getDeal } from "./deals";
import { changeLine } from "./register-lines";
import { customers, dealChanges, deals, papers, signings } from "./schema";
import { stockNumberOf } from "./stock-numbers";

/** What came of it: how many deals name nobody any more, and how many papers the law still keeps. */
export type Erased = { deals: number; papersKept: number };

const ERASED = "Erased customer";
const WORDS_ERASED = "what was changed is erased";

/**
 * Blanks a customer: the name in every deal, signed ones too, notes, and what histories said of both. Figures stay, and so do
 * given papers for as long as the law keeps them.
 *
 * @returns undefined where there is no such customer
 */
export async function eraseCustomer(database: Database, id: string): Promise<Erased | undefined> {
  return database.transaction(async tx => {
    // A save holds its deal first, and then what that names: in that order here, too.
    const named = await tx
      .select({ id: deals.id })
      .from(deals)
      .where(eq(deals.customerId, id))
      .orderBy(deals.id)
      .for("update");
    const erased = await tx
      .update(customers)
      .set({ name: ERASED })
      .where(eq(customers.id, id))
      .returning({ id: customers.id });
    if (erased.length === 0) return undefined;
    const ids = named.map(deal => deal.id);
    if (ids.length === 0) return { deals: 0, papersKept: 0 };
    await tx.update(signings).set({ customer: ERASED }).where(inArray(signings.dealId, ids));
    await tx
      .update(deals)
      .set({ notes: null, version: sql`${deals.version} + 1`, headingVersion: sql`${deals.version} + 1` })
      .where(inArray(deals.id, ids));
    for (const dealId of ids) {
      await blankHistory(tx, dealId);
      await blankLine(tx, dealId);
    }
    return { deals: ids.length, papersKept: await blankPapers(tx, ids) };
  });
}

/** What a history said of who it is for; what figures were before stays. */
async function blankHistory(tx: Database, dealId: string): Promise<void> {
  const changes = await tx.select().from(dealChanges).where(eq(dealChanges.dealId, dealId));
  for (const { number, words, back } of changes) {
    await tx
      .update(dealChanges)
      .set({ words: words === "" ? "" : WORDS_ERASED, back: withoutTexts(back) })
      .where(and(eq(dealChanges.dealId, dealId), eq(dealChanges.number, number)));
  }
}

type Back = (typeof dealChanges.$inferSelect)["back"];

/** The members of a deal that hold what a customer is called, or what was written of them. */
const TEXTS = ["customer", "notes"];

function withoutTexts(back: Back): Back {
  if (Array.isArray(back)) return back.filter(([path]) => !TEXTS.includes(path.split("/")[0] ?? ""));
  if (back === null) return back;
  const { customer: _customer, notes: _notes, ...others } = back as Record<string, unknown>;
  return others as Back;
}

async function blankLine(tx: Database, dealId: string): Promise<void> {
  const deal = await getDeal(tx, dealId);
  if (!deal) return;
  const heading = headingOf(deal.document);
  const line = { dealId, dealVersion: deal.version, changedAt: deal.changedAt };
  const stockNumber = await stockNumberOf(tx, heading);
  await changeLine(tx, line, { ...heading, stockNumber }, false);
}

/** Papers that the law does not keep any more go; the others lose the name of their file. */
async function blankPapers(tx: Database, ids: readonly string[]): Promise<number> {
  const before = new Date();
  before.setUTCMonth(before.getUTCMonth() - FEWEST_MONTHS_KEPT);
  const ofDeals = inArray(papers.dealId, [...ids]);
  await tx.update(papers).set({ fileName: "Paper" }).where(ofDeals);
  await tx
    .update(papers)
    .set({ sha256: null, removedAt: new Date() })
    .where(and(ofDeals, lt(papers.at, before), isNotNull(papers.sha256)));
  const kept = await tx
    .select({ id: papers.id })
    .from(papers)
    .where(and(ofDeals, isNotNull(papers.sha256)));
  return kept.length;
}
