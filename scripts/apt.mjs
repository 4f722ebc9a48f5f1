// Installs packages of the system where it is one that has apt.
import { spawnSync } from "node:child_process";

/**
 * @param names packages, such as "chromium"
 * @returns whether they are installed now
 */
export const installByApt = (...names) => installByAptWithin(undefined, ...names);

/** The same, given up after so many milliseconds. */
export function installByAptWithin(longestMs, ...names) {
  if (spawnSync("apt-get", ["--version"]).status !== 0) return false;
  const last = Date.now() + (longestMs ?? 0);
  const sudo = process.getuid?.() === 0 ? [] : ["sudo", "-n"];
  return [["update"], ["install", "-y", "--no-install-recommends", ...names]].every(step => {
    const [command, ...args] = [...sudo, "apt-get", ...step];
    const timeout = longestMs === undefined ? undefined : Math.max(1, last - Date.now());
    return spawnSync(command, args, { stdio: "inherit", timeout }).status === 0;
  });
}
