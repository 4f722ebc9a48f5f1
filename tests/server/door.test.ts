import { DatabaseAway } from "@/data/away";
import { newDealDocument } from "@/exchange/new-deal/new-deal";
import { answer, readBody } from "@/server/door";
import { checkNewDealRequest } from "@/server/requests";

// Whoever asks here is at a desk where nobody has a name: no data is opened to learn that.
Object.assign(globalThis, {
  kelluxWho: {
    hasPeople: false,
    askedUntil: Number.POSITIVE_INFINITY,
    house: undefined,
    visits: new Map(),
    forgotten: 0,
  },
});

const ASKED = new Request("http://desk/");

const accepted = (value: unknown) => ({ ok: true as const, value });

test("a full disk is said to be one, however deep it lies in the error", async () => {
  const cause = Object.assign(new Error("could not extend file"), { code: "53100" });
  jest.spyOn(console, "error").mockImplementation(() => undefined);
  const response = await answer(ASKED, "stranger", async () => {
    throw new Error("Failed query", { cause });
  });
  expect(response.status).toBe(507);
  expect(await response.json()).toEqual({ error: "The server's disk is full." });
});

test("any other failure is the framework's to answer", async () => {
  await expect(
    answer(ASKED, "stranger", async () => {
      throw new Error("no such thing");
    }),
  ).rejects.toThrow("no such thing");
});

test("a body over the limit is refused with its size and the most that is accepted", async () => {
  const body = JSON.stringify("x".repeat(1_234_567));
  const request = new Request("http://desk/", {
    method: "POST",
    headers: { "content-type": "application/json", "content-length": String(body.length) },
    body,
  });
  const response = await answer(ASKED, "stranger", () => readBody(request, accepted));
  expect(response.status).toBe(413);
  expect(await response.json()).toEqual({ error: "The body is 1.23 MB; at most 500 kB is accepted." });
});

const sent = (body: Uint8Array<ArrayBuffer> | string) =>
  new Request("http://desk/", { method: "POST", headers: { "content-type": "application/json" }, body });

test.each([
  ["bytes that are no text", Buffer.from('{"a":"\xff"}', "latin1"), "The body is not text in UTF-8."],
  ["a character that is cut off", Buffer.from('{"a":"🚐"}').subarray(0, 8), "The body is not text in UTF-8."],
  [
    "half of a character",
    '{"a":["\\ud83d"]}',
    "The text holds half of a character (a surrogate without its other half).",
  ],
  ["no JSON", "{", "The body is not JSON."],
])("a body with %s is refused, not mended", async (_, body, error) => {
  const response = await answer(ASKED, "stranger", () => readBody(sent(body as string), accepted));
  expect([response.status, await response.json()]).toEqual([400, { error }]);
});

test("a body with a whole emoji, and with a mark of its byte order, is taken as it is", async () => {
  const response = await answer(ASKED, "stranger", () =>
    readBody(sent('\ufeff{"a":"🚐 \\ud83d\\ude90"}'), accepted),
  );
  expect([response.status, await response.json()]).toEqual([200, { a: "🚐 🚐" }]);
});

test("a database that is away is a 503 with a sentence, whichever bundle's error it is", async () => {
  jest.spyOn(console, "error").mockImplementation(() => undefined);
  for (const error of [
    new DatabaseAway("hangs"),
    Object.assign(new Error("hangs"), { code: "DATABASE_AWAY" }),
  ]) {
    const response = await answer(ASKED, "stranger", () => Promise.reject(error));
    expect([response.status, response.headers.get("cache-control")]).toEqual([503, "no-store, no-transform"]);
    expect((await response.json()).error).toMatch(/^The database does not answer.*\.$/);
  }
});

test.each([
  ["a customer of half a million letters", { customer: "x".repeat(480_000) }],
  ["a customer of accents alone", { customer: "\u0301".repeat(200_000) }],
  ["a member with such a name", { ["x".repeat(480_000)]: 1 }],
  ["a currency of as many letters", { options: [{ inputs: { currency: "X".repeat(470_000) } }] }],
])("%s is refused in a short sentence", async (_, part) => {
  const body = JSON.stringify({ document: { ...newDealDocument("2026-11-24"), ...part } });
  const response = await answer(ASKED, "stranger", () => readBody(sent(body), checkNewDealRequest));
  expect(response.status).toBe(422);
  expect((await response.json()).error.length).toBeLessThan(400);
});

test("a body that is not as long as was announced is refused: it was cut off", async () => {
  for (const announced of ["999", "3"]) {
    const request = new Request("http://desk/", {
      method: "POST",
      headers: { "content-type": "application/json", "content-length": announced },
      body: '{"a":1}',
    });
    const response = await answer(ASKED, "stranger", () => readBody(request, accepted));
    expect([response.status, await response.json()]).toEqual([
      400,
      { error: "The body was cut off on its way; send it again." },
    ]);
  }
});

test("a body that lies 5,000 deep is refused, not failed at", async () => {
  const body = `${"[".repeat(5000)}"\\ud83d\\ude90"${"]".repeat(5000)}`;
  const response = await answer(ASKED, "stranger", () => readBody(sent(body), accepted));
  expect(response.status).toBe(400);
  expect((await response.json()).error).toMatch(/64 deep/);
});
