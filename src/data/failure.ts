import { isNativeError } from "node:util/types";

/** A failure as it crosses between threads, and is logged: its words and its code. */
export type Failure = { message: string; code?: string };

/** Codes for what another transaction came in between of: done once more, it goes. */
const MET_ANOTHER = /^(40001|40P01|23503|23505)$/;

/** Whether a transaction was undone as a whole because it met another one. */
export const hasMetAnother = (error: unknown): boolean => MET_ANOTHER.test(failureOf(error).code ?? "");

/** The database's own codes, as SQLSTATE has them. */
const SQLSTATE = /^[0-9A-Z]{5}$/;

/**
 * What is told of an error: its words, those of what caused it, and its code; nothing of what was asked for or is kept. A
 * failed query would say the names in it, and the database the value that it could not take.
 *
 * @example failureOf(new Error("Failed query: select $1\nparams: Isolde Crane")) // { message: "Failed query: select $1" }
 */
export function failureOf(error: unknown): Failure {
  if (!isNativeError(error)) return { message: String(error) };
  const cause = error.cause === undefined ? undefined : failureOf(error.cause);
  const { code: own } = error as NodeJS.ErrnoException;
  const said = error.message.replace(/\s*params: [\s\S]*$/, "");
  const words = own !== undefined && SQLSTATE.test(own) ? said.replace(/"[^"]*"|'[^']*'/g, "…") : said;
  const code = own ?? cause?.code;
  return { message: [words, cause?.message].filter(Boolean).join(": "), ...(code && { code }) };
}
