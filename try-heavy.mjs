import { bundled } from "./scripts/bundled.mjs";

const { run } = await import(bundled("scripts/try-heavy.ts"));
await run();
process.exit(0);
