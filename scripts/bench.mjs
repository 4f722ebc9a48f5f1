// npm run bench: installs and builds what is missing, then measures. Prints, and keeps nothing.
import { buildApp } from "./built.mjs";
import { installPackages } from "./installed.mjs";

installPackages();
buildApp();
// Bundled, as the app is: what compiles sources as they load slows every function down.
const { bundled } = await import("./bundled.mjs");
await import(bundled("scripts/bench/main.ts"));
