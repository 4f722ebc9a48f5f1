// A thread that restores a backup beside the database of a data folder, which goes on meanwhile.
import { parentPort } from "node:worker_threads";
import { type RestoredBeside, restoreBeside } from "@/data/restore";
import { BackupRefused } from "@/exchange/backup";
import { lookAtKept } from "./kept-rows";
import { yieldToOthers } from "./threads/yield-to-others";

export type ToRestore = { folder: string; file: string };
export type Restored = RestoredBeside | { refused: string } | { failed: string };

const say = (restored: Restored) => parentPort?.postMessage(restored);

yieldToOthers();
parentPort?.once("message", ({ folder, file }: ToRestore) => {
  // After such an error the database keeps this thread busy for ever.
  restoreBeside(folder, file, lookAtKept, why => say({ failed: why }))
    .catch(error => (error instanceof BackupRefused ? { refused: error.message } : { failed: String(error) }))
    .then(restored => {
      say(restored);
      parentPort?.close();
    });
});
