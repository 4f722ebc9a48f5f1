import { execFile } from "node:child_process";
import { mkdirSync, mkdtempSync, readFileSync, rmdirSync, rmSync, writeFileSync } from "node:fs";
import { createServer, request as httpRequest, type IncomingMessage } from "node:http";
import { connect } from "node:net";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { gunzipSync } from "node:zlib";
import { expect, test } from "@playwright/test";
import {
  bringIn,
  customersAt,
  manyDeals,
  type OwnServer,
  START,
  startServer,
  stopServer,
} from "./own-server";

const PORT = 4315;
/** Of no pattern, for what repeats is kept small. */
const LONG_NOTES = Array.from({ length: 500 }, (_, k) => (k * 7919 + k * k * 31).toString(36)).join(" ");
const scratch = mkdtempSync(join(tmpdir(), "kellux standing up "));
let folders = 0;
const newFolder = () => join(scratch, `data folder ${++folders}`);
let server: OwnServer | undefined;
test.afterEach(async () => {
  if (server) await stopServer(server);
  server = undefined;
});
test.afterAll(() => rmSync(scratch, { recursive: true, force: true }));

const start = async (folder: string, env: Record<string, string> = {}) => {
  server = await startServer(folder, PORT, env);
  return server;
};

test("where the log cannot be written every request gets a 503, the process ends, and the next has all that was confirmed", async () => {
  test.setTimeout(120_000);
  const folder = newFolder();
  const { address, ended, said } = await start(folder);
  expect((await bringIn(address, manyDeals(30, "Before"))).status).toBe(201);
  // The next segment of the log is made under this name, which now is a folder.
  const inTheWay = join(folder, "database/pg_wal/xlogtemp.42");
  mkdirSync(inTheWay);
  const confirmed = await customersAt(address);
  let failed: Response | undefined;
  for (let batch = 0; batch < 60 && !failed; batch++) {
    // Long ones, for the log to be full soon.
    const answer = await bringIn(address, manyDeals(100, `Batch ${batch}`, LONG_NOTES));
    if (answer.status === 201)
      confirmed.push(...Array.from({ length: 100 }, (_, k) => `Batch ${batch} ${k}`));
    else failed = answer;
  }
  expect([failed?.status, await failed?.json()]).toEqual([
    503,
    { error: expect.stringMatching(/^The database does not answer.*safe; try again in a moment\.$/) },
  ]);
  for (const path of ["/", "/api/deals", "/api/health", "/settings"]) {
    const answer = await fetch(address + path).catch(() => undefined);
    // It may have ended by now.
    if (answer) expect([path, answer.status]).toEqual([path, 503]);
  }
  expect(await ended).toBe(70);
  expect(said()).toContain("The database stopped: could not create file");
  rmdirSync(inTheWay);
  const again = await start(folder);
  // What was confirmed is there; of the file that was not, all deals or none.
  const extra = async () => {
    const there = new Set(await customersAt(again.address));
    return [confirmed.filter(customer => !there.has(customer)), there.size - confirmed.length];
  };
  await expect.poll(async () => [0, 100].includes(Number((await extra())[1]))).toBe(true);
  expect((await extra())[0]).toEqual([]);
});

/** Sends a file of deals in two halves, the second of them when it is told to. */
function slowImport(text: string): { finish: () => void; answer: Promise<number> } {
  const bytes = Buffer.from(text);
  const sending = httpRequest({
    port: PORT,
    host: "127.0.0.1",
    method: "POST",
    path: "/api/deals/all",
    headers: { "Content-Type": "application/x-ndjson", "Content-Length": bytes.length },
  });
  const answer = new Promise<number>((resolve, reject) => {
    sending.once("response", (response: IncomingMessage) => {
      response.resume();
      resolve(response.statusCode ?? 0);
    });
    sending.once("error", reject);
  });
  sending.write(bytes.subarray(0, bytes.length / 2));
  return { finish: () => sending.end(bytes.subarray(bytes.length / 2)), answer };
}

