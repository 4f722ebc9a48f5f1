import { and, eq, notInArray, sql } from "drizzle-orm";
import {
  type DealDocument,
  type DealHeading,
  headingOf,
  isSame,
  NAMED_MEMBERS,
  orderOf,
} from "@/exchange/deal-document";
import type { Database } from "./database";
import { keepTaken } from "./dealer-part";
import type { DealRecord } from "./deals";
import { noteChange } from "./history";
import { keepPart } from "./keep-part";
import type { Merged } from "./merge";
import { keepNamed } from "./names";
import { changeLine } from "./register-lines";
import { deals, options } from "./schema";
import { stockNumberOf } from "./stock-numbers";

/**
 * Keeps a deal as it is after a save, with a note of what the save has changed.
 *
 * @param takes whether what it is about now brings what it cost; not where it is the same under another id
 */
export async function keepMerged(
  tx: Database,
  kept: DealRecord,
  merged: Merged,
  takes = true,
): Promise<DealRecord> {
  const { document, changed } = merged.changed.heading ? await withKeptNames(tx, kept, merged) : merged;
  const { id } = kept;
  const version = kept.version + 1;
  if (changed.options) await keepOptions(tx, id, version, document, changed.options);
  if (changed.order) await keepOrder(tx, id, document);
  if (takes && (changed.options || changed.heading))
    await keepTaken(tx, id, version, kept.document, document);
  if (changed.asides) await keepPart(tx, id, "asides", version, changed.asides);
  const changedAt = new Date();
  await tx
    .update(deals)
    .set({
      ...(changed.heading && {
        ...headingColumns(changed.heading),
        headingVersion: version,
      }),
      ...(changed.order && { chosen: changed.order.chosen, orderVersion: version }),
      version,
      changedAt,
    })
    .where(eq(deals.id, id));
  const line = { dealId: id, dealVersion: version, changedAt };
  const heading = changed.heading && {
    ...changed.heading,
    stockNumber: await stockNumberOf(tx, changed.heading),
  };
  const figuresChange = Boolean(changed.options || changed.order);
  await changeLine(tx, line, heading, figuresChange);
  await noteChange(tx, {
    dealId: id,
    before: kept.document,
    after: document,
    version,
    at: changedAt,
    beforeAt: kept.changedAt,
    figuresChange,
  });
  return {
    ...kept,
    document,
    version,
    changedAt,
    ...(changed.heading && { headingVersion: version }),
    ...(changed.order && { orderVersion: version }),
    ...(changed.asides && { asidesVersion: version }),
    optionVersions: new Map(
      document.options.map(({ id: optionId }) => [
        optionId,
        changed.options?.some(option => option.id === optionId)
          ? version
          : (kept.optionVersions.get(optionId) ?? version),
      ]),
    ),
  };
}

/** Keeps options as they are now, at their places in the deal. */
async function keepOptions(
  tx: Database,
  dealId: string,
  version: number,
  document: DealDocument,
  changed: DealDocument["options"],
): Promise<void> {
  const order = orderOf(document).options;
  for (const { id, name, inputs } of changed) {
    const columns = { name, inputs, version, position: order.indexOf(id) };
    await tx
      .insert(options)
      .values({ id, dealId, ...columns })
      .onConflictDoUpdate({ target: [options.dealId, options.id], set: AS_INSERTED });
  }
}

// So that the inputs, which can be long, go over to the database once.
const AS_INSERTED = {
  name: sql`excluded.name`,
  inputs: sql`excluded.inputs`,
  version: sql`excluded.version`,
  position: sql`excluded.position`,
};

/** Drops the options that are no longer there, and gives the others their places. */
async function keepOrder(tx: Database, dealId: string, document: DealDocument): Promise<void> {
  const order = orderOf(document).options;
  await tx.delete(options).where(and(eq(options.dealId, dealId), notInArray(options.id, order)));
  for (const [position, id] of order.entries()) {
    await tx
      .update(options)
      .set({ position })
      .where(and(eq(options.dealId, dealId), eq(options.id, id)));
  }
}

/** A merged deal whose customer and vehicle are kept: by their own ids, where what was sent is another deal's. */
async function withKeptNames(
  tx: Database,
  { id: dealId, document: before }: DealRecord,
  { document, changed }: Merged,
): Promise<Merged> {
  const others: Partial<DealHeading> = {};
  for (const member of NAMED_MEMBERS) {
    const [named, former] = [document[member], before[member]];
    if (!named || isSame(named, former)) continue;
    const [id] = await keepNamed(tx, member, [named], dealId);
    if (id && id !== named.id) others[member] = { ...named, id };
  }
  if (Object.keys(others).length === 0) return { document, changed };
  const heading = { ...headingOf(document), ...others };
  return { document: { ...document, ...others }, changed: { ...changed, heading } };
}

/** The columns of a deal's heading. */
const headingColumns = ({ status, budget, notes, place, use, customer, vehicle }: DealHeading) => ({
  status,
  budget: budget ?? null,
  notes: notes ?? null,
  place: place ?? null,
  use: use ?? null,
  customerId: customer?.id ?? null,
  vehicleId: vehicle?.id ?? null,
});
