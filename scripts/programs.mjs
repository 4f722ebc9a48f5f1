// Programs of packages, and npm itself, started by Node: a name such as "npm" or ".bin/tsc" is a script of a shell on some
// systems and a .cmd on others, which Node starts on neither without a shell.
import { existsSync, readFileSync } from "node:fs";
import { dirname, join } from "node:path";

/** The arguments that start a package's program with Node. */
export function programOf(packageName, program) {
  const folder = join("node_modules", packageName);
  const { bin } = JSON.parse(readFileSync(join(folder, "package.json"), "utf8"));
  return join(folder, typeof bin === "string" ? bin : bin[program]);
}

/** Where npm is: it says so to what it runs; else it lies beside Node. */
export function npmProgram() {
  const told = process.env.npm_execpath;
  if (told && /npm-cli\.c?js$/.test(told)) return told;
  const beside = dirname(process.execPath);
  const places = [
    "node_modules/npm/bin/npm-cli.js",
    "../lib/node_modules/npm/bin/npm-cli.js",
    "../share/nodejs/npm/bin/npm-cli.js",
  ];
  return places.map(place => join(beside, place)).find(existsSync);
}
