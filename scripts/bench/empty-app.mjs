// A page that says one word, built by the same Next: what any page of the app costs before the app's own code.
import { execFileSync } from "node:child_process";
import { mkdirSync, writeFileSync } from "node:fs";
import { join, resolve } from "node:path";

const FILES = {
  "package.json": `{ "name": "empty-page", "private": true, "type": "module" }`,
  "app/layout.jsx": "export default ({ children }) => <html lang='en'><body>{children}</body></html>;",
  "app/page.jsx": "export default () => <p>Empty</p>;",
};

/** Builds the empty page inside the app's build, where its packages are found, and gives its folder. */
export function emptyApp() {
  const folder = resolve(".next/empty-page");
  mkdirSync(join(folder, "app"), { recursive: true });
  for (const [name, text] of Object.entries(FILES)) writeFileSync(join(folder, name), text);
  execFileSync(process.execPath, [resolve("node_modules/next/dist/bin/next"), "build"], {
    cwd: folder,
    stdio: "ignore",
    env: { ...process.env, NEXT_TELEMETRY_DISABLED: "1" },
  });
  return folder;
}
