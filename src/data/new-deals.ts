import { randomUUID } from "node:crypto";
import { type DealDocument, headingOf, type Named, withOwnIds } from "@/exchange/deal-document";
import type { Dealer } from "@/exchange/dealer";
import { askedBy } from "./asked-by";
import type { Database } from "./database";
import { dealersOf } from "./dealer-part";
import { begun } from "./history";
import { insertRows } from "./insert-rows";
import { keepNamed, signedNames } from "./names";
import { newLine } from "./register-lines";
import { dealChanges, dealParts, deals, options, registerLines, signings } from "./schema";
import type { Signing } from "./signings";
import { giveNumbers, stockNumbersOf, vehiclesNumbered } from "./stock-numbers";

/** A deal to keep; what it is signed with where it is; with which others it arrives, until when it is not seen. */
export type NewDeal = DealDocument & {
  changedAt?: Date;
  signing?: Signing;
  arrival?: string;
  /** What of it the customer never sees. */
  dealer?: Dealer;
  /** The stock number of its vehicle, where a file names that. */
  stockNumber?: string;
};

/** Keeps new deals, all or none, and gives back their ids. */
export async function insertDeals(database: Database, documents: readonly NewDeal[]): Promise<string[]> {
  const now = new Date();
  const by = askedBy();
  const sent = documents.map(({ changedAt = now, signing, arrival, dealer, stockNumber, ...document }) => ({
    dealId: randomUUID(),
    changedAt,
    signing,
    arrival,
    dealer,
    stockNumber,
    document: withOwnIds(document),
  }));
  await database.transaction(async tx => {
    const ready = await withKeptNames(tx, sent);
    await insertRows(
      tx,
      deals,
      ready.map(({ dealId, changedAt, arrival, document }) => ({
        id: dealId,
        customerId: document.customer?.id ?? null,
        vehicleId: document.vehicle?.id ?? null,
        status: document.status,
        budget: document.budget ?? null,
        notes: document.notes ?? null,
        place: document.place ?? null,
        use: document.use ?? null,
        chosen: document.chosen,
        version: FIRST,
        headingVersion: FIRST,
        orderVersion: FIRST,
        changedAt,
        arrival: arrival ?? null,
        deletedAt: arrival ? now : null,
        ownerId: by?.who ?? null,
        branch: by?.branch ?? null,
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
    const numbers = await stockNumbersOf(
      tx,
      shown.flatMap(({ document }) => document.vehicle?.id ?? []),
    );
    await insertRows(
      tx,
      registerLines,
      shown.map(({ dealId, changedAt, document, signing, asSigned }) => {
        const stockNumber = document.vehicle && numbers.get(document.vehicle.id);
        const heading = { ...headingOf(document), ...(signing && asSigned), stockNumber };
        return newLine({ dealId, dealVersion: FIRST, changedAt, heading });
      }),
    );
    await insertRows(
      tx,
      dealChanges,
      ready.map(({ dealId, changedAt }) => begun(dealId, changedAt, FIRST, by?.who ?? null)),
    );
    const signed = ready.flatMap(({ dealId, signing, asSigned }) =>
      signing ? [{ dealId, ...signing, ...signedNames(asSigned) }] : [],
    );
    await insertRows(tx, signings, signed);
  });
  return sent.map(({ dealId }) => dealId);
}

const FIRST = 1;

type SentDeal = { document: DealDocument; stockNumber: string | undefined };

/** New deals whose customers and vehicles are kept: one whose stock number is known is about that vehicle. */
async function withKeptNames<Deal extends SentDeal>(tx: Database, sent: readonly Deal[]) {
  const customers = sent.map(({ document }) => document.customer);
  const vehicles = await numbered(tx, sent);
  const [customerIds, vehicleIds] = [
    await keepNamed(tx, "customer", customers),
    await keepNamed(tx, "vehicle", vehicles),
  ];
  const numbers = sent.flatMap(({ stockNumber }, index) => {
    const id = vehicleIds[index];
    return id && stockNumber !== undefined ? [[stockNumber, id] as const] : [];
  });
  await giveNumbers(tx, new Map(numbers));
  return sent.map((deal, index) => {
    const { customer, vehicle, ...rest } = deal.document;
    const withId = (named: Named | undefined, id: string | null | undefined) =>
      named && id ? { ...named, id } : undefined;
    const [who, what] = [
      withId(customers[index], customerIds[index]),
      withId(vehicles[index], vehicleIds[index]),
    ];
    const document: DealDocument = { ...(who && { customer: who }), ...(what && { vehicle: what }), ...rest };
    // Of a signed one, what was signed.
    return { ...deal, document, asSigned: { customer, vehicle } };
  });
}

/** The vehicles of new deals; one that has the stock number of another is that. */
async function numbered(tx: Database, sent: readonly SentDeal[]): Promise<(Named | undefined)[]> {
  const known = await vehiclesNumbered(
    tx,
    sent.flatMap(({ stockNumber }) => stockNumber ?? []),
  );
  return sent.map(({ document: { vehicle }, stockNumber }) => {
    if (!vehicle || stockNumber === undefined) return vehicle;
    const first = known.get(stockNumber) ?? vehicle;
    known.set(stockNumber, first);
    return first;
  });
}
