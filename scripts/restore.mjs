// npm run restore -- FILE: brings a backup into an empty data folder.
import { installPackages } from "./installed.mjs";

installPackages();
const { bundled } = await import("./bundled.mjs");
const { restore } = await import(bundled("scripts/backup/restore.ts"));
process.exit(await restore(process.argv[2]));
