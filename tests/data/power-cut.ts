// What a disk holds after its power was cut: what was synced, and nothing else.
import fs from "node:fs";
import { join } from "node:path";

type Kept = { kind: "file"; bytes: Buffer } | { kind: "folder"; names: Map<string, string> };

/** A file or a folder, whatever it is called: its number on the disk, which later ones may be given again, and its birth. */
const keyOf = ({ ino, birthtimeMs }: fs.Stats) => `${ino} ${birthtimeMs}`;

/**
 * Watches every sync of this process and remembers what it named: of a file its bytes, of a folder the names in it. A file
 * that was synced is also found under its name, as file systems have it.
 *
 * @param root what is below it is remembered
 */
export function powerCut(root: string) {
  const disk = new Map<string, Kept>();
  let syncs = 0;
  const names = (path: string) => {
    const folder = fs.statSync(path);
    const kept = disk.get(keyOf(folder));
    if (kept?.kind === "folder") return kept.names;
    const made = new Map<string, string>();
    disk.set(keyOf(folder), { kind: "folder", names: made });
    return made;
  };
  const remember = (file: number) => {
    const path = fs.readlinkSync(`/proc/self/fd/${file}`);
    if (!path.startsWith(root)) return;
    syncs++;
    const stats = fs.fstatSync(file);
    if (stats.isDirectory()) {
      const listed = fs.readdirSync(path).map(name => [name, keyOf(fs.lstatSync(join(path, name)))] as const);
      disk.set(keyOf(stats), { kind: "folder", names: new Map(listed) });
    } else {
      disk.set(keyOf(stats), { kind: "file", bytes: fs.readFileSync(path) });
    }
    for (let at = path; at !== root; at = join(at, "..")) {
      names(join(at, "..")).set(at.slice(join(at, "..").length + 1), keyOf(fs.statSync(at)));
    }
  };
  const sync = fs.fsyncSync;
  const spy = jest.spyOn(fs, "fsyncSync").mockImplementation(file => {
    sync(file);
    remember(file);
  });

  const lay = (key: string, path: string) => {
    const kept = disk.get(key);
    // Its name came to the disk, and nothing of what was in it.
    if (!kept) return;
    if (kept.kind === "file") return fs.writeFileSync(path, kept.bytes);
    fs.mkdirSync(path, { recursive: true });
    for (const [name, below] of kept.names) lay(below, join(path, name));
  };
  return {
    syncs: () => syncs,
    /** Lays out what is on the disk after a cut at this moment. */
    diskAt: (folder: string) => lay(keyOf(fs.statSync(root)), folder),
    restore: () => spy.mockRestore(),
  };
}
