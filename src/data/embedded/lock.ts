import { linkSync, lstatSync, readFileSync, renameSync, rmSync, writeFileSync } from "node:fs";
import { join } from "node:path";
import { reasonOf } from "../folder/private";
import { codeOf, FolderInUse, FolderRefused } from "../folder/refused";
import { type Claim, holderOf, ownClaim } from "./claim";

const claimPath = (folder: string) => join(folder, "in-use.json");

/**
 * Claims a data folder for this process, so that two servers never write the same database. A claim left
 * behind by a process that was killed is taken over; one whose process cannot be seen from here is not.
 *
 * @returns a function that gives the folder back
 * @throws FolderInUse with a sentence for the person at the terminal
 */
export function lockFolder(folder: string): () => void {
  const path = claimPath(folder);
  const own = `${path}.${process.pid}`;
  const claim = JSON.stringify(ownClaim());
  writeClaim(folder, own, claim);
  try {
    for (let attempt = 0; attempt < 2; attempt++) {
      // A link is made whole or not at all, and never over a file that is there.
      if (tryLink(own, path)) return () => unlockFolder(folder);
      const held = readClaim(folder);
      refuseIfHeld(folder, held);
      setAside(folder, held);
    }
    throw new FolderInUse(`The data folder ${folder} is being opened by another Kellux right now.`);
  } finally {
    rmSync(own, { force: true });
  }
}

/** Gives back a folder that this process has claimed; it may be somebody else's by now. */
export function unlockFolder(folder: string): void {
  if (JSON.stringify(readClaim(folder)) === JSON.stringify(ownClaim()))
    rmSync(claimPath(folder), { force: true });
}

function writeClaim(folder: string, path: string, claim: string): void {
  try {
    writeFileSync(path, claim, { mode: 0o600 });
  } catch (error) {
    throw new FolderRefused(`The data folder ${folder} cannot be used: ${reasonOf(codeOf(error))}.`);
  }
}

function refuseIfHeld(folder: string, claim: Partial<Claim> | undefined): void {
  const path = claimPath(folder);
  if (claim === undefined) {
    if (!lstatSync(path, { throwIfNoEntry: false })?.isDirectory()) return;
    throw new FolderRefused(
      `${path} is a folder, where Kellux keeps the file that says who uses the data. Move it away, and start again.`,
    );
  }
  const holder = holderOf(claim);
  if (holder === "alive") {
    throw new FolderInUse(
      `The data folder ${folder} is in use by another Kellux (process ${claim.pid}). ` +
        "Stop that one, or set KELLUX_DATA_DIR to another folder.",
    );
  }
  if (holder === "elsewhere") {
    throw new FolderInUse(
      `The data folder ${folder} is claimed by a Kellux on ${claim.host} (process ${claim.pid} of another machine or ` +
        `container), and whether it still runs cannot be seen from here. Stop it; if it is certainly gone, delete ${path} and start again.`,
    );
  }
}

function tryLink(from: string, to: string): boolean {
  try {
    linkSync(from, to);
    return true;
  } catch (error) {
    if ((error as NodeJS.ErrnoException).code === "EEXIST") return false;
    throw error;
  }
}

/** Removes a claim left behind, unless another process put its own in that place in the meantime. */
function setAside(folder: string, leftBehind: Partial<Claim> | undefined): void {
  const path = claimPath(folder);
  const aside = `${path}.${process.pid}.old`;
  try {
    renameSync(path, aside);
  } catch {
    return;
  }
  const taken = readClaimFile(aside);
  if (taken?.pid !== leftBehind?.pid || taken?.started !== leftBehind?.started) tryLink(aside, path);
  rmSync(aside, { force: true });
}

/** Who holds a data folder, if anybody does. */
export const readClaim = (folder: string): Partial<Claim> | undefined => readClaimFile(claimPath(folder));

function readClaimFile(path: string): Partial<Claim> | undefined {
  try {
    return JSON.parse(readFileSync(path, "utf8")) as Partial<Claim>;
  } catch {
    return undefined;
  }
}
