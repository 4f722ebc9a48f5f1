// npm run move -- postgres://…: carries everything from the data folder to a PostgreSQL server.
// KELLUX_DATABASE_URL=postgres://… npm run move -- FOLDER: and back into a folder.
import { installPackages } from "./installed.mjs";

installPackages();
const { bundled } = await import("./bundled.mjs");
const { move } = await import(bundled("scripts/move/move.ts"));
process.exit(await move(process.argv[2]));
