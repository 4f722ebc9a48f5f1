import { randomUUID } from "node:crypto";
import { getTableColumns, inArray, sql } from "drizzle-orm";
import { toSnakeCase } from "drizzle-orm/casing";
import type { VehicleFile } from "@/exchange/stock/stock.schema";
import type { Database } from "./database";
import { insertRows } from "./insert-rows";
import { rename } from "./one-record";
import { renumberLines } from "./register-lines";
import { vehicles } from "./schema";

/**
 * The ids of the vehicles that those of a list are: by stock number, else by id where it names one, else by description
 * among those in stock, first of them one without a stock number. Undefined for one that is new.
 */
export async function matching(
  database: Database,
  stock: readonly VehicleFile[],
): Promise<(string | undefined)[]> {
  const texts = (of: readonly (string | null | undefined)[]) =>
    sql`(select json_array_elements_text(${JSON.stringify(of.filter(text => text != null))}::json))`;
  const { id, stockNumber, description, inStock } = vehicles;
  const rows = await database
    .select({ id, stockNumber, description, inStock })
    .from(vehicles)
    .where(
      sql`${id}::text in ${texts(stock.map(each => each.id))} or ${stockNumber} in ${texts(stock.map(each => each.stockNumber))}
        or (${inStock} and ${description} in ${texts(stock.map(each => each.description))})`,
    )
    .orderBy(sql`${stockNumber} nulls first`, id);
  const byId = new Set(rows.map(row => row.id));
  const byNumber = new Map(rows.map(row => [row.stockNumber, row.id]));
  return stock.map(each => {
    const numbered = each.stockNumber != null ? byNumber.get(each.stockNumber) : undefined;
    if (numbered !== undefined) return numbered;
    if (each.id !== undefined && byId.has(each.id)) return each.id;
    const isFree = (row: (typeof rows)[number]) => each.stockNumber == null || row.stockNumber === null;
    const called = rows.find(row => row.inStock && row.description === each.description && isFree(row));
    return called?.id;
  });
}

/** Keeps vehicles as stock; one that is there already gets the new figures, and keeps what is not told of it. */
export async function keepAll(tx: Database, list: readonly VehicleFile[]): Promise<void> {
  const lastOfNumber = new Map(list.map(vehicle => [vehicle.stockNumber, vehicle]));
  const stock = list.filter(each => each.stockNumber == null || lastOfNumber.get(each.stockNumber) === each);
  const ids = await matching(tx, stock);
  // The last line counts of one vehicle that stands twice in a list.
  const kept = new Map<string, VehicleFile>();
  const added = new Map<string, VehicleFile & { id: string }>();
  for (const [index, vehicle] of stock.entries()) {
    const id = ids[index];
    if (id !== undefined) kept.set(id, vehicle);
    else added.set(keyOf(vehicle), { id: randomUUID(), ...vehicle });
  }
  await changeAll(tx, kept);
  for (const alike of alikeIn([...added.values()])) {
    await insertRows(
      tx,
      vehicles,
      alike.map(vehicle => ({ ...vehicle, inStock: true })),
      sql`on conflict do nothing`,
    );
  }
}

/** What tells a new vehicle of a list from the others of it. */
const keyOf = ({ stockNumber, id, description }: VehicleFile) =>
  JSON.stringify(stockNumber != null ? { stockNumber } : { id, description });

async function changeAll(tx: Database, changes: ReadonlyMap<string, VehicleFile>): Promise<void> {
  const ids = [...changes.keys()];
  if (ids.length === 0) return;
  const { id, description, stockNumber } = vehicles;
  const former = await tx
    .select({ id, description, stockNumber })
    .from(vehicles)
    .where(inArray(id, ids))
    .for("update");
  for (const row of former) {
    const { description: called = row.description, stockNumber: number } = changes.get(row.id) ?? {};
    if (called !== row.description) await rename(tx, "vehicle", row.id, called);
    if (number !== undefined && number !== row.stockNumber) await renumberLines(tx, row.id, number);
  }
  const rows = [...changes].map(([of, vehicle]) => ({ ...vehicle, id: of }));
  for (const alike of alikeIn(rows)) {
    const columns = columnsOf(alike[0] ?? {}).filter(name => name !== "id");
    const given = alike.map(vehicle =>
      Object.fromEntries(Object.entries(vehicle).map(([name, value]) => [toSnakeCase(name), value])),
    );
    const set = columns.map(name => sql`${sql.identifier(name)} = given.${sql.identifier(name)}`);
    await tx.execute(sql`update vehicles set ${sql.join(set, sql`, `)}, in_stock = true, version = vehicles.version + 1
      from json_populate_recordset(null::vehicles, ${JSON.stringify(given)}::json) given where vehicles.id = given.id`);
  }
}

const columnsOf = (vehicle: object): string[] =>
  Object.keys(vehicle)
    .filter(name => name in getTableColumns(vehicles))
    .map(toSnakeCase);

/** Vehicles of which the same is told go into one statement. */
function alikeIn<Vehicle extends VehicleFile>(all: readonly Vehicle[]): Vehicle[][] {
  const groups = new Map<string, Vehicle[]>();
  for (const vehicle of all) {
    const names = Object.keys(vehicle).sort().join();
    groups.set(names, [...(groups.get(names) ?? []), vehicle]);
  }
  return [...groups.values()];
}
