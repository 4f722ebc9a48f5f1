// npm start: installs and builds what is missing, then serves the app with its own data.
import { buildApp } from "./built.mjs";
import { installPackages } from "./installed.mjs";
import { serve } from "./serve.mjs";

installPackages();
buildApp();
await serve();
