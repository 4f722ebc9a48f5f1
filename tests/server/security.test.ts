import { refusalReason } from "@/server/edge/foreign";
import { keeping } from "@/server/edge/headers";
import { turnedAway } from "@/server/edge/turned-away";

const OUTSIDE = "https://deals.tarn-and-hollow.test";
const whoIsThere = globalThis as { kelluxHasPeople?: boolean };
afterEach(() => {
  delete whoIsThere.kelluxHasPeople;
  delete process.env.KELLUX_ORIGIN;
  delete process.env.KELLUX_HOST;
  delete process.env.KELLUX_NAMES;
});
const asked = (method: string, headers: Record<string, string>) => refusalReason(method, headers);

test("without a public origin it answers to names of this machine alone; to others to addresses and settled names", () => {
  for (const host of ["localhost:4310", "127.0.0.1", "[::1]:4310"])
    expect(asked("GET", { host })).toBeUndefined();
  expect(asked("GET", { host: "deals.tarn-and-hollow.test" })).toMatch(
    /answers only to localhost; set KELLUX_ORIGIN/,
  );
  process.env.KELLUX_HOST = "0.0.0.0";
  // While nobody has a name, nobody beyond this machine is asked for one.
  expect(asked("GET", { host: "192.168.7.20:4310" })).toMatch(/^Nobody has a name here yet/);
  expect(asked("GET", { host: "localhost:4310" })).toBeUndefined();
  whoIsThere.kelluxHasPeople = true;
  for (const host of ["192.168.7.20:4310", "[fd00::7]:4310", "127.0.0.1:4310"])
    expect([host, asked("GET", { host })]).toEqual([host, undefined]);
  // A page elsewhere can point a name of its own here, and read what it likes.
  for (const host of ["deals.tarn-and-hollow.test", "desk:4310", "192.168.7.20.elsewhere.test", "", "%"])
    expect([host, asked("GET", { host })]).toEqual([host, expect.stringContaining("KELLUX_NAMES")]);
  process.env.KELLUX_NAMES = "Desk, deals.tarn-and-hollow.test";
  for (const host of ["desk:4310", "DEALS.tarn-and-hollow.test"])
    expect([host, asked("GET", { host })]).toEqual([host, undefined]);
  expect(asked("PUT", { host: "desk:4310", origin: "http://elsewhere.test" })).toMatch(/own pages/);
  expect(asked("PUT", { host: "desk:4310", origin: "http://desk:4310" })).toBeUndefined();
  // What comes encrypted comes from a page of somebody else's server, whatever it is called.
  expect(asked("PUT", { host: "desk:4310", origin: "https://desk:4310" })).toMatch(/own pages/);
});

test("with one it answers to that name and to this machine's, wherever it listens", () => {
  process.env.KELLUX_ORIGIN = OUTSIDE;
  process.env.KELLUX_HOST = "0.0.0.0";
  const host = "deals.tarn-and-hollow.test";
  for (const known of [host, `${host}:443`, "localhost:4310"])
    expect([known, asked("GET", { host: known })]).toEqual([known, undefined]);
  for (const other of ["", "elsewhere.test", `${host}:444`, `${host}.elsewhere.test`, "%"])
    expect([other, asked("GET", { host: other })]).toEqual([other, expect.stringContaining(OUTSIDE)]);
});

test.each([
  ["its own page", "https://deals.tarn-and-hollow.test", undefined],
  ["no page at all", null, undefined],
  ["the same name without encryption", "http://deals.tarn-and-hollow.test", "refused"],
  ["another port of it", "https://deals.tarn-and-hollow.test:8443", "refused"],
  ["this machine", "http://localhost:4310", "refused"],
  ["nowhere", "null", "refused"],
])("a change to the public name is taken from it alone: %s", (_, origin, refused) => {
  process.env.KELLUX_ORIGIN = OUTSIDE;
  const reason = asked("PUT", { host: "deals.tarn-and-hollow.test", ...(origin && { origin }) });
  expect(reason === undefined ? undefined : "refused").toBe(refused);
});

test.each([
  ["GET", "/deals/1?search=%F0%9F%9A%90", undefined],
  ["OPTIONS", "/api/deals", undefined],
  ["POST", "/api/deals", undefined],
  ["OPTIONS", "*", 400],
  ["GET", "http://elsewhere.test/", 400],
  ["GET", "/%", 400],
  ["GET", "/%C3", 400],
  ["GET", "/?a=%C3%28", 400],
  ["GET", "/a%0d%0ab", 400],
  ["GET", "/a%5Cb", 400],
  ["TRACE", "/", 405],
  ["PUT", "/", 405],
  ["DELETE", "/_next/static/x.js", 405],
  ["POST", "/apis", 405],
  ["GET", `/${"x".repeat(8000)}`, 414],
])("%s %s comes to %s at the edge", (method, address, status) => {
  expect(turnedAway(method, address)?.status).toBe(status);
});

test("nothing is kept by a browser but the app's own code, where it is there", () => {
  expect(keeping("/_next/static/chunks/x.js", 200)).toBeUndefined();
  expect(keeping("/_next/static/chunks/x.js", 404)).toBe("no-store");
  for (const address of ["/", "/api/deals", "/icon.svg", "/x?/_next/static/"])
    expect(keeping(address, 200)).toBe("no-store");
});
