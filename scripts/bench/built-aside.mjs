// Another commit, built beside this one, so that both can be measured in one run.
import { execFileSync } from "node:child_process";
import { existsSync, mkdirSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";

const TAKEN_OUT = ".kellux-commit";

/** Takes a commit's files into a folder of their own, installs and builds them there, and gives the folder. */
export function builtAside(revision) {
  const name = ["rev-parse", "--verify", `${revision}^{commit}`];
  const commit = execFileSync("git", name, { encoding: "utf8" }).trim();
  const folder = join(tmpdir(), `kellux-bench-${commit}`);
  if (!existsSync(join(folder, TAKEN_OUT))) {
    mkdirSync(folder, { recursive: true });
    const files = execFileSync("git", ["archive", commit], { maxBuffer: 2 ** 30 });
    execFileSync("tar", ["-x", "-C", folder], { input: files });
    writeFileSync(join(folder, TAKEN_OUT), commit);
  }
  // With that commit's own scripts, since packages and the build may have been others.
  const build = `(await import("./scripts/installed.mjs")).installPackages();
(await import("./scripts/built.mjs")).buildApp();`;
  execFileSync(process.execPath, ["--input-type=module", "-e", build], { cwd: folder, stdio: "inherit" });
  return folder;
}
