import { and, desc, eq, isNull } from "drizzle-orm";
import type { Database } from "./database";
import { customers, deals, options, vehicles } from "./schema";

/** What a list shows of an option besides what was typed: kept beside it, with the version of the core that made it. */
export type KeptFigures = {
  currency: string;
  /** Minor units; null where there is no answer. */
  payment: number | null;
  amountFinanced: number | null;
  /** How often it is paid. */
  paid: string;
  /** Why there is no answer. */
  problem: string | null;
};

/** A deal as the register lists it, with the figures of its chosen option, where they were kept. */
export type ListedDeal = Awaited<ReturnType<typeof listRegister>>[number];

/** Every deal that is not deleted, the last changed first. */
export function listRegister(database: Database) {
  return database
    .select({
      id: deals.id,
      customer: customers.name,
      vehicle: vehicles.description,
      status: deals.status,
      changedAt: deals.changedAt,
      figures: options.figures,
      figuresBy: options.figuresBy,
    })
    .from(deals)
    .leftJoin(options, and(eq(options.dealId, deals.id), eq(options.id, deals.chosen)))
    .leftJoin(customers, eq(customers.id, deals.customerId))
    .leftJoin(vehicles, eq(vehicles.id, deals.vehicleId))
    .where(isNull(deals.deletedAt))
    .orderBy(desc(deals.changedAt));
}

/** Figures of an option as they follow from it at a version of its. */
export type MadeFigures = {
  dealId: string;
  optionId: string;
  optionVersion: number;
  figures: KeptFigures;
};

/** Keeps figures beside their options; not beside one that was changed since. */
export async function keepFigures(
  database: Database,
  made: readonly MadeFigures[],
  figuresBy: string,
): Promise<void> {
  await database.transaction(async tx => {
    for (const { dealId, optionId, optionVersion, figures } of made) {
      const isSame = and(
        eq(options.dealId, dealId),
        eq(options.id, optionId),
        eq(options.version, optionVersion),
      );
      await tx.update(options).set({ figures, figuresBy }).where(isSame);
    }
  });
}
