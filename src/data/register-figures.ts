import { and, desc, eq, inArray, isNotNull, isNull, ne, sql } from "drizzle-orm";
import type { RegisterKind } from "@/exchange/option-words";
import type { Database } from "./database";
import { notePayments } from "./history";
import { deals, options, registerLines, signings } from "./schema";

/** What the register shows of a deal besides its heading. It follows from the chosen option. */
export type KeptFigures = {
  currency: string;
  /** Minor units; null where there is no answer. */
  payment: number | null;
  amountFinanced: number | null;
  /** How often it is paid. */
  paid: string;
  /** Why there is no answer. */
  problem: string | null;
  /** What kind of plan it is; null where it cannot be told. */
  planKind: RegisterKind | null;
  /** What it is called where it has no name of its own. */
  chosenName: string;
};

/** Figures of a deal as they follow from it at one of its versions, and what a search finds them by. */
export type MadeFigures = {
  dealId: string;
  dealVersion: number;
  optionCount: number;
  figures: KeptFigures;
  figuresText: string;
};

/** Keeps figures in the register; not those of a deal that was changed since. By one statement each, for there can be many. */
export async function keepFigures(
  database: Database,
  made: readonly MadeFigures[],
  madeBy: string,
): Promise<void> {
  const rows = made.map(({ figures, ...deal }) => ({ ...deal, ...figures }));
  await database.transaction(async tx => {
    await tx.execute(sql`update register_lines line set
        currency = made.currency, payment = made.payment, amount_financed = made."amountFinanced", paid = made.paid,
        problem = made.problem, plan_kind = made."planKind", chosen_name = made."chosenName",
        option_count = made."optionCount", figures_text = made."figuresText", made_by = ${madeBy}
      from json_to_recordset(${JSON.stringify(rows)}::json) as made ("dealId" uuid, "dealVersion" integer,
        currency text, payment bigint, "amountFinanced" bigint, paid text, problem text, "planKind" text,
        "chosenName" text, "optionCount" integer, "figuresText" text)
      where line.deal_id = made."dealId" and line.deal_version = made."dealVersion"`);
    await notePayments(
      tx,
      made.map(({ dealId, dealVersion, figures: { payment } }) => ({ dealId, dealVersion, payment })),
    );
  });
}

/** What the figures of a deal follow from, as JSON. */
export type FiguresFrom = {
  /** The inputs of its chosen option. */
  inputs: string;
  /** What that was signed with, where the deal is signed. */
  signed: string | null;
};

/** A deal whose figures are to be made, at its version. */
type ToMake = FiguresFrom & {
  dealId: string;
  dealVersion: number;
  /** Empty where it has no name of its own. */
  name: string;
  optionCount: number;
};

/** Deals whose figures are to be made, the last changed first. */
export async function dealsToMake(database: Database, most: number): Promise<ToMake[]> {
  const first = database
    .select({ id: registerLines.dealId })
    .from(registerLines)
    .where(isNull(registerLines.madeBy))
    .orderBy(desc(registerLines.changedAt))
    .limit(most);
  return database
    .select({
      dealId: registerLines.dealId,
      dealVersion: registerLines.dealVersion,
      inputs: sql<string>`${options.inputs}::text`,
      signed: sql<
        string | null
      >`(select quote::text from ${signings}, json_array_elements(${signings.quotes}) quote
        where ${signings.dealId} = ${deals.id} and ${deals.status} = 'signed'
          and quote ->> 'optionId' = ${deals.chosen}::text limit 1)`,
      name: options.name,
      optionCount: sql<number>`(select count(*)::int from ${options} other where other.deal_id = ${deals.id})`,
    })
    .from(registerLines)
    .innerJoin(deals, eq(deals.id, registerLines.dealId))
    .innerJoin(options, and(eq(options.dealId, deals.id), eq(options.id, deals.chosen)))
    .where(inArray(registerLines.dealId, first))
    .orderBy(desc(registerLines.changedAt));
}

/**
 * Has some of the figures made again that another version of the core made; a signed deal keeps those it was signed with.
 * Gives back of how many deals; 0 once there are none.
 */
export async function forgetFiguresOfOthers(
  database: Database,
  madeBy: string,
  most: number,
): Promise<number> {
  const some = database
    .select({ dealId: registerLines.dealId })
    .from(registerLines)
    .where(
      and(
        isNotNull(registerLines.madeBy),
        ne(registerLines.madeBy, madeBy),
        ne(registerLines.status, "signed"),
      ),
    )
    .limit(most);
  const forgotten = await database
    .update(registerLines)
    .set({ madeBy: null })
    .where(inArray(registerLines.dealId, some))
    .returning({ dealId: registerLines.dealId });
  return forgotten.length;
}
