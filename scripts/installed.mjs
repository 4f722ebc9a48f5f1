// Installs what is missing, with nothing but Node and npm there.
import { spawnSync } from "node:child_process";
import { existsSync, readFileSync, writeFileSync } from "node:fs";
import { npmProgram } from "./programs.mjs";

const MARK = "node_modules/.kellux-lock";

/** Runs a program in the open, without a shell; stops the whole program where it fails. */
export function run(command, args, env = {}) {
  const { status, error } = spawnSync(command, args, { stdio: "inherit", env: { ...process.env, ...env } });
  if (status !== 0) {
    console.error(`\n${command} ${args.join(" ")} failed${error ? `: ${error.message}` : ""}.`);
    process.exit(status ?? 1);
  }
}

/** Installs the packages of the lock file, unless they are there already. */
export function installPackages() {
  const lock = readFileSync("package-lock.json", "utf8");
  if (existsSync(MARK) && readFileSync(MARK, "utf8") === lock) return;
  const npm = npmProgram();
  if (!npm) {
    console.error("npm was not found beside Node; run this by npm, such as npm run demo.");
    process.exit(1);
  }
  // Not "npm ci": it refuses a lock file that leaves out packages of other platforms.
  run(process.execPath, [npm, "install", "--no-save", "--no-audit", "--no-fund"]);
  writeFileSync(MARK, lock);
}
