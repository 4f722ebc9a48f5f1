// Bundles a program into one file of plain JavaScript, which starts and runs faster than sources that are compiled as
// they load.
import { mkdirSync, renameSync, writeFileSync } from "node:fs";
import { basename, dirname, resolve } from "node:path";
import { pathToFileURL } from "node:url";
import { buildSync } from "esbuild";

/** Bundles a program with the sources of a tree (this one, where none is named) and gives the address of the file. */
export function bundled(entry, tree = ".") {
  const outfile = resolve(tree, "node_modules/.cache/kellux", `${basename(entry, ".ts")}.mjs`);
  const { outputFiles } = buildSync({
    entryPoints: [entry],
    outfile,
    bundle: true,
    platform: "node",
    format: "esm",
    target: "node20",
    packages: "external",
    alias: { "@": resolve(tree, "src") },
    sourcemap: "inline",
    logLevel: "error",
    write: false,
  });
  mkdirSync(dirname(outfile), { recursive: true });
  // Another process may be starting the same program: it must never see half a file.
  const unfinished = `${outfile}.${process.pid}`;
  writeFileSync(unfinished, outputFiles[0].contents);
  renameSync(unfinished, outfile);
  return pathToFileURL(outfile).href;
}
