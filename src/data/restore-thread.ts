// A thread that restores a backup beside the database of a data folder, which goes on meanwhile.
import { parentPort } from "node:worker_threads";
import { type BackupFacts, BackupRefused } from "@/exchange/backup";
import { restoreBeside } from "./restore";

export type ToRestore = { folder: string; file: string };
export type Restored = { facts: BackupFacts } | { refused: string } | { failed: string };

const say = (restored: Restored) => parentPort?.postMessage(restored);

parentPort?.once("message", ({ folder, file }: ToRestore) => {
  // After such an error the database keeps this thread busy for ever.
  restoreBeside(folder, file, why => say({ failed: why }))
    .then(facts => ({ facts }))
    .catch(error => (error instanceof BackupRefused ? { refused: error.message } : { failed: String(error) }))
    .then(restored => {
      say(restored);
      parentPort?.close();
    });
});
