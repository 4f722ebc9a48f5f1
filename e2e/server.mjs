// Serves the built app with the demo data in a folder of its own, which goes when the tests are done. With MANY_DEALS
// the folder holds so many made-up deals instead.
import { mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { bundled } from "../scripts/bundled.mjs";
import { serve } from "../scripts/serve.mjs";
import { copyFreshData } from "../tests/fresh-data.mjs";

const folder = mkdtempSync(join(tmpdir(), "kellux-e2e-"));
process.on("exit", () => rmSync(folder, { recursive: true, force: true }));
copyFreshData(folder);
if (process.env.MANY_DEALS) {
  const { fillWithDeals } = await import(bundled("scripts/many-deals.ts"));
  await fillWithDeals(folder, Number(process.env.MANY_DEALS));
}
await serve({ KELLUX_DEMO: "1", KELLUX_DATA_DIR: folder });
