// Serves the built app: Next behind an edge that sees every request, and an end that nobody's request is cut off by.
import { randomBytes } from "node:crypto";
import { createServer, type Server, STATUS_CODES } from "node:http";
import type { Socket } from "node:net";
import next from "next";
import { EVERY_ANSWER, edge } from "@/server/edge";

/** Requests that are under way when the server is told to stop have so long to end. */
const LONGEST_END_MS = 10_000;
const SAME_TELLING_MS = 1000;
const WILDCARDS = new Set(["0.0.0.0", "::"]);

const shared = globalThis as typeof globalThis & {
  kelluxClose?: () => Promise<void>;
  kelluxEndStreams?: () => void;
};

/** Listens at an address until the process is told to stop; then it ends what is under way, and the process. */
export async function serveApp(host: string, port: number): Promise<void> {
  // Where a backup that runs beside it finds it.
  process.env.KELLUX_ADDRESS = `http://${WILDCARDS.has(host) ? "127.0.0.1" : host.includes(":") ? `[${host}]` : host}:${port}`;
  process.env.KELLUX_KEY = randomBytes(24).toString("base64url");
  const app = next({ dev: false, dir: process.cwd(), hostname: host, port });
  await app.prepare();
  let isClosing = false;
  const server = createServer(edge(app.getRequestHandler(), () => isClosing));
  refuseWhatIsNone(server);
  let told = 0;
  const close = () => {
    // A terminal tells npm and this at once, and npm tells this again; told later once more, it is meant.
    if (isClosing && Date.now() - told > SAME_TELLING_MS) process.exit(1);
    if (isClosing) return;
    isClosing = true;
    told = Date.now();
    void endAll(server).then(() => process.exit(0));
  };
  for (const signal of ["SIGINT", "SIGTERM", "SIGHUP"] as const) process.on(signal, close);
  server.once("error", (error: NodeJS.ErrnoException) => {
    console.error(
      error.code === "EADDRINUSE"
        ? `Port ${port} is in use by another program. Stop that one, or set PORT to another number.`
        : `Kellux cannot listen at ${host}:${port}: ${error.message}.`,
    );
    process.exit(1);
  });
  server.listen(port, host, () => console.warn(`Kellux is at http://${host}:${port}/`));
}

async function endAll(server: Server): Promise<void> {
  const limit = setTimeout(() => server.closeAllConnections(), LONGEST_END_MS);
  shared.kelluxEndStreams?.();
  await new Promise<void>(resolve => server.close(() => resolve()));
  clearTimeout(limit);
  await shared.kelluxClose?.();
}

/** What cannot be read as a request never reaches a handler; it is told so all the same. */
function refuseWhatIsNone(server: Server): void {
  const CODES: Record<string, number> = { HPE_HEADER_OVERFLOW: 431, ERR_HTTP_REQUEST_TIMEOUT: 408 };
  server.on("clientError", (error: NodeJS.ErrnoException, socket) => {
    if (error.code === "ECONNRESET" || !socket.writable) return void socket.destroy();
    refuse(socket as Socket, CODES[error.code ?? ""] ?? 400, "This is no request that can be read.");
  });
  server.on("connect", (_request, socket) => refuse(socket as Socket, 405, "CONNECT is not answered here."));
  server.on("checkExpectation", (_request, response) => {
    response.writeHead(417, {
      ...EVERY_ANSWER,
      "Cache-Control": "no-store",
      "Content-Type": "application/json",
    });
    response.end(JSON.stringify({ error: "This expectation cannot be met." }));
  });
}

function refuse(socket: Socket, status: number, sentence: string): void {
  const body = JSON.stringify({ error: sentence });
  const headers = {
    ...EVERY_ANSWER,
    "Cache-Control": "no-store",
    "Content-Type": "application/json",
    "Content-Length": Buffer.byteLength(body),
    Connection: "close",
  };
  const lines = Object.entries(headers).map(([name, value]) => `${name}: ${value}\r\n`);
  socket.end(`HTTP/1.1 ${status} ${STATUS_CODES[status]}\r\n${lines.join("")}\r\n${body}`);
}
