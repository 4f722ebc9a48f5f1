import { sql } from "drizzle-orm";
import type { Database } from "./database";
import { getDeal, hasDeals, insertDeals, setDeleted, updateDeal } from "./deals";
import { changesOf, stateAfter } from "./history";
import { dealsToMake, forgetFiguresOfOthers, keepFigures } from "./register-figures";
import { findLines } from "./register-page";
import { getSettings, keepSettings } from "./settings";
import { getSigning, keepLateSigning, signedWithoutQuotes } from "./signings";
import { changeVehicle, keepVehicles, stockList, takeOutOfStock } from "./stock";
import { customersLike, vehiclesLike } from "./suggestions";

/** Every piece of work that the database does, by name. */
const WORK = {
  changeVehicle,
  answers: (database: Database) => database.execute(sql`select 1`).then(() => true),
  changesOf,
  customersLike,
  dealsToMake,
  findLines,
  forgetFiguresOfOthers,
  getDeal,
  getSettings,
  getSigning,
  hasDeals,
  insertDeals,
  keepFigures,
  keepLateSigning,
  keepSettings,
  keepVehicles,
  setDeleted,
  signedWithoutQuotes,
  stateAfter,
  stockList,
  takeOutOfStock,
  updateDeal,
  vehiclesLike,
};

type WorkName = keyof typeof WORK;

/** What is kept, and all that can be asked of it: a database that is here, or one in a thread of its own. */
export type Store = {
  [Name in WorkName]: (typeof WORK)[Name] extends (database: Database, ...args: infer Args) => infer Answer
    ? (...args: Args) => Answer
    : never;
};

/** The store of a database that is here. */
export function storeOf(database: Database): Store {
  const entries = Object.entries(WORK).map(([name, work]) => [
    name,
    (...args: unknown[]) => (work as (database: Database, ...args: unknown[]) => unknown)(database, ...args),
  ]);
  return Object.fromEntries(entries) as Store;
}
