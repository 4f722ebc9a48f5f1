// A thread that restores a backup beside the database of a data folder, which goes on meanwhile; or by way of a folder of
// its own onto a PostgreSQL server.
import { once } from "node:events";
import { join } from "node:path";
import { parentPort } from "node:worker_threads";
import { openFiles } from "@/data/embedded/open-folder";
import { restoreBeside } from "@/data/embedded/restore";
import { carryToServer } from "@/data/postgres/carry-to-server";
import { DataRefused } from "@/data/refused";
import { yieldToOthers } from "@/data/yield-to-others";
import { BackupRefused } from "@/exchange/backup";
import { lookAtKept } from "./kept-rows";
import type { Restored, RestoreSays, ToRestore } from "./restore-messages";

const say = (said: RestoreSays) => parentPort?.postMessage(said);

async function restore({ folder, file, server }: ToRestore): Promise<Restored> {
  // After such an error the database keeps this thread busy for ever.
  const broken = (why: string) => say({ failed: why });
  const restored = await restoreBeside(folder, file, lookAtKept, broken);
  if (!server) return restored;
  const { database, close } = await openFiles(join(folder, restored.place), broken);
  try {
    await database.transaction(from =>
      carryToServer(from, server, async () => {
        say("copy");
        if (parentPort) await once(parentPort, "message");
      }),
    );
  } finally {
    await close();
  }
  return restored;
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
