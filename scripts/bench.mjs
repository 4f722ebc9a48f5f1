// npm run bench: installs and builds what is missing, then measures. Prints, and keeps nothing.
// npm run bench -- --against REV: measures another commit too, by turns with this one.
import { parseArgs } from "node:util";
import { buildApp } from "./built.mjs";
import { installPackages } from "./installed.mjs";

const { against } = parseArgs({ options: { against: { type: "string" } } }).values;

installPackages();
buildApp();
// Bundled, as the app is: what compiles sources as they load slows every function down.
const { bundled } = await import("./bundled.mjs");
const { builtAside } = await import("./bench/built-aside.mjs");
const { emptyApp } = await import("./bench/empty-app.mjs");
const tree = folder => ({ folder, subject: bundled("scripts/bench/subject.ts", folder) });

const main = await import(bundled("scripts/bench/main.ts"));
await main.measure({
  here: tree("."),
  against: against === undefined ? null : { name: against, ...tree(builtAside(against)) },
  empty: emptyApp(),
});
