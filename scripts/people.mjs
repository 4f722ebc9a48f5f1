// npm run people -- add NAME: makes somebody who works here, from the server itself. npm run people lists them.
import { installPackages } from "./installed.mjs";

installPackages();
const { bundled } = await import("./bundled.mjs");
const { people } = await import(bundled("scripts/people/people.ts"));
process.exit(await people(process.argv.slice(2)));
