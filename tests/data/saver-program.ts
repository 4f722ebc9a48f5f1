import { execFileSync } from "node:child_process";
import { fileURLToPath } from "node:url";

const BUNDLE =
  'import { bundled } from "./scripts/bundled.mjs"; console.log(bundled("tests/data/saver.ts"));';

/** Makes the saver a program of its own, which starts faster than its sources, and gives its path. */
export function saverProgram(): string {
  const args = ["--input-type=module", "--eval", BUNDLE];
  return fileURLToPath(execFileSync(process.execPath, args, { encoding: "utf8" }).trim());
}
