// Bundles a program of this folder into one file of plain JavaScript, which starts and runs faster than sources
// that are compiled as they load.
import { basename, resolve } from "node:path";
import { pathToFileURL } from "node:url";
import { buildSync } from "esbuild";

/** Bundles a program and gives the address of the file that it made. */
export function bundled(entry) {
  const outfile = resolve("node_modules/.cache/kellux", `${basename(entry, ".ts")}.mjs`);
  buildSync({
    entryPoints: [entry],
    outfile,
    bundle: true,
    platform: "node",
    format: "esm",
    target: "node20",
    packages: "external",
    sourcemap: "linked",
    logLevel: "error",
  });
  return pathToFileURL(outfile).href;
}
