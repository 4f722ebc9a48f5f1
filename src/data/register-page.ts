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

/** Lines of the register, in order. */
export async function registerLinesFor(
  database: Database,
  { search, sort, descending, skip, most }: RegisterQuery,
) {
  const {
    dealId,
    customer,
    vehicle,
    status,
    changedAt,
    currency,
    payment,
    paid,
    amountFinanced,
    problem,
    madeBy,
  } = registerLines;
  return database
    .select({
      id: dealId,
      customer,
      vehicle,
      status,
      changedAt,
      currency,
      payment,
      paid,
      amountFinanced,
      problem,
      madeBy,
    })
    .from(registerLines)
    .where(meant(search))
    .orderBy(...ordered(SORTS[sort], descending))
    .limit(most)
    .offset(skip);
}

/** How many lines hold the words of a search. */
export async function countLines(database: Database, search: string): Promise<number> {
  const [row] = await database.select({ lines: count() }).from(registerLines).where(meant(search));
  return row?.lines ?? 0;
}

const EVERYTHING = sql<string>`(${registerLines.headingText} || ' ' || ${registerLines.figuresText})`;

/** Lines that hold each word, upper or lower case, with or without accents and the commas of figures. */
function meant(search: string): SQL | undefined {
  const words = searchText(search).split(/\s+/).filter(Boolean);
  return and(
    eq(registerLines.deleted, false),
    ...words.map(word => like(EVERYTHING, `%${escapedPattern(word)}%`)),
  );
}

/** What has no figure or name comes last either way; equals keep one order, so that no page repeats a line. */
function ordered(column: AnyColumn, descending: boolean): SQL[] {
  const direction = descending ? desc : asc;
  const nullsLast = descending && !column.notNull ? sql`${desc(column)} nulls last` : direction(column);
  return [nullsLast, direction(registerLines.dealId)];
}
