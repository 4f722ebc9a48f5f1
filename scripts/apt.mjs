// Installs packages of the system where it is one that has apt.
import { spawnSync } from "node:child_process";

/**
 * @param names packages, such as "chromium"
 * @returns whether they are installed now
 */
export function installByApt(...names) {
  if (spawnSync("apt-get", ["--version"]).status !== 0) return false;
  const sudo = process.getuid?.() === 0 ? [] : ["sudo", "-n"];
  return [["update"], ["install", "-y", "--no-install-recommends", ...names]].every(step => {
    const [command, ...args] = [...sudo, "apt-get", ...step];
    return spawnSync(command, args, { stdio: "inherit" }).status === 0;
  });
}
