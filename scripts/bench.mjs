// npm run bench: installs and builds what is missing, then measures. Prints, and keeps nothing.
import { buildApp } from "./built.mjs";
import { installPackages, run } from "./installed.mjs";

installPackages();
buildApp();
run("node_modules/.bin/tsx", ["scripts/bench/main.ts"]);
