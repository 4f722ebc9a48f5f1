import type { NeedsRelease } from "@/exchange/releases";
import type { DealReply, RefusalReply } from "@/server/contract";

/** What a request comes to: a value, a refusal with its sentence, a server that fails, or no server to ask. */
export type Answer<Value, Current = DealReply> =
  | { kind: "done"; value: Value }
  | {
      kind: "refused";
      status: number;
      sentence: string;
      current?: Current;
      /** What a manager has to release first. */
      release?: NeedsRelease[];
    }
  | { kind: "failing"; sentence: string }
  | { kind: "away" };

/** A browser sends no more than 64 KiB after its page is left, everything that is under way together. */
const MOST_AFTER_LEAVING = 60 * 1024;

/** Asks the server for something, with what is sent as JSON. */
export const ask = <Value, Current = DealReply>(
  method: string,
  path: string,
  body?: unknown,
  outlivesPage?: boolean,
): Promise<Answer<Value, Current>> =>
  send(method, path, body === undefined ? undefined : jsonBody(body), outlivesPage);

export const jsonBody = (body: unknown): Blob =>
  new Blob([JSON.stringify(body)], { type: "application/json" });

/**
 * Sends a body of its own type as it is.
 *
 * @param outlivesPage lets a save that is under way finish when the page is left; a larger one is kept in the browser
 *   till then
 */
export async function send<Value, Current = DealReply>(
  method: string,
  path: string,
  body?: Blob,
  outlivesPage = method === "PUT",
): Promise<Answer<Value, Current>> {
  try {
    const response = await fetch(path, {
      method,
      keepalive: outlivesPage && (body?.size ?? 0) <= MOST_AFTER_LEAVING,
      ...(body && { body }),
    });
    if (response.ok) return { kind: "done", value: (await response.json()) as Value };
    if (response.status === SIGNED_OUT) return signedOut(await response.json());
    if (response.status >= 500) return { kind: "failing", sentence: await failureOf(response) };
    const { error, current, release } = (await response.json()) as RefusalReply;
    return {
      kind: "refused",
      status: response.status,
      sentence: error,
      ...(current && { current: current as Current }),
      ...(release && { release }),
    };
  } catch {
    return { kind: "away" };
  }
}

const SIGNED_OUT = 401;

/** Told to the page where the server wants to know who is there, with what it wants. */
export const SIGN_IN_NEEDED = "kellux:sign-in";

/** What was asked is asked again once somebody is signed in: until then it waits, as where the server fails. */
function signedOut({ error, signIn }: RefusalReply): { kind: "failing"; sentence: string } {
  window.dispatchEvent(new CustomEvent(SIGN_IN_NEEDED, { detail: signIn }));
  return { kind: "failing", sentence: error };
}

/** What a server that fails says of it. */
async function failureOf(response: Response): Promise<string> {
  const reply: Partial<RefusalReply> = await response.json().catch(() => ({}));
  return reply.error ?? `The server failed (${response.status}).`;
}