for (const signal of ["SIGTERM", "SIGHUP"] as const) {
  test(`${signal} finishes the requests that are under way, takes no more, and ends in good order`, async () => {
    const folder = newFolder();
    const { address, process: child, ended } = await start(folder);
    const { finish, answer } = slowImport(manyDeals(20));
    // It has been heard of.
    await new Promise(resolve => setTimeout(resolve, 300));
    child.kill(signal);
    await expect
      .poll(() =>
        fetch(`${address}/api/health`).then(
          () => "taken",
          () => "not taken",
        ),
      )
      .toBe("not taken");
    finish();
    expect(await answer).toBe(201);
    expect(await ended).toBe(0);
    const again = await start(folder);
    expect(await customersAt(again.address)).toHaveLength(20);
  });
}

test("it runs without a shell and with nothing on the path, on a data folder with spaces", async () => {
  const folder = newFolder();
  const { address, said } = await start(folder, { PATH: "", SHELL: "", ComSpec: "" });
  expect((await bringIn(address, manyDeals(3))).status).toBe(201);
  expect(said()).toContain(`Kellux keeps its data in ${folder}.`);
});

test("a second server on a folder, and one on a folder that is damaged, end with a sentence", async () => {
  const folder = newFolder();
  await start(folder);
  const second = await startedInVain(folder);
  expect(second).toEqual({ code: 1, said: expect.stringContaining("is in use by another Kellux") });
  if (server) await stopServer(server, "SIGTERM");
  rmSync(join(folder, "database/global/pg_control"));
  const damaged = await startedInVain(folder);
  expect(damaged).toEqual({
    code: 1,
    said: expect.stringContaining("is damaged (global/pg_control is not there)"),
  });
});

function startedInVain(folder: string): Promise<{ code: number; said: string }> {
  const env = { ...process.env, KELLUX_DATA_DIR: folder, PORT: String(PORT + 1) };
  return new Promise(resolve => {
    execFile(process.execPath, ["--input-type=module", "--eval", START], { env }, (error, out, err) =>
      resolve({ code: Number(error?.code ?? 0), said: out + err }),
    );
  });
}

/** Runs one of the app's programs on a data folder. */
function program(
  name: string,
  file: string,
  folder: string,
): Promise<{ code: number; out: string; err: string }> {
  return new Promise(resolve => {
    const env = { ...process.env, KELLUX_DATA_DIR: folder };
    execFile(process.execPath, [`scripts/${name}.mjs`, file], { env }, (error, out, err) =>
      resolve({ code: Number(error?.code ?? 0), out, err }),
    );
  });
}

test("a backup is made while the app runs and while it does not, and restored into an empty folder", async () => {
  const folder = newFolder();
  const { address } = await start(folder, { KELLUX_DEMO: "1" });
  const [running, stopped, restored] = [
    join(scratch, "running.gz"),
    join(scratch, "stopped.gz"),
    newFolder(),
  ];
  const before = await customersAt(address);
  // What the register shows is made by itself, and is kept.
  const register = async () => (await fetch(`${address}/api/deals`)).text();
  await expect.poll(register, { timeout: 20_000 }).not.toContain('"isMade":false');
  await expect
    .poll(async () => (await fetch(`${address}/api/deals?page=2`)).text())
    .not.toContain('"isMade":false');
  expect(await program("backup", running, folder)).toMatchObject({
    code: 0,
    out: expect.stringMatching(new RegExp(`${before.length} deals, \\d+ rows, .* read again and whole`)),
  });
  expect((await program("backup", running, folder)).err).toContain("is there already");
  expect((await program("restore", running, folder)).err).toContain("is not empty");
  if (server) await stopServer(server, "SIGTERM");
  expect((await program("backup", stopped, folder)).code).toBe(0);
  const rows = (file: string) =>
    gunzipSync(readFileSync(file)).toString("utf8").split("\n").slice(1, -2).sort();
  expect(rows(stopped)).toEqual(rows(running));
  expect(await program("restore", stopped, restored)).toMatchObject({
    code: 0,
    out: expect.stringContaining(`${before.length} deals of the backup of`),
  });
  expect((await program("restore", join(scratch, "nothing.gz"), newFolder())).err).toContain(
    "There is no file",
  );
  const again = await start(restored);
  expect(await customersAt(again.address)).toEqual(before);
});

