// npm run build: installs and builds what is missing, as npm start does before it serves; for several processes at once.
import { buildApp } from "./built.mjs";
import { installPackages } from "./installed.mjs";

installPackages();
buildApp();
