import { type AnyColumn, and, asc, count, desc, eq, like, type SQL, sql } from "drizzle-orm";
import { searchText } from "@/exchange/text";
import type { Database } from "./database";
import { escapedPattern } from "./pattern";
import { registerLines } from "./schema";

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
export type RegisterQuery = {
  /** Words that all stand somewhere in the line; none for every line. */
  search: string;
  sort: RegisterSort;
  descending: boolean;
  /** How many lines come before the first one. */
  skip: number;
  most: number;
};

const SHOWN = {
  id: registerLines.dealId,
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
};

/** Lines of the register, in order, and how many there are in all of what was asked for. */
export async function findLines(database: Database, query: RegisterQuery) {
  const words = searchText(query.search).split(/\s+/).filter(Boolean);
  const lines = words.length > 0 ? await searched(database, words, query) : await listed(database, query);
  const isCounted = words.length > 0 && (lines.length > 0 || query.skip === 0);
  const found = isCounted ? (lines[0]?.found ?? 0) : await countLines(database, words);
  return { lines: lines.map(({ found: _, ...line }) => line), found };
}

/** All lines come in the order of an index, without a look at the others. */
function listed(database: Database, { sort, descending, skip, most }: RegisterQuery) {
  return database
    .select({ ...SHOWN, found: sql<number>`0` })
    .from(registerLines)
    .where(IS_THERE)
    .orderBy(...ordered(SORTS[sort], descending))
    .limit(most)
    .offset(skip);
}

/** Those that hold words are found, counted and sorted in one look over all. */
async function searched(
  database: Database,
  words: readonly string[],
  { sort, descending, skip, most }: RegisterQuery,
) {
  const hits = database.$with("hits").as(
    database
      .select({ dealId: registerLines.dealId, key: sql`${SORTS[sort]}`.as("key") })
      .from(registerLines)
      .where(holding(words)),
  );
  const shown = database.$with("shown").as(
    database
      .select({ dealId: hits.dealId })
      .from(hits)
      .orderBy(...ordered(hits.key, descending, hits.dealId))
      .limit(most)
      .offset(skip),
  );
  return database
    .with(hits, shown)
    .select({ ...SHOWN, found: sql`(select count(*) from ${hits})`.mapWith(Number) })
    .from(shown)
    .innerJoin(registerLines, eq(registerLines.dealId, shown.dealId))
    .orderBy(...ordered(SORTS[sort], descending));
}

async function countLines(database: Database, words: readonly string[]): Promise<number> {
  const [row] = await database.select({ lines: count() }).from(registerLines).where(holding(words));
  return row?.lines ?? 0;
}

const EVERYTHING = sql<string>`(${registerLines.headingText} || ' ' || ${registerLines.figuresText})`;

const IS_THERE = eq(registerLines.deleted, false);

/** Lines that hold each word, upper or lower case, with or without accents and the commas of figures. */
function holding(words: readonly string[]): SQL | undefined {
  return and(IS_THERE, ...words.map(word => like(EVERYTHING, `%${escapedPattern(word)}%`)));
}

/** What has no figure or name comes last either way; equals keep one order, so that no page repeats a line. */
function ordered(
  key: AnyColumn | SQL.Aliased,
  descending: boolean,
  dealId: AnyColumn = registerLines.dealId,
): SQL[] {
  const direction = descending ? desc : asc;
  const canBeNull = !("notNull" in key && key.notNull);
  return [descending && canBeNull ? sql`${desc(key)} nulls last` : direction(key), direction(dealId)];
}