test.describe("in the browser", () => {
  test.use({ baseURL: `http://localhost:${PORT}` });

  test("all deals leave as one file and come in again; a backup is saved, and restored over everything", async ({
    page,
  }) => {
    test.setTimeout(90_000);
    const folder = newFolder();
    const { address } = await start(folder);
    await bringIn(address, manyDeals(3, "Kept"));
    await page.goto("/");
    const saving = page.waitForEvent("download");
    await page.getByRole("link", { name: "All deals as a file" }).click();
    const deals = join(scratch, "deals.ndjson");
    await (await saving).saveAs(deals);

    await page.goto("/settings");
    const backingUp = page.waitForEvent("download");
    await page.getByRole("link", { name: "Save a backup" }).click();
    const backup = join(scratch, "saved.ndjson.gz");
    await (await backingUp).saveAs(backup);

    await page.goto("/");
    await page.getByLabel("Deal files").setInputFiles(deals);
    await expect(page.getByText("3 deals were brought in.")).toBeVisible();
    expect(await customersAt(address)).toHaveLength(6);

    await page.goto("/settings");
    const damaged = join(scratch, "damaged.ndjson.gz");
    writeFileSync(damaged, readFileSync(backup).subarray(0, -30));
    await page.getByLabel("Backup to restore").setInputFiles(damaged);
    await page.getByRole("button", { name: "Restore it" }).click();
    await expect(page.getByText("The backup is not whole")).toBeVisible();
    expect(await customersAt(address)).toHaveLength(6);

    await page.getByLabel("Backup to restore").setInputFiles(backup);
    await page.getByRole("button", { name: "Leave everything as it is" }).click();
    await expect(page.getByRole("dialog")).toBeHidden();
    await page.getByLabel("Backup to restore").setInputFiles(backup);
    await page.getByRole("button", { name: "Restore it" }).click();
    await expect(page.getByText(/3 deals of saved\.ndjson\.gz are back/)).toBeVisible({ timeout: 30_000 });
    expect(await customersAt(address)).toEqual(["Kept 0", "Kept 1", "Kept 2"]);

    // What was there before can be brought back, too.
    await page.goto("/settings");
    await page.getByRole("button", { name: /^Restore the copy of/ }).click();
    await page.getByRole("button", { name: "Restore it" }).click();
    await expect(page.getByText(/6 deals of the copy of .* are back/)).toBeVisible({ timeout: 30_000 });
    expect(await customersAt(address)).toHaveLength(6);
    // A page that was open goes on with what is there now.
    await page.goto("/");
    await expect(page.getByRole("row")).toHaveCount(7);
  });

  test("little room on the disk is warned of on the screen and in what the server says of its health", async ({
    page,
  }) => {
    const { address, said } = await start(newFolder(), { KELLUX_LOW_SPACE: String(2 ** 52) });
    await page.goto("/");
    await expect(page.getByRole("main").getByRole("alert")).toContainText(
      /^Only .* are left on the disk that holds the data/,
    );
    expect(said()).toContain("are left on the disk that holds the data");
    const health = await (await fetch(`${address}/api/health`)).json();
    expect(health).toMatchObject({
      database: "answers",
      freeBytes: expect.any(Number),
      newestBackup: null,
      warning: expect.stringContaining("are left"),
    });
  });
});

test("behind a reverse proxy its public origin is its own, and no other", async () => {
  const outside = "https://deals.tarn-and-hollow.test";
  await start(newFolder(), { KELLUX_ORIGIN: outside });
  const proxy = createServer((asked, answer) => {
    const { url, method, headers } = asked;
    const passed = httpRequest({ port: PORT, host: "127.0.0.1", path: url, method, headers }, inner => {
      answer.writeHead(inner.statusCode ?? 0, inner.headers);
      inner.pipe(answer);
    });
    asked.pipe(passed);
  }).listen(PORT + 2, "127.0.0.1");
  const send = (method: string, headers: Record<string, string>): Promise<number> =>
    new Promise(resolve => {
      const sending = httpRequest(
        { port: PORT + 2, host: "127.0.0.1", path: "/api/deals/all", method, headers },
        answer => {
          answer.resume();
          resolve(answer.statusCode ?? 0);
        },
      );
      sending.end(method === "POST" ? manyDeals(1) : undefined);
    });
  const own = { host: "deals.tarn-and-hollow.test", "content-type": "application/x-ndjson" };
  const sent = { ...own, origin: outside, "sec-fetch-site": "same-origin" };
  expect(await send("GET", own)).toBe(200);
  expect(await send("GET", { ...own, host: "deals.tarn-and-hollow.test:443" })).toBe(200);
  expect(await send("POST", sent)).toBe(201);
  expect(await send("GET", { host: "elsewhere.test" })).toBe(403);
  expect(await send("POST", { ...sent, origin: "http://deals.tarn-and-hollow.test" })).toBe(403);
  expect(await send("POST", { ...sent, origin: "https://elsewhere.test" })).toBe(403);
  expect(await send("POST", { ...sent, "sec-fetch-site": "cross-site" })).toBe(403);
  proxy.close();
});

