import { answer, readBody } from "@/server/door";

const accepted = (value: unknown) => ({ ok: true as const, value });

test("a full disk is said to be one, however deep it lies in the error", async () => {
  const cause = Object.assign(new Error("could not extend file"), { code: "53100" });
  jest.spyOn(console, "error").mockImplementation(() => undefined);
  const response = await answer(async () => {
    throw new Error("Failed query", { cause });
  });
  expect(response.status).toBe(507);
  expect(await response.json()).toEqual({ error: "The server's disk is full." });
});

test("any other failure is the framework's to answer", async () => {
  await expect(
    answer(async () => {
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
  const response = await answer(() => readBody(request, accepted));
  expect(response.status).toBe(413);
  expect(await response.json()).toEqual({ error: "The body is 1.23 MB; at most 500 kB is accepted." });
});
