import { and, desc, eq, gt, isNull, sql } from "drizzle-orm";
import {
  type DealDocument,
  type Difference,
  DOCUMENT_VERSION,
  differenceBetween,
  upToDate,
  withDifference,
  withOwnIds,
} from "@/exchange/deal-document";
import type { Dealer } from "@/exchange/dealer";
import { dealerInWords, optionUpToDate } from "@/exchange/dealer";
import { changePhrase, changesInWords } from "@/exchange/option-words";
import { askedBy } from "./asked-by";
import type { Database } from "./database";
import { type CHANGE_KINDS, dealChanges } from "./schema";

type ChangeKind = (typeof CHANGE_KINDS)[number];

/** Changes of one figure that follow each other so closely are kept as one, until that one has gone on for long. */
const CLOSE_MS = 60_000;
const LONGEST_MS = 10 * 60_000;
/** How much of what changed is said; the rest is counted. */
const MOST_PHRASES = 6;

/** A deal, or a part of it that is told apart, before and after it was saved. */
export type Saved<State> = {
  dealId: string;
  before: State;
  after: State;
  /** The deal's version after it. */
  version: number;
  at: Date;
  /** When the state before it was saved. */
  beforeAt: Date;
  /** Whether the payment may be another one now, and is still to be made. */
  figuresChange: boolean;
};

/** Notes what a save has changed; close on another it becomes one with it. Costs the same however much came before. */
export const noteChange = (tx: Database, saved: Saved<DealDocument>): Promise<void> =>
  note(tx, saved, {
    part: null,
    kind: kindOf(saved.before, saved.after),
    words: (before, after) => wordsOf(changesInWords(before, after).map(change => changePhrase(change))),
  });

/** The same of the dealer's part, which follows from no document and leads to no payment. */
export const noteDealerChange = (
  tx: Database,
  saved: Omit<Saved<Dealer>, "figuresChange">,
  document: DealDocument,
): Promise<void> =>
  note(
    tx,
    { ...saved, figuresChange: false },
    {
      part: "dealer",
      kind: "changed",
      words: (before, after) => wordsOf(dealerInWords(document, before, after)),
    },
  );

/** What is noted of a change besides its two states. */
type Told<State> = {
  part: Row["part"];
  kind: ChangeKind;
  words: (before: State, after: State) => string;
};

async function note<State extends object>(
  tx: Database,
  { dealId, before, after, version, at, beforeAt, figuresChange }: Saved<State>,
  { part, kind, words }: Told<State>,
): Promise<void> {
  const who = askedBy()?.who ?? null;
  const newest = await lastChange(tx, dealId);
  const last = !newest || newest.part === part ? newest : await lastChange(tx, dealId, part);
  if (!newest) await tx.insert(dealChanges).values(begun(dealId, beforeAt, version - 1, null));
  if (
    last &&
    kind === "changed" &&
    last.who === who &&
    isClose(last, at) &&
    isOfSameFigures(last, differenceBetween(after, before))
  ) {
    const earlier = stateBefore(before, last);
    const values = {
      at,
      began: last.began ?? last.at,
      words: words(earlier, after),
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
    number: (newest?.number ?? 1) + 1,
    kind,
    part,
    at,
    who,
    words: words(before, after),
    documentVersion: DOCUMENT_VERSION,
    back: differenceBetween(after, before),
    dealVersion: version,
    payment: figuresChange ? null : (last?.payment ?? null),
  });
}

/** The last change of a deal, of one of its parts where that is said. */
async function lastChange(tx: Database, dealId: string, part?: Row["part"]): Promise<Row | undefined> {
  const ofPart =
    part === undefined ? undefined : part === null ? isNull(dealChanges.part) : eq(dealChanges.part, part);
  const [last] = await tx
    .select()
    .from(dealChanges)
    .where(and(eq(dealChanges.dealId, dealId), ofPart))
    .orderBy(desc(dealChanges.number))
    .limit(1);
  return last;
}

/** The first entry of a deal's history. */
export function begun(
  dealId: string,
  at: Date,
  dealVersion: number,
  who: string | null,
): typeof dealChanges.$inferInsert {
  return {
    dealId,
    number: 1,
    kind: "begun",
    at,
    who,
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

function wordsOf(phrases: readonly string[]): string {
  const rest = phrases.length - MOST_PHRASES;
  return [...phrases.slice(0, MOST_PHRASES), ...(rest > 0 ? [`${rest} more`] : [])].join(", ");
}

/** The state before a change, from the one after it. */
function stateBefore<State extends object>(after: State, { back, documentVersion }: Row): State {
  if (back === null) return after;
  if (Array.isArray(back)) return withDifference(after, back as Difference);
  return (documentVersion === DOCUMENT_VERSION ? back : upToDate(back)) as State;
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
export type ToldChange = Pick<Row, "number" | "kind" | "part" | "at" | "who" | "words" | "payment">;

/** The changes of a deal, the latest first; those of its dealer's part where that is open to who asks. */
export async function changesOf(
  database: Database,
  dealId: string,
  withDealer = false,
): Promise<ToldChange[]> {
  const { number, kind, part, at, who, words, payment } = dealChanges;
  return database
    .select({ number, kind, part, at, who, words, payment })
    .from(dealChanges)
    .where(and(eq(dealChanges.dealId, dealId), withDealer ? undefined : isNull(part)))
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
    .where(and(isOfDeal(dealId), eq(dealChanges.number, number)));
  if (!asked) return undefined;
  const later = await database
    .select()
    .from(dealChanges)
    .where(and(isOfDeal(dealId), gt(dealChanges.number, number)))
    .orderBy(desc(dealChanges.number));
  const written = later.reduce<DealDocument>(stateBefore, present);
  // Before customers and vehicles had ids, their names stood there alone.
  const state = withOwnIds(upToDate(written) as DealDocument, present);
  // What an extra cost the dealer stood with it before there was a dealer's side.
  return { ...state, options: state.options.map(optionUpToDate) };
}

/** What was changed of the deal itself. */
const isOfDeal = (dealId: string) => and(eq(dealChanges.dealId, dealId), isNull(dealChanges.part));

/** The payment that a deal has come to at one of its versions, in minor units. */
type MadePayment = { dealId: string; dealVersion: number; payment: number | null };

/** Keeps the payments that the last changes of deals have led to. */
export async function notePayments(tx: Database, made: readonly MadePayment[]): Promise<void> {
  await tx.execute(sql`update deal_changes change set payment = made.payment
    from json_to_recordset(${JSON.stringify(made)}::json) as made ("dealId" uuid, "dealVersion" integer, payment bigint)
    where change.deal_id = made."dealId" and change.deal_version = made."dealVersion"
      and change.number = (select max(number) from deal_changes last where last.deal_id = made."dealId" and part is null)`);
}
