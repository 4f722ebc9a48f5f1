import { existsSync, mkdirSync, readFileSync, rmdirSync, rmSync } from "node:fs";
import { request as httpRequest, type IncomingMessage } from "node:http";
import { join } from "node:path";
import { expect } from "@playwright/test";
import { isAnswering } from "./is-answering";
import { bringIn, customersAt, KEEP_RUNNING, manyDeals, runToItsEnd, START, test } from "./own-server";

/** Of no pattern, for what repeats is kept small. */
const LONG_NOTES = Array.from({ length: 500 }, (_, k) => (k * 7919 + k * k * 31).toString(36)).join(" ");

test("where the log cannot be written every request gets a 503, the process ends, and the next has all that was confirmed", async ({
  own,
}) => {
  const folder = own.newFolder();
  const { address, ended, said } = await own.start(folder);
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
  const again = await own.start(folder);
  // What was confirmed is there; of the file that was not, all deals or none.
  const extra = async () => {
    const there = new Set(await customersAt(again.address));
    return [confirmed.filter(customer => !there.has(customer)), there.size - confirmed.length];
  };
  await expect.poll(async () => [0, 100].includes(Number((await extra())[1]))).toBe(true);
  expect((await extra())[0]).toEqual([]);
});

/** Sends a file of deals in two halves, the second of them when it is told to. */
function slowImport(port: number, text: string): { finish: () => void; answer: Promise<number> } {
  const bytes = Buffer.from(text);
  const sending = httpRequest({
    port,
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
  test(`${signal} finishes the requests that are under way, takes no more, and ends in good order`, async ({
    own,
  }) => {
    const folder = own.newFolder();
    const { address, process: child, ended } = await own.start(folder);
    const { finish, answer } = slowImport(own.port, manyDeals(20));
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
    const again = await own.start(folder);
    expect(await customersAt(again.address)).toHaveLength(20);
  });
}

test("npm start serves the app again after an end that nobody asked for, and ends when it is told to, or is gone", async ({
  own,
}) => {
  const folder = own.newFolder();
  const { address, ended, said } = await own.start(folder, {}, KEEP_RUNNING);
  expect((await bringIn(address, manyDeals(3))).status).toBe(201);
  const serving = () => JSON.parse(readFileSync(join(folder, "in-use.json"), "utf8")).pid as number;
  const first = serving();
  process.kill(first, "SIGKILL");
  await expect.poll(() => isAnswering(address), { timeout: 40_000 }).toBe(true);
  expect(serving()).not.toBe(first);
  expect(await customersAt(address)).toHaveLength(3);
  expect(said()).toContain("Kellux has ended (SIGKILL) and is started again.");
  void own.stop("SIGTERM");
  expect(await ended).toBe(0);
  expect(existsSync(join(folder, "in-use.json"))).toBe(false);
  // Where the program that keeps it running is gone, it ends in good order by itself.
  await own.start(folder, {}, KEEP_RUNNING);
  await own.stop("SIGKILL");
  await expect.poll(() => existsSync(join(folder, "in-use.json")), { timeout: 20_000 }).toBe(false);
});

test("it runs without a shell and with nothing on the path, on a data folder with spaces that is not there yet", async ({
  own,
}) => {
  const folder = own.emptyFolder();
  const { address, said } = await own.start(folder, { PATH: "", SHELL: "", ComSpec: "" });
  expect((await bringIn(address, manyDeals(3))).status).toBe(201);
  expect(said()).toContain(`Kellux keeps its data in ${folder}.`);
});

test("a second server on a folder, and one on a folder that is damaged, end with a sentence", async ({
  own,
}) => {
  const folder = own.newFolder();
  await own.start(folder);
  const second = () =>
    runToItsEnd(["--input-type=module", "--eval", START], folder, { PORT: String(own.port + 1) });
  expect(await second()).toMatchObject({
    code: 1,
    err: expect.stringContaining("is in use by another Kellux"),
  });
  await own.stop("SIGTERM");
  rmSync(join(folder, "database/global/pg_control"));
  expect(await second()).toMatchObject({
    code: 1,
    err: expect.stringContaining("is damaged (global/pg_control is not there)"),
  });
});

test("little room on the disk is warned of on the screen and in what the server says of its health", async ({
  page,
  own,
}) => {
  const { address, said } = await own.start(own.newFolder(), { KELLUX_LOW_SPACE: String(2 ** 52) });
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
