import type { Checked } from "@/exchange/checks";
import type { RefusalReply } from "./contract";
import { Refusal } from "./refusal";

/** The largest body that is read, in bytes. */
export const LARGEST_BODY = 1_000_000;

/** Runs a route: what it returns becomes JSON, a refusal becomes its 4xx with a sentence. */
export async function answer(work: () => Promise<unknown>, status = 200): Promise<Response> {
  try {
    return Response.json(await work(), { status });
  } catch (error) {
    if (!(error instanceof Refusal)) throw error;
    const reply: RefusalReply = { error: error.message, ...(error.current && { current: error.current }) };
    return Response.json(reply, { status: error.status });
  }
}

/** Reads a JSON body of at most {@link LARGEST_BODY} and checks it against a schema. */
export async function readBody<Value>(
  request: Request,
  check: (value: unknown) => Checked<Value>,
): Promise<Value> {
  const type = request.headers.get("content-type") ?? "";
  if (!/^application\/json\s*(;|$)/i.test(type)) {
    throw new Refusal(415, "The body must be JSON, sent as application/json.");
  }
  const checked = check(parseJson(await readText(request)));
  if (!checked.ok) throw new Refusal(422, checked.sentence);
  return checked.value;
}

async function readText(request: Request): Promise<string> {
  const tooLarge = new Refusal(413, "The body is over 1 MB, which is more than a deal can need.");
  if (Number(request.headers.get("content-length")) > LARGEST_BODY) throw tooLarge;
  const chunks: Uint8Array[] = [];
  let size = 0;
  // Web streams can be iterated on Node, which the DOM's types do not say.
  for await (const chunk of (request.body ?? []) as AsyncIterable<Uint8Array>) {
    size += chunk.byteLength;
    if (size > LARGEST_BODY) throw tooLarge;
    chunks.push(chunk);
  }
  return Buffer.concat(chunks).toString("utf8");
}

function parseJson(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    throw new Refusal(400, "The body is not JSON.");
  }
}

const UUID = /^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/i;

export function isDealId(id: string): boolean {
  return UUID.test(id);
}

/** Checks the id of a deal's address. */
export async function readId(params: Promise<{ id: string }>): Promise<string> {
  const { id } = await params;
  if (!isDealId(id)) throw new Refusal(404, "There is no deal at this address.");
  return id;
}
