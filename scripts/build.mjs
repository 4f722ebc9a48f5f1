// npm run build: installs and builds what is missing, as npm start does before it serves: for several processes that start
// at once, and for a user who may not write here.
import { buildApp } from "./built.mjs";
import { installPackages } from "./installed.mjs";

installPackages();
buildApp();
const { bundled } = await import("./bundled.mjs");
bundled("scripts/serve/server.ts");
