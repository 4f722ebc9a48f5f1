import type { Database } from "../database";
import { done } from "../done-by";
import { type Asked, isSave, WORK } from "../store";
import { boundedLog } from "./bounded-log";
import { firstThingsFirst } from "./first-things-first";
import { tableNames, tallyPart } from "./last-stop";
import type { SharedSync } from "./shared-sync";

/** What can be asked of a database in a folder besides: what it is seen to be whole by. */
const FOLDER_WORK = { ...WORK, tableNames, tallyPart };

/** What is kept in a folder, and all that can be asked of it. */
export type FolderStore = Asked<typeof FOLDER_WORK>;

/** Parts of long work, and what the server does by itself: what a person waits for goes before. */
const PATIENT: ReadonlySet<string> = new Set<keyof FolderStore>([
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
  "removeOldDeals",
  "removeOldPapers",
  "showArrived",
  "signedWithoutQuotes",
  "tallyPart",
]);

/** The log is looked at after so many saves. */
const LOOK_AFTER = 20;

/** No part is put off for longer. */
const LONGEST_MS = 200;

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
): FolderStore {
  const { awaited, patient } = firstThingsFirst(LONGEST_MS);
  const shortenLog = boundedLog(database, checkpoint);
  let saves = 0;
  const lookAtLog = () => {
    // A failure is one of the database, which whoever asks next is told of.
    if (++saves % LOOK_AFTER === 0) void patient(shortenLog).catch(() => {});
  };
  const entries = Object.entries(FOLDER_WORK).map(([name, work]) => {
    const inTurn = PATIENT.has(name) ? patient : awaited;
    const ask = async (...args: unknown[]) =>
      name in WORK
        ? done(database, name as keyof typeof WORK, args)
        : (work as (database: Database, ...args: unknown[]) => unknown)(database, ...args);
    return [
      name,
      async (...args: unknown[]) => {
        try {
          return await inTurn(() => (isSave(name) ? sync.saving(() => ask(...args)) : ask(...args)));
        } finally {
          if (isSave(name)) lookAtLog();
          await sync.synced();
        }
      },
    ];
  });
  return Object.fromEntries(entries) as FolderStore;
}
