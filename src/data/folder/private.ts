import { accessSync, chmodSync, constants, existsSync, lstatSync, mkdirSync, readdirSync } from "node:fs";
import { dirname, join, resolve } from "node:path";
import { codeOf, FolderRefused } from "./refused";

/** Nobody but the user who runs the server reads what it keeps, or writes to it. */
const OTHERS = 0o077;

/**
 * Makes a data folder where there is none, and sees that it can be written.
 *
 * @throws FolderRefused with a sentence
 */
export function makeFolder(folder: string): void {
  try {
    // Said by the folder above, which knows best why nothing can be made in it.
    if (!existsSync(folder)) accessSync(existingAbove(folder), constants.W_OK);
    if (mkdirSync(folder, { recursive: true, mode: 0o700 }) !== undefined) chmodSync(folder, 0o700);
    accessSync(folder, constants.R_OK | constants.W_OK | constants.X_OK);
    readdirSync(folder);
  } catch (error) {
    throw new FolderRefused(`The data folder ${folder} cannot be used: ${reasonOf(codeOf(error))}.`);
  }
}

function existingAbove(path: string): string {
  const above = dirname(resolve(path));
  return existsSync(above) ? above : existingAbove(above);
}

const REASONS: Record<string, string> = {
  EACCES: "this user may not write to it",
  EPERM: "this user may not write to it",
  EROFS: "it is on a disk that can only be read",
  EEXIST: "it is a file, not a folder",
  ENOTDIR: "it, or a part of its path, is a file and not a folder",
  ENOSPC: "the disk is full",
};

/** Why a file or a folder cannot be used, as the rest of a sentence. */
export const reasonOf = (code: string): string => REASONS[code] ?? `the system says ${code}`;

/** Takes a folder, and all that is in it, away from other users. What it cannot change stays as it is. */
export function keepPrivate(folder: string): void {
  tighten(folder);
  for (const entry of readdirSync(folder, { withFileTypes: true })) {
    const path = join(folder, entry.name);
    if (entry.isDirectory()) keepPrivate(path);
    else if (entry.isFile()) tighten(path);
  }
}

function tighten(path: string): void {
  const { mode } = lstatSync(path);
  if ((mode & OTHERS) === 0) return;
  try {
    chmodSync(path, mode & ~OTHERS & 0o7777);
  } catch (error) {
    // It belongs to somebody else, who has to do it.
    if (codeOf(error) !== "EPERM") throw error;
  }
}
