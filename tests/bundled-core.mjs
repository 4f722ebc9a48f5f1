// The core as one file of plain JavaScript, as the app has it. What is compiled file by file as it loads
// calls every function through its module, which slows the tests of many thousand random deals down.
import { buildSync } from "esbuild";

export function bundleCore() {
  buildSync({
    entryPoints: ["src/core/index.ts"],
    outfile: "node_modules/.cache/kellux/core.cjs",
    bundle: true,
    platform: "node",
    format: "cjs",
    target: "node20",
    logLevel: "error",
  });
}
