// A thread that restores a backup beside the database of a data folder, which goes on meanwhile.
import { parentPort } from "node:worker_threads";
import { type BackupFacts, BackupRefused } from "@/exchange/backup";
import { restoreBeside } from "./restore";

export type ToRestore = { folder: string; file: string };
export type Restored = { facts: BackupFacts } | { refused: string } | { failed: string };

parentPort?.once("message", ({ folder, file }: ToRestore) => {
  restoreBeside(folder, file)
    .then(facts => ({ facts }))
    .catch(error => (error instanceof BackupRefused ? { refused: error.message } : { failed: String(error) }))
    .then((said: Restored) => {
      parentPort?.postMessage(said);
      parentPort?.close();
    });
});
