// The browser that the browser tests run in: one that is installed, else one that is fetched.
import { existsSync } from "node:fs";
import { homedir } from "node:os";
import { join } from "node:path";
import { installByApt } from "./apt.mjs";
import { run } from "./installed.mjs";
import { programOf } from "./programs.mjs";

const PLACES = {
  linux: [
    "/usr/bin/chromium",
    "/usr/bin/chromium-browser",
    "/snap/bin/chromium",
    "/usr/bin/google-chrome",
    "/usr/bin/google-chrome-stable",
    "/opt/google/chrome/chrome",
    "/usr/bin/microsoft-edge",
    "/usr/bin/microsoft-edge-stable",
  ],
  darwin: ["/Applications", join(homedir(), "Applications")].flatMap(folder =>
    ["Chromium", "Google Chrome", "Microsoft Edge"].map(
      name => `${folder}/${name}.app/Contents/MacOS/${name}`,
    ),
  ),
  win32: ["ProgramFiles", "ProgramFiles(x86)", "LocalAppData"].flatMap(name => {
    const folder = process.env[name];
    const programs = [
      "Chromium/Application/chrome.exe",
      "Google/Chrome/Application/chrome.exe",
      "Microsoft/Edge/Application/msedge.exe",
    ];
    return folder ? programs.map(program => join(folder, program)) : [];
  }),
};

/** The browser that is named by CHROMIUM_PATH, or that is installed; undefined where there is none. */
export function installedBrowser() {
  const named = process.env.CHROMIUM_PATH;
  if (named) return named;
  return (PLACES[process.platform] ?? []).find(path => existsSync(path));
}

/**
 * Sees that there is a browser: an installed Chromium, Chrome or Edge, then Chromium by apt, then Playwright's own.
 *
 * @returns its path; undefined for Playwright's own
 */
export function provideBrowser() {
  const installed = installedBrowser() ?? (installByApt("chromium") ? installedBrowser() : undefined);
  if (installed) {
    console.log(`Browser: ${installed}`);
    return installed;
  }
  run(process.execPath, [programOf("@playwright/test", "playwright"), "install", "chromium"]);
  console.log("Browser: Playwright's own Chromium");
  return undefined;
}
