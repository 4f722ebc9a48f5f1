import type { IncomingMessage } from "node:http";

const LOOPBACK = /^(::1|(::ffff:)?127\.\d{1,3}\.\d{1,3}\.\d{1,3})$/;

/** An address as it is counted by: one of version 4 is the same in both writings. */
const plain = (address: string): string => address.replace(/^::ffff:(?=\d+\.)/, "").trim();

/**
 * Where a request comes from: the address at the other end, or the one that the proxy says, where it is the proxy of
 * KELLUX_ORIGIN that asks. What anybody else says of their address is not believed.
 *
 * @returns null where it is this machine itself, or not known: nobody is then counted by it
 */
export function addressOf({ socket, headers }: Pick<IncomingMessage, "socket" | "headers">): string | null {
  const peer = plain(socket.remoteAddress ?? "");
  const isHere = LOOPBACK.test(peer);
  const isProxy = isHere || peer === plain(process.env.KELLUX_PROXY ?? "none");
  if (!process.env.KELLUX_ORIGIN || !isProxy) return isHere || peer === "" ? null : peer;
  const said = headers["x-forwarded-for"];
  // The proxy puts the address that it has seen behind whatever was sent.
  const last = (Array.isArray(said) ? said.join() : (said ?? "")).split(",").at(-1) ?? "";
  return plain(last) || null;
}
