import { and, eq, inArray, isNull, ne, or, sql } from "drizzle-orm";
import type { EarnedFigures } from "@/exchange/income/earned-figures";
import type { Database } from "./database";
import { dealIncome, dealParts, deals, options, registerLines, signings } from "./schema";

/** What a deal's income follows from, as JSON. */
export type IncomeFrom = {
  /** The inputs of its chosen option, and what the dealer alone knows of that; null where that is nothing. */
  inputs: string;
  known: string | null;
  place: string | null;
};

type IncomeToMake = IncomeFrom & { dealId: string; dealVersion: number };

const COUNTED = ["agreed", "signed"] as const;

/** Agreed and signed deals whose income is to be made: it was never made, or made of another version or by another core. */
export async function incomeToMake(
  database: Database,
  madeBy: string,
  most: number,
): Promise<IncomeToMake[]> {
  return database
    .select({
      dealId: deals.id,
      dealVersion: deals.version,
      inputs: sql<string>`${options.inputs}::text`,
      known: sql<string | null>`(${dealParts.json} -> 'options' -> ${deals.chosen}::text)::text`,
      place: deals.place,
    })
    .from(deals)
    .innerJoin(options, and(eq(options.dealId, deals.id), eq(options.id, deals.chosen)))
    .leftJoin(dealParts, and(eq(dealParts.dealId, deals.id), eq(dealParts.part, "dealer")))
    .leftJoin(dealIncome, eq(dealIncome.dealId, deals.id))
    .where(
      and(
        inArray(deals.status, [...COUNTED]),
        isNull(deals.deletedAt),
        or(
          isNull(dealIncome.dealId),
          ne(dealIncome.dealVersion, deals.version),
          ne(dealIncome.madeBy, madeBy),
        ),
      ),
    )
    .limit(most);
}

export type MadeIncome = { dealId: string; dealVersion: number; figures: EarnedFigures };

/** Keeps what deals earn, each at the version that it was made of. */
export async function keepIncome(
  database: Database,
  made: readonly MadeIncome[],
  madeBy: string,
): Promise<void> {
  if (made.length === 0) return;
  await database
    .insert(dealIncome)
    .values(made.map(each => ({ ...each, madeBy })))
    .onConflictDoUpdate({
      target: dealIncome.dealId,
      set: {
        dealVersion: sql`excluded.deal_version`,
        madeBy: sql`excluded.made_by`,
        figures: sql`excluded.figures`,
      },
    });
}

/** A deal with what it earns. */
export type EarningDeal = {
  id: string;
  customer: string;
  vehicle: string;
  /** When it was signed; null where it is agreed. */
  signedAt: Date | null;
  figures: EarnedFigures;
};

/** Which deals are asked for: signed within some time, agreed, or signed and not paid for by a lender yet. */
type EarningAsked = { signed: { from: Date; until: Date } } | "agreed" | "inTransit" | "chargedBack";

const LARGEST_LIST = 5000;

/** The deals of one of those lists, the first signed first. */
export async function earningDeals(database: Database, asked: EarningAsked): Promise<EarningDeal[]> {
  const which =
    asked === "agreed"
      ? eq(deals.status, "agreed")
      : asked === "inTransit"
        ? sql`${deals.status} = 'signed' and ${dealIncome.figures} -> 'approval' ->> 'isFunded' = 'false'`
        : asked === "chargedBack"
          ? sql`json_array_length(${dealIncome.figures} -> 'chargedBack') > 0`
          : sql`${deals.status} = 'signed' and ${signings.at} >= ${asked.signed.from.toISOString()}::timestamptz and ${signings.at} < ${asked.signed.until.toISOString()}::timestamptz`;
  return database
    .select({
      id: deals.id,
      customer: registerLines.customer,
      vehicle: registerLines.vehicle,
      signedAt: signings.at,
      figures: dealIncome.figures,
    })
    .from(deals)
    .innerJoin(dealIncome, eq(dealIncome.dealId, deals.id))
    .innerJoin(registerLines, eq(registerLines.dealId, deals.id))
    .leftJoin(signings, eq(signings.dealId, deals.id))
    .where(and(isNull(deals.deletedAt), which))
    .orderBy(signings.at, deals.id)
    .limit(LARGEST_LIST);
}

/** Whether the income of some deal is still to be made. */
export const isIncomeMissing = async (database: Database, madeBy: string): Promise<boolean> =>
  (await incomeToMake(database, madeBy, 1)).length > 0;
