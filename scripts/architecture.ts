// Holds the imports of the source tree against the layers: arrows point down, the core is pure, what runs in
// the browser reaches neither the server nor a library that a page must not run.
import { posix } from "node:path";

/** From the top down; a layer may import itself and those after it. */
const LAYERS = ["app", "features", "server", "data", "workers", "exchange", "core"];

/** Routes and the files that Next itself looks for beside them. */
const APP_FILES = /^src\/(app\/|proxy\.ts$|instrumentation\.ts$)/;

/** What a page must not load: the database, Node's own modules, and what compiles code at run time. */
const NOT_IN_BROWSER = /^(node:|@electric-sql\/|drizzle-orm|ajv|typebox)/;

type Import = { from: string; typeOnly: boolean };

const IMPORT = /(?:^|\n)\s*(?:import|export)\s+(type\s+)?(?:[^"';]*?\sfrom\s+)?["']([^"']+)["']/g;
const DYNAMIC_IMPORT = /\bimport\(\s*["']([^"']+)["']\s*\)/g;

/** The modules that a source file names. */
function importsOf(source: string): Import[] {
  const fixed = [...source.matchAll(IMPORT)].map(([, type, from]) => ({
    from: from ?? "",
    typeOnly: Boolean(type),
  }));
  const dynamic = [...source.matchAll(DYNAMIC_IMPORT)].map(([, from]) => ({
    from: from ?? "",
    typeOnly: false,
  }));
  return [...fixed, ...dynamic];
}

/** The file that an import means, or undefined for a package. */
function resolve(importer: string, from: string, files: ReadonlyMap<string, string>): string | undefined {
  const path = from.startsWith("@/")
    ? posix.join("src", from.slice(2))
    : from.startsWith(".")
      ? posix.join(posix.dirname(importer), from)
      : undefined;
  if (path === undefined) return undefined;
  return [path, `${path}.ts`, `${path}.tsx`, `${path}/index.ts`].find(candidate => files.has(candidate));
}

function layerOf(path: string): number {
  return APP_FILES.test(path) ? 0 : LAYERS.indexOf(path.split("/")[1] ?? "");
}

/**
 * Every import that goes against the architecture, as one sentence each.
 *
 * @param files path below the project to source text, for all of `src/`
 */
export function violations(files: ReadonlyMap<string, string>): string[] {
  return [...files]
    .flatMap(([path, source]) => [
      ...layerViolations(path, source, files),
      ...(path.startsWith("src/core/") ? coreViolations(path, source) : []),
      ...compilingImports(path, source),
    ])
    .concat(emptyLayers(files), browserViolations(files), cycles(files), folderCircles(files));
}

/** The compiler of checks belongs to the scripts: what runs takes compiled checks. */
function compilingImports(path: string, source: string): string[] {
  return importsOf(source)
    .filter(({ from, typeOnly }) => !typeOnly && /^ajv(\/|$)/.test(from))
    .map(({ from }) => `${path} imports ${from}, which compiles code at run time.`);
}

/** Layers that the check knows and the tree does not have. */
function emptyLayers(files: ReadonlyMap<string, string>): string[] {
  const found = new Set([...files.keys()].map(layerOf));
  return LAYERS.filter((_, layer) => !found.has(layer)).map(name => `There is no layer src/${name}/.`);
}

function layerViolations(path: string, source: string, files: ReadonlyMap<string, string>): string[] {
  const layer = layerOf(path);
  if (layer < 0) return [`${path} lies in no layer.`];
  return importsOf(source).flatMap(({ from }) => {
    const target = resolve(path, from, files);
    if (!target) return [];
    if (layerOf(target) < layer) return [`${path} imports ${target}, which lies above it.`];
    return from.startsWith(".") && layerOf(target) !== layer
      ? [`${path} imports ${from}; another layer is named by @/.`]
      : [];
  });
}

function coreViolations(path: string, source: string): string[] {
  const packages = importsOf(source)
    .filter(({ from }) => !from.startsWith(".") && !from.startsWith("@/core"))
    .map(({ from }) => `${path} imports ${from}; the core imports nothing but itself.`);
  const impure = /\bDate\b|Math\.random|\bprocess\.|\bglobalThis\b|\bperformance\./.exec(
    source.replace(/\/\*[\s\S]*?\*\/|\/\/.*/g, ""),
  );
  return impure
    ? [...packages, `${path} uses ${impure[0]}; the core has no clock, chance or machine.`]
    : packages;
}

/** What a file names at run time. */
function runtimeImports(path: string, files: ReadonlyMap<string, string>) {
  return importsOf(files.get(path) ?? "")
    .filter(({ typeOnly }) => !typeOnly)
    .map(({ from }) => ({ from, target: resolve(path, from, files) }));
}

/** Follows the imports of every page's components that are there at run time. */
function browserViolations(files: ReadonlyMap<string, string>): string[] {
  const found: string[] = [];
  const waiting = [...files.keys()].filter(path => path.startsWith("src/features/"));
  const seen = new Set(waiting);
  for (let path = waiting.pop(); path !== undefined; path = waiting.pop()) {
    for (const { from, target = from } of runtimeImports(path, files)) {
      if (NOT_IN_BROWSER.test(target) || /^src\/(server|data)\//.test(target)) {
        found.push(`${path} runs in the browser and imports ${target}.`);
      } else if (files.has(target) && !seen.has(target)) {
        seen.add(target);
        waiting.push(target);
      }
    }
  }
  return found;
}

/** Files that import each other in a ring at run time. */
function cycles(files: ReadonlyMap<string, string>): string[] {
  const next = (path: string) =>
    runtimeImports(path, files).flatMap(({ target }) => (target === undefined ? [] : [target]));
  return rings([...files.keys()], next).map(ring => `A ring of imports: ${ring.join(" → ")}.`);
}

/** Ways along arrows that lead back to where they began. */
function rings(places: readonly string[], next: (place: string) => string[]): string[][] {
  const state = new Map<string, "open" | "done">();
  const found: string[][] = [];
  const visit = (place: string, trail: string[]) => {
    if (state.get(place) === "done") return;
    if (state.get(place) === "open") {
      found.push([...trail.slice(trail.indexOf(place)), place]);
      return;
    }
    state.set(place, "open");
    for (const target of next(place)) visit(target, [...trail, place]);
    state.set(place, "done");
  };
  for (const place of places) visit(place, []);
  return found;
}

/**
 * Folders that import each other in a ring, for types too, at whatever depth: each folder with all that is below it, beside
 * its own siblings; and a folder beside one that is inside it.
 */
function folderCircles(files: ReadonlyMap<string, string>): string[] {
  const arrows = new Map<string, Set<string>>();
  const add = (from: string, to: string) => arrows.set(from, (arrows.get(from) ?? new Set()).add(to));
  for (const [path, source] of files) {
    for (const { from } of importsOf(source)) {
      const target = resolve(path, from, files);
      if (target === undefined) continue;
      const [here, there] = parted(posix.dirname(path), posix.dirname(target));
      if (here !== there) add(here, there);
    }
  }
  return rings([...arrows.keys()], folder => [...(arrows.get(folder) ?? [])]).map(
    ring => `A ring of folders: ${ring.join(" → ")}.`,
  );
}

/** Two folders as the siblings that they are in, or as they are where one is inside the other. */
function parted(one: string, other: string): [string, string] {
  const [a, b] = [one.split("/"), other.split("/")];
  const depth = a.findIndex((name, index) => name !== b[index]);
  if (depth < 0 || depth >= b.length) return [one, other];
  return [a.slice(0, depth + 1).join("/"), b.slice(0, depth + 1).join("/")];
}
