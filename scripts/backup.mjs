// npm run backup -- FILE: everything that is kept, as one file, also while the app runs.
import { installPackages } from "./installed.mjs";

installPackages();
const { bundled } = await import("./bundled.mjs");
const { backup } = await import(bundled("scripts/backup/backup.ts"));
process.exit(await backup(process.argv[2]));
