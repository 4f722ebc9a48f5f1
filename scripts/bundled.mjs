// Bundles a program into one file of plain JavaScript, which starts and runs faster than sources that are compiled as
// they load.
import { existsSync, mkdirSync, readFileSync, renameSync, statSync, writeFileSync } from "node:fs";
import { createRequire } from "node:module";
import { basename, dirname, resolve } from "node:path";
import { pathToFileURL } from "node:url";

/** Bundles a program with the sources of a tree (this one, where none is named) and gives the address of the file. */
export function bundled(entry, tree = ".") {
  const outfile = resolve(tree, "node_modules/.cache/kellux", `${basename(entry, ".ts")}.mjs`);
  if (!isOfSources(outfile, entry, tree)) bundle(outfile, entry, tree);
  return pathToFileURL(outfile).href;
}

const listOf = outfile => `${outfile}.sources.json`;

/** What tells one state of a file from another. */
function stateOf(path) {
  const stats = statSync(path, { throwIfNoEntry: false });
  return stats && `${stats.mtimeMs} ${stats.size}`;
}

/** Whether a bundle is there that the sources, as they are now, would give again. */
function isOfSources(outfile, entry, tree) {
  if (!existsSync(outfile) || !existsSync(listOf(outfile))) return false;
  const { of, made, sources } = JSON.parse(readFileSync(listOf(outfile), "utf8"));
  return (
    made === stateOf(outfile) &&
    of === `${entry} ${resolve(tree)}` &&
    Object.entries(sources).every(([path, state]) => stateOf(path) === state)
  );
}

function bundle(outfile, entry, tree) {
  const { buildSync } = createRequire(import.meta.url)("esbuild");
  const { outputFiles, metafile } = buildSync({
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
    metafile: true,
  });
  mkdirSync(dirname(outfile), { recursive: true });
  const sources = Object.keys(metafile.inputs).map(path => [resolve(path), stateOf(path)]);
  write(outfile, outputFiles[0].contents);
  const list = {
    of: `${entry} ${resolve(tree)}`,
    made: stateOf(outfile),
    sources: Object.fromEntries(sources),
  };
  write(listOf(outfile), JSON.stringify(list));
}

/** Another process may be starting the same program: it must never see half a file. */
function write(path, contents) {
  const unfinished = `${path}.${process.pid}`;
  writeFileSync(unfinished, contents);
  renameSync(unfinished, path);
}
