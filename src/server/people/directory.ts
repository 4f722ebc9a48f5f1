import { directoryOf } from "@/data/directory";
import type { Context } from "../door";
import { Refusal } from "../refusal";

/** What the house's own directory is called on the way in; null where there is none. */
export const directoryName = (): string | null =>
  directoryOf() ? (process.env.KELLUX_OIDC_NAME ?? "the house’s directory") : null;

/** Sends whoever wants to sign in to the directory. */
export async function askDirectory({ store, asker }: Context): Promise<Response> {
  if (!directoryOf()) throw new Refusal(404, "This house has no directory; sign in by name.");
  const begun = await (await store()).beginByDirectory(asker.visit, "/");
  if (!begun) throw new Refusal(503, "The house’s directory does not answer; sign in by name, or try again.");
  return sent(begun);
}

/** Lets in whoever the directory has sent back. */
export async function hearDirectory({ store, asker, request }: Context): Promise<Response> {
  if (!directoryOf()) throw new Refusal(404, "This house has no directory; sign in by name.");
  const { search } = new URL(request.url);
  return sent(await (await store()).enterByDirectory(asker.visit, search.slice(1)));
}

function sent({ address, cookies }: { address: string; cookies: string[] }): Response {
  const response = new Response(null, { status: 303, headers: { Location: address } });
  for (const cookie of cookies) response.headers.append("Set-Cookie", cookie);
  return response;
}
