// npm run demo: installs and builds what is missing, then serves the app with the demo data.
import { buildApp } from "./built.mjs";
import { installPackages } from "./installed.mjs";
import { serve } from "./serve.mjs";

installPackages();
buildApp();
await serve({ KELLUX_DEMO: "1" });
