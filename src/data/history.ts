import { and, desc, eq, gt, sql } from "drizzle-orm";
import {
  type DealDocument,
  type Difference,
  DOCUMENT_VERSION,
  differenceBetween,
  upToDate,
  withDifference,
} from "@/exchange/deal-document";
import { changePhrase, changesInWords } from "@/exchange/option-words";
import type { Database } from "./database";
import { type CHANGE_KINDS, dealChanges } from "./schema";

type ChangeKind = (typeof CHANGE_KINDS)[number];

/** Changes of one figure that follow each other so closely are kept as one, until that one has gone on for long. */
const CLOSE_MS = 60_000;
const LONGEST_MS = 10 * 60_000;
/** How much of what changed is said; the rest is counted. */
const MOST_PHRASES = 6;

/** A deal before and after it was saved. */
export type Saved = {
  dealId: string;
  before: DealDocument;
  after: DealDocument;
  /** The deal's version after it. */
  version: number;
  at: Date;
  /** When the state before it was saved. */
  beforeAt: Date;
  /** Whether the payment may be another one now, and is still to be made. */
  figuresChange: boolean;
};

/** Notes what a save has changed; close on another it becomes one with it. Costs the same however much came before. */
export async function noteChange(tx: Database, saved: Saved): Promise<void> {
  const { dealId, before, after, version, at, figuresChange } = saved;
  const [last] = await tx
    .select()
    .from(dealChanges)
    .where(eq(dealChanges.dealId, dealId))
    .orderBy(desc(dealChanges.number))
    .limit(1);
  if (!last) await tx.insert(dealChanges).values(begun(dealId, saved.beforeAt, version - 1));
  const kind = kindOf(before, after);
  if (
    last &&
    kind === "changed" &&
    isClose(last, at) &&
    isOfSameFigures(last, differenceBetween(after, before))
  ) {
    const earlier = stateBefore(before, last);
    const values = {
      at,
      began: last.began ?? last.at,
      words: wordsOf(earlier, after),
      back: differenceBetween(after, earlier),
    };
    const where = and(eq(dealChanges.dealId, dealId), eq(dealChanges.number, last.number));
    // What was changed back again is no change.
    if (values.back.length === 0) await tx.delete(dealChanges).where(where);
    else
      await tx
        .update(dealChanges)
        .set({ ...values, dealVersion: version, ...(figuresChange && { payment: null }) })
        .where(where);
    return;
  }
  await tx.insert(dealChanges).values({
    dealId,
    number: (last?.number ?? 1) + 1,
    kind,
    at,
    words: wordsOf(before, after),
    documentVersion: DOCUMENT_VERSION,
    back: differenceBetween(after, before),
    dealVersion: version,
    payment: figuresChange ? null : (last?.payment ?? null),
  });
}

/** The first entry of a deal's history. */
export function begun(dealId: string, at: Date, dealVersion: number): typeof dealChanges.$inferInsert {
  return {
    dealId,
    number: 1,
    kind: "begun",
    at,
    words: "",
    documentVersion: DOCUMENT_VERSION,
    dealVersion,
  };
}

type Row = typeof dealChanges.$inferSelect;

const isClose = ({ kind, began, at, documentVersion }: Row, now: Date) =>
  kind === "changed" &&
  documentVersion === DOCUMENT_VERSION &&
  now.getTime() - at.getTime() <= CLOSE_MS &&
  now.getTime() - (began ?? at).getTime() <= LONGEST_MS;

/** Whether a change is of figures that the last one changed already: others have an entry of their own. */
function isOfSameFigures({ back }: Row, change: Difference): boolean {
  if (!Array.isArray(back)) return false;
  const paths = new Set((back as Difference).map(([path]) => path));
  return change.every(([path]) => paths.has(path));
}

function kindOf(before: DealDocument, after: DealDocument): ChangeKind {
  if (before.status === after.status) return "changed";
  if (after.status === "signed") return "signed";
  return before.status === "signed" ? "reopened" : "changed";
}

function wordsOf(before: DealDocument, after: DealDocument): string {
  const phrases = changesInWords(before, after).map(change => changePhrase(change));
  const rest = phrases.length - MOST_PHRASES;
  return [...phrases.slice(0, MOST_PHRASES), ...(rest > 0 ? [`${rest} more`] : [])].join(", ");
}

/** The state before a change, from the one after it. */
function stateBefore(after: DealDocument, { back, documentVersion }: Row): DealDocument {
  if (back === null) return after;
  if (Array.isArray(back)) return withDifference(after, back as Difference);
  return documentVersion === DOCUMENT_VERSION ? back : (upToDate(back) as DealDocument);
}

/** The deals that were changed since they were begun, and the number of the oldest change of each. */
export async function longHistories(database: Database): Promise<{ dealId: string; oldest: number }[]> {
  const { dealId, number } = dealChanges;
  return database
    .select({ dealId, oldest: sql<number>`min(${number})` })
    .from(dealChanges)
    .groupBy(dealId)
    .having(sql`count(*) > 1`);
}

/** One change of a deal, as it is told. */
export type ToldChange = Pick<Row, "number" | "kind" | "at" | "who" | "words" | "payment">;

/** The changes of a deal, the latest first. */
export async function changesOf(database: Database, dealId: string): Promise<ToldChange[]> {
  const { number, kind, at, who, words, payment } = dealChanges;
  return database
    .select({ number, kind, at, who, words, payment })
    .from(dealChanges)
    .where(eq(dealChanges.dealId, dealId))
    .orderBy(desc(dealChanges.number));
}

/**
 * The state of a deal after one of its changes.
 *
 * @param present the deal as it is now
 * @returns undefined where there is no such change
 */
export async function stateAfter(
  database: Database,
  dealId: string,
  present: DealDocument,
  number: number,
): Promise<DealDocument | undefined> {
  const [asked] = await database
    .select({ number: dealChanges.number })
    .from(dealChanges)
    .where(and(eq(dealChanges.dealId, dealId), eq(dealChanges.number, number)));
  if (!asked) return undefined;
  const later = await database
    .select()
    .from(dealChanges)
    .where(and(eq(dealChanges.dealId, dealId), gt(dealChanges.number, number)))
    .orderBy(desc(dealChanges.number));
  return later.reduce(stateBefore, present);
}

/** The payment that a deal has come to at one of its versions, in minor units. */
type MadePayment = { dealId: string; dealVersion: number; payment: number | null };

/** Keeps the payments that the last changes of deals have led to. */
export async function notePayments(tx: Database, made: readonly MadePayment[]): Promise<void> {
  await tx.execute(sql`update deal_changes change set payment = made.payment
    from json_to_recordset(${JSON.stringify(made)}::json) as made ("dealId" uuid, "dealVersion" integer, payment bigint)
    where change.deal_id = made."dealId" and change.deal_version = made."dealVersion"
      and change.number = (select max(number) from deal_changes last where last.deal_id = made."dealId")`);
}
