// Serves the built app with the demo data in a folder of its own, which goes when the tests are done.
import { mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { serve } from "../scripts/serve.mjs";

const folder = mkdtempSync(join(tmpdir(), "kellux-e2e-"));
process.on("exit", () => rmSync(folder, { recursive: true, force: true }));
serve({ KELLUX_DEMO: "1", KELLUX_DATA_DIR: folder });
