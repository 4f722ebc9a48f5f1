import { failureOf } from "../failure";

/** The system's words for a connection that does not come about, or breaks. */
const CONNECTION =
  /^(ECONN(REFUSED|RESET|ABORTED)|EPIPE|ETIMEDOUT|EHOSTUNREACH|ENETUNREACH|EHOSTDOWN|ENOTFOUND|EAI_AGAIN|ENOENT)$/;

/**
 * The server's codes (SQLSTATE) for being away: connections that break (08), that it ends or takes none of (57P), too many
 * of them (53300), and what was ended because it took too long (57014, 55P03, 25P03).
 */
const AWAY = /^(08...|57P0[1-5]|53300|57014|55P03|25P03)$/;

/** Why, without what was asked. */
export const whyAway = (error: unknown): string =>
  failureOf(error instanceof Error && error.cause !== undefined ? error.cause : error).message;

/** What the driver says of the same without a code. */
const SAID =
  /Connection terminated|timeout exceeded when trying to connect|Query read timeout|Client has encountered a connection error|Cannot use a pool after calling end|Client was closed/i;

/** Whether a failure says that the server does not answer, whatever was asked. */
export function isAway(error: unknown): boolean {
  const { code = "", message } = failureOf(error);
  return CONNECTION.test(code) || AWAY.test(code) || SAID.test(message);
}
