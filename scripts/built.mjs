// Builds the app, unless what was built last is still what the sources say.
import { createHash } from "node:crypto";
import { existsSync, readdirSync, readFileSync, statSync, writeFileSync } from "node:fs";
import { join } from "node:path";
import { run } from "./installed.mjs";

const MARK = ".next/kellux-sources";
const SOURCES = ["src", "demo", "package-lock.json", "next.config.ts", "postcss.config.mjs", "tsconfig.json"];

function addTo(hash, path) {
  if (statSync(path).isDirectory()) {
    for (const name of readdirSync(path).sort()) addTo(hash, join(path, name));
  } else {
    hash.update(path).update(readFileSync(path));
  }
}

export function buildApp() {
  const hash = createHash("sha256");
  for (const path of SOURCES) addTo(hash, path);
  const sources = hash.digest("hex");
  if (existsSync(MARK) && readFileSync(MARK, "utf8") === sources) return;
  run(process.execPath, ["node_modules/next/dist/bin/next", "build"], { NEXT_TELEMETRY_DISABLED: "1" });
  writeFileSync(MARK, sources);
}
