// A thread that restores a backup beside the database of a data folder, which goes on meanwhile; or by way of a folder of
// its own onto a PostgreSQL server.
import { once } from "node:events";
import { parentPort } from "node:worker_threads";
import { restoreBeside } from "@/data/embedded/restore";
import { DataRefused } from "@/data/refused";
import { yieldToOthers } from "@/data/yield-to-others";
import { BackupRefused } from "@/exchange/backup";
import { lookAtKept } from "./kept-rows";
import type { Restored, RestoreSays, ToRestore } from "./restore-messages";
import { restoreOntoServer } from "./restore-onto-server";

const say = (said: RestoreSays) => parentPort?.postMessage(said);

async function restore({ folder, file, server }: ToRestore): Promise<Restored> {
  // After such an error the database keeps this thread busy for ever.
  const broken = (why: string) => say({ failed: why });
  if (!server) return restoreBeside(folder, file, lookAtKept, broken);
  const taking = async () => {
    say("copy");
    if (parentPort) await once(parentPort, "message");
  };
  return restoreOntoServer(server, folder, file, { broken, taking });
}

yieldToOthers();
parentPort?.once("message", (asked: ToRestore) => {
  restore(asked)
    .catch(error =>
      error instanceof BackupRefused || error instanceof DataRefused
        ? { refused: error.message }
        : { failed: String(error) },
    )
    .then(restored => {
      say(restored);
      parentPort?.close();
    });
});
