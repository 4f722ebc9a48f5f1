// npm start: installs and builds what is missing, then serves the app with its own data, and goes on serving it.
import { buildApp } from "./built.mjs";
import { installPackages } from "./installed.mjs";
import { keepRunning } from "./kept-running.mjs";

installPackages();
buildApp();
keepRunning();
