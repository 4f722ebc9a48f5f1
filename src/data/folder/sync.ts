import { closeSync, constants, fsyncSync, openSync, readdirSync, renameSync, writeFileSync } from "node:fs";
import { dirname, join } from "node:path";

const IS_WINDOWS = process.platform === "win32";

/** Waits until a file, or the names in a folder, are on the disk. */
export function syncToDisk(path: string, isFolder: boolean): void {
  // Windows keeps the names of a folder by itself, opens no folder, and syncs only what may be written.
  if (isFolder && IS_WINDOWS) return;
  const file = openSync(path, IS_WINDOWS ? constants.O_RDWR : constants.O_RDONLY);
  try {
    fsyncSync(file);
  } finally {
    closeSync(file);
  }
}

/** The same for a folder with all that is in it: what it holds before its names. */
export function syncTree(folder: string): void {
  for (const entry of readdirSync(folder, { withFileTypes: true })) {
    const path = join(folder, entry.name);
    if (entry.isDirectory()) syncTree(path);
    else if (entry.isFile()) syncToDisk(path, false);
  }
  syncToDisk(folder, true);
}

/** Writes a file that is there whole, and on the disk, or not at all. */
export function writeWhole(path: string, text: string): void {
  const unfinished = `${path}.unfinished`;
  writeFileSync(unfinished, text, { mode: 0o600 });
  syncToDisk(unfinished, false);
  renameOnDisk(unfinished, path);
}

/** Gives a file or a folder another name within its folder, which the disk then has. */
export function renameOnDisk(from: string, to: string): void {
  renameSync(from, to);
  syncToDisk(dirname(to), true);
}
