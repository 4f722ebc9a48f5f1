import { createServer, request as httpRequest } from "node:http";
import { connect } from "node:net";
import { chromium, expect } from "@playwright/test";
import { installedBrowser } from "../scripts/browser.mjs";
import { addedPerson, firstPerson, PASSWORD } from "./house-of-people";
import { manyDeals, test } from "./own-server";

test("behind a reverse proxy its public origin is its own, and no other", async ({ own }) => {
  const outside = "https://deals.tarn-and-hollow.test";
  await own.start(own.newFolder(), { KELLUX_ORIGIN: outside });
  const proxy = createServer((request, answer) => {
    const { url, method, headers } = request;
    const passed = httpRequest({ port: own.port, host: "127.0.0.1", path: url, method, headers }, inner => {
      answer.writeHead(inner.statusCode ?? 0, inner.headers);
      inner.pipe(answer);
    });
    request.pipe(passed);
  }).listen(own.port + 2, "127.0.0.1");
  const send = (method: string, headers: Record<string, string>): Promise<number> =>
    new Promise(resolve => {
      const sending = httpRequest(
        { port: own.port + 2, host: "127.0.0.1", path: "/api/deals/all", method, headers },
        answer => {
          answer.resume();
          resolve(answer.statusCode ?? 0);
        },
      );
      sending.end(method === "POST" ? manyDeals(1) : undefined);
    });
  const asked = { host: "deals.tarn-and-hollow.test", "content-type": "application/x-ndjson" };
  const sent = { ...asked, origin: outside, "sec-fetch-site": "same-origin" };
  expect(await send("GET", asked)).toBe(200);
  expect(await send("GET", { ...asked, host: "deals.tarn-and-hollow.test:443" })).toBe(200);
  expect(await send("POST", sent)).toBe(201);
  expect(await send("GET", { host: "elsewhere.test" })).toBe(403);
  expect(await send("POST", { ...sent, origin: "http://deals.tarn-and-hollow.test" })).toBe(403);
  expect(await send("POST", { ...sent, origin: "https://elsewhere.test" })).toBe(403);
  expect(await send("POST", { ...sent, "sec-fetch-site": "cross-site" })).toBe(403);
  proxy.close();
});

/** What comes back for bytes that are sent as they are. */
const rawAnswer = (port: number, bytes: string): Promise<string> =>
  new Promise(resolve => {
    const socket = connect(port, "127.0.0.1", () => socket.write(bytes));
    let heard = "";
    socket.on("data", chunk => {
      heard += chunk;
    });
    socket.on("close", () => resolve(heard));
    // Each asks for the connection to be closed.
    socket.setTimeout(10_000, () => socket.destroy());
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

test("what is no request of the app's gets a 4xx, and every answer carries the headers", async ({ own }) => {
  await own.start(own.newFolder());
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
    const answer = await rawAnswer(
      own.port,
      `${first}\r\nHost: localhost:${own.port}\r\nConnection: close\r\n\r\n`,
    );
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
    await rawAnswer(own.port, `GET / HTTP/1.1\r\nHost: localhost:${own.port}\r\nConnection: close\r\n\r\n`),
  );
  const code = await fetch(`http://localhost:${own.port}${script?.[0]}`);
  expect([code.status, code.headers.get("cache-control")]).toEqual([
    200,
    expect.stringContaining("immutable"),
  ]);
});

test("over a network without encryption deals are made, saved, taken up again and copied from", async ({
  own,
}) => {
  const folder = own.newFolder();
  // Others are let in once somebody has a name, who signs in.
  const alone = await own.start(folder);
  const administrator = await firstPerson(alone.address);
  await addedPerson(alone.address, administrator, { name: "Ivo", username: "ivo", roles: ["officer"] });
  await own.stop("SIGTERM");
  await own.start(folder, { KELLUX_HOST: "0.0.0.0", KELLUX_NAMES: "desk.test" });
  const browser = await chromium.launch({
    executablePath: installedBrowser(),
    args: ["--no-sandbox", "--host-resolver-rules=MAP desk.test 127.0.0.1"],
  });
  const context = await browser.newContext({ locale: "en-US" });
  const page = await context.newPage();
  await page.goto(`http://desk.test:${own.port}/`);
  await page.getByLabel("Name").fill("ivo");
  await page.getByLabel("Password").fill(PASSWORD);
  await page.keyboard.press("Enter");
  await expect(page.getByRole("heading", { name: "Deals" })).toBeVisible();
  // Such a page has less of its browser than one of this machine.
  expect(await page.evaluate(() => [isSecureContext, "locks" in navigator])).toEqual([false, false]);
  await page.getByRole("button", { name: "New deal" }).click();
  await page.getByLabel("Customer").fill("Isolde Crane");
  await page.getByLabel("Yearly rate").fill("6.49");
  await page.getByLabel("Number of payments").fill("72");
  await page.getByLabel("Price", { exact: true }).fill("41850");
  await expect(page.getByTestId("save-status")).toContainText(/^Saved \d/);
  // What cannot be saved as the page goes is taken up by the next one, and by no other that is open.
  await page.route("**/api/deals/*", route => route.abort());
  await page.getByLabel("Price", { exact: true }).fill("42000");
  await expect(page.getByTestId("save-status")).toContainText("Not saved");
  await page.unroute("**/api/deals/*");
  await page.reload();
  await expect(page.getByLabel("Price", { exact: true })).toHaveValue("42,000.00");
  await expect(page.getByTestId("save-status")).toContainText(/^Saved \d/);
  await page.getByRole("button", { name: "+ Option" }).click();
  await page
    .getByRole("button", { name: /^Make \d option/ })
    .first()
    .click();
  await page.getByRole("button", { name: "Line-up", exact: true }).click();
  await page.getByRole("button", { name: "Copy for a spreadsheet" }).click();
  await expect(page.getByText("Copied; paste it into a spreadsheet.")).toBeVisible();
  await browser.close();
});
