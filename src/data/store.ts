import { sql } from "drizzle-orm";
import { completeArrival, dropCutOff, showArrived } from "./arrivals";
import { backupBlob, backupPart, backupStart } from "./backup-rows";
import { boundedLog } from "./bounded-log";
import type { Database } from "./database";
import { earningDeals, incomeToMake, isIncomeMissing, keepIncome } from "./deal-income";
import { getDealer, keptDealers, updateDealer } from "./dealer";
import { dealsAfter, getDeal, getDealText, hasDeals, setDeleted, updateDeal, versionOf } from "./deals";
import { firstThingsFirst } from "./first-things-first";
import { changesOf, stateAfter } from "./history";
import { tableNames, tallyPart } from "./last-stop";
import { insertDeals } from "./new-deals";
import { correctName, makeOne, recordOf } from "./one-record";
import { blobOf, givenPaper, givenPapers, keepBlob, keepGivenPaper, removeOldPapers } from "./papers";
import { changeRates, keptRates, ratesMark } from "./rates";
import { dealsToMake, forgetFiguresOfOthers, keepFigures } from "./register-figures";
import { findLines } from "./register-page";
import { getSettings, getSettingsDealer, keepSettings, keepSettingsDealer } from "./settings";
import type { SharedSync } from "./shared-sync";
import { getSigning, keepLateSigning, signedWithoutQuotes } from "./signings";
import {
  changeVehicle,
  putInStock,
  stockArrives,
  stockCosts,
  stockList,
  stockMark,
  stockOf,
  takeOutOfStock,
  vehicleKnown,
} from "./stock";
import { stockNumbersOf } from "./stock-numbers";
import { customersLike, vehiclesLike } from "./suggestions";

/** What is asked of the database, by name. */
const READS = {
  answers: (database: Database) => database.execute(sql`select 1`).then(() => true),
  backupBlob,
  backupPart,
  backupStart,
  blobOf,
  changesOf,
  customersLike,
  dealsAfter,
  dealsToMake,
  earningDeals,
  findLines,
  getDeal,
  getDealText,
  getDealer,
  getSettings,
  getSettingsDealer,
  getSigning,
  givenPaper,
  givenPapers,
  hasDeals,
  incomeToMake,
  isIncomeMissing,
  keptDealers,
  keptRates,
  ratesMark,
  recordOf,
  signedWithoutQuotes,
  stateAfter,
  stockCosts,
  stockList,
  stockMark,
  stockNumbersOf,
  stockOf,
  tableNames,
  tallyPart,
  vehicleKnown,
  vehiclesLike,
  versionOf,
};

/** What changes something, by name: it is done once it is on the disk. */
const SAVES = {
  changeRates,
  changeVehicle,
  completeArrival,
  correctName,
  dropCutOff,
  forgetFiguresOfOthers,
  insertDeals,
  /** The same for a part of many. */
  insertPart: insertDeals,
  keepBlob,
  keepFigures,
  keepGivenPaper,
  keepIncome,
  keepLateSigning,
  keepSettings,
  keepSettingsDealer,
  makeOne,
  putInStock,
  removeOldPapers,
  setDeleted,
  showArrived,
  stockArrives,
  takeOutOfStock,
  updateDeal,
  updateDealer,
};

const WORK = { ...READS, ...SAVES };

type WorkName = keyof typeof WORK;

/** Parts of long work, and what the server does by itself: what a person waits for goes before. */
const PATIENT: ReadonlySet<string> = new Set<WorkName>([
  "backupBlob",
  "backupPart",
  "dealsAfter",
  "dealsToMake",
  "dropCutOff",
  "forgetFiguresOfOthers",
  "incomeToMake",
  "insertPart",
  "keepFigures",
  "keepIncome",
  "keepLateSigning",
  "putInStock",
  "removeOldPapers",
  "showArrived",
  "signedWithoutQuotes",
  "tallyPart",
]);

/** The log is looked at after so many saves. */
const LOOK_AFTER = 20;

/** No part is put off for longer. */
const LONGEST_MS = 200;

/** What is kept, and all that can be asked of it: a database that is here, or one in a thread of its own. */
export type Store = {
  [Name in WorkName]: (typeof WORK)[Name] extends (database: Database, ...args: infer Args) => infer Answer
    ? (...args: Args) => Answer
    : never;
};

/**
 * The store of a database that is here. No answer leaves it that a power cut could take back: neither that something was
 * saved, nor what was read of it.
 *
 * @param checkpoint shortens the database's log, where that does not do it by itself
 */
export function storeOf(
  database: Database,
  sync: SharedSync,
  checkpoint: () => Promise<void> = async () => {},
): Store {
  const { awaited, patient } = firstThingsFirst(LONGEST_MS);
  const shortenLog = boundedLog(database, checkpoint);
  let saves = 0;
  const lookAtLog = () => {
    // A failure is one of the database, which whoever asks next is told of.
    if (++saves % LOOK_AFTER === 0) void patient(shortenLog).catch(() => {});
  };
  const entries = Object.entries(WORK).map(([name, work]) => {
    const inTurn = PATIENT.has(name) ? patient : awaited;
    const ask = async (...args: unknown[]) =>
      (work as (database: Database, ...args: unknown[]) => unknown)(database, ...args);
    return [
      name,
      async (...args: unknown[]) => {
        try {
          return await inTurn(() => (name in SAVES ? sync.saving(() => ask(...args)) : ask(...args)));
        } finally {
          if (name in SAVES) lookAtLog();
          await sync.synced();
        }
      },
    ];
  });
  return Object.fromEntries(entries) as Store;
}
