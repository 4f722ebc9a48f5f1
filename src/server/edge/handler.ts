import { randomBytes } from "node:crypto";
import type { IncomingMessage, ServerResponse } from "node:http";
import { AWAY } from "../away";
import { addressOf } from "./address";
import { refusalReason } from "./foreign";
import { EVERY_ANSWER, keeping } from "./headers";
import { logWhenAnswered } from "./log";
import { turnedAway } from "./turned-away";

type Handler = (request: IncomingMessage, response: ServerResponse) => Promise<void> | void;

/** What the server behind has to say of itself: another bundle, so over the process. */
const shared = globalThis as typeof globalThis & { kelluxStopped?: string; kelluxAway?: boolean };

/**
 * Stands before everything: turns away what is no request of ours, or of a page elsewhere, sees that every answer carries
 * the headers, and says that the database is away where the server behind could only fail.
 *
 * @param isClosing whether the server is ending, so that nobody keeps a connection
 */
export function edge(behind: Handler, isClosing: () => boolean): Handler {
  return async (request, response) => {
    const { method = "", url = "" } = request;
    const asking = { request: randomBytes(REQUEST_BYTES).toString("hex"), address: addressOf(request) };
    logWhenAnswered(request, response, asking);
    response.setHeader("X-Request-Id", asking.request);
    giveHeaders(response, url, isClosing);
    sayWhereAway(response);
    const refused = turnedAway(method, url);
    if (refused) return say(response, refused.status, refused.sentence);
    const foreign = refusalReason(method, request.headers);
    if (foreign) return say(response, 403, foreign);
    dropInnerHeaders(request);
    tellInside(request, { ...asking, path: url });
    if (shared.kelluxStopped) return say(response, 503, AWAY);
    try {
      await behind(request, response);
    } catch (error) {
      console.error(error);
      if (!response.headersSent) say(response, 500, "The server failed.");
      else response.destroy();
    }
  };
}

const REQUEST_BYTES = 8;

/** Tells what is behind the edge what was seen here; what was said of it from outside was dropped. */
function tellInside(
  { headers, rawHeaders }: IncomingMessage,
  seen: { request: string; address: string | null; path: string },
): void {
  for (const [name, value] of Object.entries(seen)) {
    if (value === null) continue;
    headers[`x-kellux-${name}`] = value;
    rawHeaders.push(`x-kellux-${name}`, value);
  }
}

/**
 * What the framework tells itself by: from outside it would have a request answered without its work. Pages here are whole
 * ones: where a page says that it stands among them is asked of no page, and fails the server where it is nonsense.
 */
const INNER = /^(x-(middleware|nextjs|kellux)-|next-router-state-tree$)/i;

function dropInnerHeaders({ headers, rawHeaders }: IncomingMessage): void {
  for (const name of Object.keys(headers)) if (INNER.test(name)) delete headers[name];
  for (let place = rawHeaders.length - 2; place >= 0; place -= 2)
    if (INNER.test(rawHeaders[place] ?? "")) rawHeaders.splice(place, 2);
}

function say(response: ServerResponse, status: number, sentence: string): void {
  response.statusCode = status;
  response.setHeader("Content-Type", "application/json");
  response.end(JSON.stringify({ error: sentence }));
}

/** Puts the headers on as they leave, whoever writes them. */
function giveHeaders(response: ServerResponse, address: string, isClosing: () => boolean): void {
  const writeHead = response.writeHead.bind(response) as (...args: unknown[]) => ServerResponse;
  response.writeHead = ((status: number, ...rest: unknown[]) => {
    for (const [name, value] of Object.entries(EVERY_ANSWER)) {
      if (!response.hasHeader(name)) response.setHeader(name, value);
    }
    const keep = keeping(address, status);
    const isSaid = String(response.getHeader("Cache-Control")).includes("no-store");
    if (keep && !isSaid) response.setHeader("Cache-Control", keep);
    if (isClosing()) response.setHeader("Connection", "close");
    return writeHead(status, ...rest);
  }) as typeof response.writeHead;
}

/**
 * Where the database is away, what failed because of it would only say that something went wrong: it says what. Whatever
 * stands between, such as packing, has the answer's head written first, and then what is in it.
 */
function sayWhereAway(response: ServerResponse): void {
  const [write, end, writeHead] = [response.write, response.end, response.writeHead].map(each =>
    each.bind(response),
  ) as [Sending, Sending, Sending];
  let isReplaced = false;
  const replace = () => {
    isReplaced = true;
    for (const name of response.getHeaderNames()) response.removeHeader(name);
    response.setHeader("Content-Type", "application/json");
    return writeHead(503);
  };
  response.writeHead = ((status: number, ...rest: unknown[]) =>
    status === 500 && isAway() ? replace() : writeHead(status, ...rest)) as typeof response.writeHead;
  response.write = ((...pieces: unknown[]) => isReplaced || write(...pieces)) as typeof response.write;
  response.end = ((...pieces: unknown[]) => {
    if (!response.headersSent && response.statusCode === 500 && isAway()) replace();
    return isReplaced ? end(JSON.stringify({ error: AWAY })) : end(...pieces);
  }) as typeof response.end;
}

const isAway = () => shared.kelluxStopped !== undefined || shared.kelluxAway === true;

type Sending = (...pieces: unknown[]) => unknown;
