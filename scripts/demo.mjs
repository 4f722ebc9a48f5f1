// npm run demo: installs and builds what is missing, then serves the app with the demo data; with -- --people its four
// people have names, and everybody signs in.
import { buildApp } from "./built.mjs";
import { installPackages } from "./installed.mjs";
import { keepRunning } from "./kept-running.mjs";

installPackages();
buildApp();
keepRunning({ KELLUX_DEMO: process.argv.includes("--people") ? "people" : "1" });
