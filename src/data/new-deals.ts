import { randomUUID } from "node:crypto";
import { type DealDocument, headingOf } from "@/exchange/deal-document";
import type { Dealer } from "@/exchange/dealer";
import type { Database } from "./database";
import { dealersOf } from "./dealer-part";
import { begun } from "./history";
import { insertRows } from "./insert-rows";
import { customersNamed, vehiclesCalled } from "./names";
import { newLine } from "./register-lines";
import { dealChanges, dealParts, deals, options, registerLines, signings } from "./schema";
import type { Signing } from "./signings";

/** A deal to keep; what it is signed with where it is; with which others it arrives, until when it is not seen. */
export type NewDeal = DealDocument & {
  changedAt?: Date;
  signing?: Signing;
  arrival?: string;
  /** What of it the customer never sees. */
  dealer?: Dealer;
};

/** Keeps new deals, all or none, and gives back their ids. */
export async function insertDeals(database: Database, documents: readonly NewDeal[]): Promise<string[]> {
  const now = new Date();
  const ready = documents.map(({ changedAt = now, signing, arrival, dealer, ...document }) => ({
    dealId: randomUUID(),
    changedAt,
    signing,
    arrival,
    dealer,
    document,
  }));
  await database.transaction(async tx => {
    const customers = await customersNamed(
      tx,
      ready.map(({ document }) => document.customer),
    );
    const vehicles = await vehiclesCalled(
      tx,
      ready.map(({ document }) => document.vehicle),
    );
    await insertRows(
      tx,
      deals,
      ready.map(({ dealId, changedAt, arrival, document }) => ({
        id: dealId,
        customerId: customers.get(document.customer) ?? null,
        vehicleId: vehicles.get(document.vehicle) ?? null,
        status: document.status,
        budget: document.budget ?? null,
        notes: document.notes ?? null,
        place: document.place ?? null,
        chosen: document.chosen,
        version: FIRST,
        headingVersion: FIRST,
        orderVersion: FIRST,
        changedAt,
        arrival: arrival ?? null,
        deletedAt: arrival ? now : null,
      })),
    );
    await insertRows(
      tx,
      options,
      ready.flatMap(({ dealId, document }) =>
        document.options.map(({ id, name, inputs }, position) => ({
          id,
          dealId,
          position,
          name,
          inputs,
          version: FIRST,
        })),
      ),
    );
    const dealers = await dealersOf(tx, ready);
    const parts = ready.flatMap(({ dealId, document: { asides = {} } }, index) => [
      { dealId, part: "asides" as const, json: asides, version: FIRST },
      { dealId, part: "dealer" as const, json: dealers[index] ?? {}, version: FIRST },
    ]);
    await insertRows(
      tx,
      dealParts,
      parts.filter(({ json }) => Object.keys(json).length > 0),
    );
    // What arrives is shown once all of it is there.
    const shown = ready.filter(({ arrival }) => arrival === undefined);
    await insertRows(
      tx,
      registerLines,
      shown.map(({ dealId, changedAt, document }) =>
        newLine({ dealId, dealVersion: FIRST, changedAt, heading: headingOf(document) }),
      ),
    );
    await insertRows(
      tx,
      dealChanges,
      ready.map(({ dealId, changedAt }) => begun(dealId, changedAt, FIRST)),
    );
    const signed = ready.flatMap(({ dealId, signing }) => (signing ? [{ dealId, ...signing }] : []));
    await insertRows(tx, signings, signed);
  });
  return ready.map(({ dealId }) => dealId);
}

const FIRST = 1;
