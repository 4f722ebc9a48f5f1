// What the edge sees of a request before anything else does: where it comes from, and what is written of it.
import { EventEmitter } from "node:events";
import type { IncomingMessage, ServerResponse } from "node:http";
import { addressOf } from "@/server/edge/address";
import { logWhenAnswered } from "@/server/edge/log";

afterEach(() => {
  delete process.env.KELLUX_ORIGIN;
  delete process.env.KELLUX_PROXY;
  delete process.env.KELLUX_LOG;
});

const from = (remoteAddress: string, forwarded?: string) =>
  addressOf({
    socket: { remoteAddress },
    headers: forwarded === undefined ? {} : { "x-forwarded-for": forwarded },
  } as unknown as IncomingMessage);

test("the address is that of the other end; what is said of it is believed of the proxy alone", () => {
  expect(from("192.0.2.7")).toBe("192.0.2.7");
  expect(from("::ffff:192.0.2.7")).toBe("192.0.2.7");
  expect(from("192.0.2.7", "203.0.113.1")).toBe("192.0.2.7");
  // This machine is nobody's address: whoever sits at it would lock out all others.
  for (const here of ["127.0.0.1", "::1", "::ffff:127.0.0.1", ""]) expect(from(here)).toBeNull();
  expect(from("127.0.0.1", "203.0.113.1")).toBeNull();

  process.env.KELLUX_ORIGIN = "https://deals.example.test";
  expect(from("127.0.0.1", "203.0.113.1")).toBe("203.0.113.1");
  // Whatever was sent stands before what the proxy has seen.
  expect(from("127.0.0.1", "10.0.0.1, 203.0.113.1")).toBe("203.0.113.1");
  expect(from("127.0.0.1")).toBeNull();
  expect(from("192.0.2.9", "203.0.113.1")).toBe("192.0.2.9");
  process.env.KELLUX_PROXY = "192.0.2.9";
  expect(from("192.0.2.9", "203.0.113.1")).toBe("203.0.113.1");
});

/** What is written of a request that is answered. */
function logged(url: string, address: string | null): string[] {
  const written: string[] = [];
  const write = jest.spyOn(process.stdout, "write").mockImplementation(text => {
    written.push(String(text));
    return true;
  });
  const response = Object.assign(new EventEmitter(), { statusCode: 200 }) as unknown as ServerResponse;
  logWhenAnswered({ method: "GET", url } as IncomingMessage, response, { request: "ab12", address });
  response.emit("close");
  write.mockRestore();
  return written;
}

test("a line of the log is JSON, holds nothing of what was searched for, and no text begins a line of its own", () => {
  process.env.KELLUX_LOG = "requests";
  const [line = "", ...others] = logged("/api/names?customer=Quill%20Faraway", '1"}\n{"who":"forged');
  expect(others).toEqual([]);
  expect(line.match(/\n/g)).toHaveLength(1);
  expect(line).not.toContain("Quill");
  expect(JSON.parse(line)).toMatchObject({
    request: "ab12",
    method: "GET",
    path: "/api/names",
    status: 200,
    who: null,
    from: '1"}\n{"who":"forged',
  });
});

test("where nobody has a name nothing is written, unless it is asked for", () => {
  expect(logged("/api/deals", null)).toEqual([]);
});
