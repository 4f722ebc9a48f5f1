// npm run demo: installs and builds what is missing, then serves the app with the demo data.
import { buildApp } from "./built.mjs";
import { installPackages } from "./installed.mjs";
import { keepRunning } from "./kept-running.mjs";

installPackages();
buildApp();
keepRunning({ KELLUX_DEMO: "1" });
