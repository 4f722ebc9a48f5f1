// Carries everything from a data folder to a PostgreSQL server, or from a server into a folder, and sees that it is the same.
import { existsSync, readdirSync } from "node:fs";
import { resolve } from "node:path";
import type { Carried } from "@/data/carry";
import { openDatabase } from "@/data/embedded/open-folder";
import { carryFromServer, carryToServer } from "@/data/postgres/carry-to-server";
import { isServerAddress, serverName } from "@/data/postgres/open-server";
import { dataFolder } from "@/server/data-folder";
import { databaseUrl } from "@/server/data-place";
import { fail } from "../backup/fail";

/** Moves to a place, and says what was carried. Gives the exit code. */
export async function move(to: string | undefined): Promise<number> {
  if (!to) return fail("Say where to: npm run move -- postgres://USER@HOST/DATABASE, or a folder.");
  try {
    if (isServerAddress(to)) await moveToServer(resolve(dataFolder()), to);
    else await moveToFolder(databaseUrl(), resolve(to));
    return 0;
  } catch (error) {
    return fail(error instanceof Error ? error.message : String(error));
  }
}

async function moveToServer(folder: string, url: string): Promise<void> {
  if (!existsSync(folder)) throw new Error(`There is no data folder ${folder}.`);
  const { database, close } = await openDatabase(folder);
  try {
    const carried = await database.transaction(from => carryToServer(from, url));
    say(carried, `${folder} to the database ${serverName(url)}`);
    console.log(
      `The folder stays as it is. From now on: KELLUX_DATABASE_URL set to that address, and npm start.`,
    );
  } finally {
    await close();
  }
}

async function moveToFolder(url: string | undefined, folder: string): Promise<void> {
  if (!url)
    throw new Error("Set KELLUX_DATABASE_URL to the server whose data is to be moved into the folder.");
  if (existsSync(folder) && readdirSync(folder).length > 0)
    throw new Error(`The folder ${folder} is not empty; it was left as it is.`);
  const { database, checkpoint, close } = await openDatabase(folder);
  try {
    const carried = await carryFromServer(url, database);
    await checkpoint();
    say(carried, `the database ${serverName(url)} to ${folder}`);
    console.log(
      `The server's data stays as it is. From now on: KELLUX_DATABASE_URL not set, KELLUX_DATA_DIR set to ${folder}, and npm start.`,
    );
  } finally {
    await close();
  }
}

function say(carried: Carried, way: string): void {
  const rows = Object.values(carried).reduce((sum, count) => sum + count, 0);
  console.log(
    `${carried.deals} deals, ${rows} rows carried from ${way}, read again row by row and the same.`,
  );
}
