import { type AnyColumn, and, asc, count, desc, eq, gte, like, lt, type SQL, sql } from "drizzle-orm";
import type { DealStatus } from "@/exchange/deal-document";
import type { RegisterKind } from "@/exchange/option-words";
import type { SeenBy } from "@/exchange/people";
import { searchText } from "@/exchange/text";
import type { Database } from "./database";
import { isSeenBy } from "./deal-people";
import { escapedPattern } from "./pattern";
import { deals, registerLines } from "./schema";

/** What the register can be sorted by. */
const SORTS = {
  customer: registerLines.customerKey,
  vehicle: registerLines.vehicleKey,
  payment: registerLines.payment,
  amountFinanced: registerLines.amountFinanced,
  status: registerLines.status,
  changedAt: registerLines.changedAt,
};

export type RegisterSort = keyof typeof SORTS;

export const REGISTER_SORTS = Object.keys(SORTS) as RegisterSort[];

/** Which lines of the register are asked for. */
type RegisterQuery = {
  /** Words that all stand somewhere in the line; none for every line. */
  search: string;
  /** How far they are, and what kind of plan they have; all where it is left out. */
  status?: DealStatus | null;
  planKind?: RegisterKind | null;
  /** When they were last changed, from one instant until another; at any time where it is left out. */
  changed?: { from: Date | null; until: Date | null };
  /** Whether the deleted ones are meant, and not those that are there. */
  deleted?: boolean;
  /** Who looks, where that is somebody: nothing is found that they do not see. */
  seenBy?: SeenBy;
  /** Whose deals are meant, and of which branch; all where it is left out. */
  owner?: string | null;
  branch?: string | null;
  sort: RegisterSort;
  descending: boolean;
  /** How many lines come before the first one. */
  skip: number;
  most: number;
};

const SHOWN = {
  id: registerLines.dealId,
  version: registerLines.dealVersion,
  customer: registerLines.customer,
  vehicle: registerLines.vehicle,
  status: registerLines.status,
  changedAt: registerLines.changedAt,
  currency: registerLines.currency,
  payment: registerLines.payment,
  paid: registerLines.paid,
  amountFinanced: registerLines.amountFinanced,
  problem: registerLines.problem,
  madeBy: registerLines.madeBy,
  chosenName: registerLines.chosenName,
  optionCount: registerLines.optionCount,
};

/** So many are found by a search; whoever finds more has to say more of what is meant. */
const MOST_FOUND = 200;

/**
 * Lines of the register, in order, and how many there are in all of what was asked for: of a search no more than
 * {@link MOST_FOUND} are counted, so that it ends early where words stand in very many lines.
 */
export async function findLines(database: Database, query: RegisterQuery) {
  const words = searchText(query.search).split(/\s+/).filter(Boolean);
  const isMeant = filtered(query);
  if (words.length === 0) {
    const found = await countLines(database, isMeant);
    return { lines: await linesWhere(database, isMeant, query), found, isMore: false };
  }
  const hits = await database
    .select({ id: registerLines.dealId })
    .from(registerLines)
    .where(and(isMeant, holding(words)))
    .limit(MOST_FOUND + 1);
  const isMore = hits.length > MOST_FOUND;
  // Few are sorted by themselves; many are met soon enough in the order that is asked for.
  const where = isMore ? and(isMeant, holdingOften(words)) : among(hits.map(({ id }) => id));
  const lines = hits.length > 0 ? await linesWhere(database, where, query) : [];
  return { lines, found: Math.min(hits.length, MOST_FOUND), isMore };
}

const among = (ids: string[]) => sql`${registerLines.dealId} = any(${`{${ids.join(",")}}`}::uuid[])`;

function linesWhere(
  database: Database,
  where: SQL | undefined,
  { sort, descending, skip, most }: RegisterQuery,
) {
  return database
    .select(SHOWN)
    .from(registerLines)
    .where(where)
    .orderBy(...ordered(SORTS[sort], descending))
    .limit(most)
    .offset(skip);
}

async function countLines(database: Database, where: SQL | undefined): Promise<number> {
  const [row] = await database.select({ lines: count() }).from(registerLines).where(where);
  return row?.lines ?? 0;
}

// As the index on it has it.
const EVERYTHING = sql<string>`(${registerLines.headingText} || ' ' || ${registerLines.figuresText})`;

const IS_THERE = eq(registerLines.deleted, false);

/** Deals that are still arriving are not there yet; they are not deleted either. */
const IS_DELETED = and(
  eq(registerLines.deleted, true),
  sql`exists (select 1 from ${deals} where ${deals.id} = ${registerLines.dealId} and ${deals.arrival} is null)`,
);

/** Lines of deals that are as far, of the kind, and changed when it is asked for. */
function filtered({
  status,
  planKind,
  changed,
  deleted = false,
  seenBy,
  owner,
  branch,
}: RegisterQuery): SQL | undefined {
  const ofPeople = and(
    isSeenBy(seenBy),
    owner ? eq(deals.ownerId, owner) : undefined,
    branch ? eq(deals.branch, branch) : undefined,
  );
  return and(
    ofPeople &&
      sql`exists (select 1 from ${deals} where ${deals.id} = ${registerLines.dealId} and ${ofPeople})`,
    deleted ? IS_DELETED : IS_THERE,
    changed?.from ? gte(registerLines.changedAt, changed.from) : undefined,
    changed?.until ? lt(registerLines.changedAt, changed.until) : undefined,
    status ? eq(registerLines.status, status) : undefined,
    planKind ? eq(registerLines.planKind, planKind) : undefined,
  );
}

/** Lines that hold each word, upper or lower case, with or without accents and the commas of figures. */
function holding(words: readonly string[]): SQL | undefined {
  return and(...words.map(word => like(EVERYTHING, `%${escapedPattern(word)}%`)));
}

/**
 * The same, asked in a way of which the planner expects many: it then walks the lines in their order until it has a page,
 * where it would else look through all of them and sort.
 */
function holdingOften(words: readonly string[]): SQL | undefined {
  return and(...words.map(word => sql`strpos(${EVERYTHING}, ${word}) > 0`));
}

/** What has no figure or name comes last either way; equals keep one order, so that no page repeats a line. */
function ordered(column: AnyColumn, descending: boolean): SQL[] {
  const direction = descending ? desc : asc;
  const nullsLast = descending && !column.notNull ? sql`${desc(column)} nulls last` : direction(column);
  return [nullsLast, direction(registerLines.dealId)];
}
