import { type ChildProcess, spawn } from "node:child_process";
import { type Browser, chromium } from "@playwright/test";
import { installedBrowser } from "../browser.mjs";

const ENOUGH = 300;

/** A server of a tree or of the empty page, with its address and how it is stopped. */
export type Served = { address: string; stop: () => void };

/** Serves a built tree with its demo data in a folder of its own, or with so many made-up deals. */
export const serveTree = (folder: string, port: number, deals?: number): Promise<Served> =>
  served(folder, ["e2e/server.mjs"], port, deals === undefined ? {} : { MANY_DEALS: String(deals) });

/** Serves this tree's data from a database of a PostgreSQL server, with an empty folder for copies. */
export const serveOnServer = (url: string, folder: string, port: number): Promise<Served> =>
  served(process.cwd(), ["scripts/serving.mjs"], port, {
    KELLUX_DATABASE_URL: url,
    KELLUX_DATA_DIR: folder,
  });

/** Serves the built empty page. */
export const serveEmpty = (folder: string, port: number): Promise<Served> => {
  const next = `${process.cwd()}/node_modules/next/dist/bin/next`;
  return served(folder, [next, "start", "-H", "127.0.0.1", "-p", String(port)], port);
};

async function served(cwd: string, program: string[], port: number, env = {}): Promise<Served> {
  const server = spawn(process.execPath, program, {
    cwd,
    env: { ...process.env, PORT: String(port), NEXT_TELEMETRY_DISABLED: "1", ...env },
    stdio: "ignore",
  });
  const address = `http://localhost:${port}`;
  await untilServed(server, address);
  return { address, stop: () => server.kill("SIGTERM") };
}

async function untilServed(server: ChildProcess, address: string): Promise<void> {
  for (let attempt = 0; attempt < ENOUGH; attempt++) {
    if (server.exitCode !== null) throw new Error("The server stopped.");
    const answered = await fetch(address).then(
      response => response.ok,
      () => false,
    );
    if (answered) return;
    await new Promise(resolve => setTimeout(resolve, 200));
  }
  throw new Error("The server does not answer.");
}

export const openBrowser = (): Promise<Browser> =>
  chromium.launch({
    executablePath: installedBrowser(),
    args: ["--no-sandbox", "--disable-background-networking", "--no-first-run"],
  });