/** What comes back for bytes that are sent as they are. */
const rawAnswer = (bytes: string): Promise<string> =>
  new Promise(resolve => {
    const socket = connect(PORT, "127.0.0.1", () => socket.write(bytes));
    let heard = "";
    socket.on("data", chunk => {
      heard += chunk;
    });
    socket.on("close", () => resolve(heard));
    setTimeout(() => socket.end(), 500);
  });

const HEADERS = [
  "content-security-policy: ",
  "x-content-type-options: nosniff",
  "x-frame-options: DENY",
  "referrer-policy: no-referrer",
  "cross-origin-opener-policy: same-origin",
  "cross-origin-resource-policy: same-origin",
  "permissions-policy: ",
];

test("what is no request of the app's gets a 4xx, and every answer carries the headers", async () => {
  await start(newFolder());
  const asks: [first: string, status: RegExp][] = [
    ["GET / HTTP/1.1", /^200/],
    ["GET /api/health HTTP/1.1", /^200/],
    ["GET /deals/ HTTP/1.1", /^308/],
    ["GET /nowhere HTTP/1.1", /^404/],
    ["GET /api/nowhere HTTP/1.1", /^404/],
    ["GET /_next/static/nowhere.js HTTP/1.1", /^404/],
    ["GET /_next/image?url=x HTTP/1.1", /^400/],
    ["PUT /api/health HTTP/1.1", /^405/],
    ["OPTIONS /api/deals HTTP/1.1", /^204/],
    ["OPTIONS * HTTP/1.1", /^400/],
    ["TRACE / HTTP/1.1", /^405/],
    ["CONNECT elsewhere:443 HTTP/1.1", /^405/],
    ["PATCH /api/deals HTTP/1.1", /^405/],
    ["POST / HTTP/1.1", /^405/],
    ["PUT /_next/static/x.js HTTP/1.1", /^405/],
    ["DELETE /icon.svg HTTP/1.1", /^405/],
    ["GET /%E0%A4%A HTTP/1.1", /^400/],
    ["GET /%ff HTTP/1.1", /^400/],
    ["GET /api/deals?search=%FF HTTP/1.1", /^400/],
    ["GET /deals/%00 HTTP/1.1", /^400/],
    ["GET http://elsewhere.test/ HTTP/1.1", /^400/],
    [`GET /${"x".repeat(9000)} HTTP/1.1`, /^414/],
    [`GET /${"x".repeat(20_000)} HTTP/1.1`, /^431/],
    ["nonsense", /^400/],
  ];
  for (const [first, status] of asks) {
    const answer = await rawAnswer(`${first}\r\nHost: localhost:${PORT}\r\nConnection: close\r\n\r\n`);
    const where = first.slice(0, 60);
    expect([where, answer.slice("HTTP/1.1 ".length, 12 + "HTTP/1.1 ".length)]).toEqual([
      where,
      expect.stringMatching(status),
    ]);
    const head = answer.split("\r\n\r\n")[0]?.toLowerCase() ?? "";
    expect([where, head]).toEqual([where, expect.stringMatching(/cache-control: .*no-store/)]);
    for (const header of HEADERS)
      expect([where, head]).toEqual([where, expect.stringContaining(header.toLowerCase())]);
  }
  // But for the app's own code, whose name follows from what is in it.
  const script = /\/_next\/static\/[^"]+\.js/.exec(
    await rawAnswer(`GET / HTTP/1.1\r\nHost: localhost:${PORT}\r\nConnection: close\r\n\r\n`),
  );
  const code = await fetch(`http://localhost:${PORT}${script?.[0]}`);
  expect([code.status, code.headers.get("cache-control")]).toEqual([
    200,
    expect.stringContaining("immutable"),
  ]);
});
