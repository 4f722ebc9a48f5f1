import type { DealChange, DealDocument } from "@/exchange/deal-document";
import type { DealReply, RefusalReply, RegisterRow } from "@/server/contract";

/** What a request comes to: a value, a refusal with its sentence, or no server to ask. */
export type Answer<Value> =
  | { kind: "done"; value: Value }
  | { kind: "refused"; status: number; sentence: string; current?: DealReply }
  | { kind: "away" };

async function ask<Value>(method: string, path: string, body?: unknown): Promise<Answer<Value>> {
  try {
    const response = await fetch(path, {
      method,
      // Lets a save that is under way finish when the page is left.
      keepalive: method === "PUT",
      ...(body !== undefined && {
        headers: { "Content-Type": "application/json" },
        body: JSON.stringify(body),
      }),
    });
    if (response.ok) return { kind: "done", value: (await response.json()) as Value };
    if (response.status >= 500) return { kind: "away" };
    const { error, current } = (await response.json()) as RefusalReply;
    return { kind: "refused", status: response.status, sentence: error, ...(current && { current }) };
  } catch {
    return { kind: "away" };
  }
}

const dealPath = (id: string) => `/api/deals/${id}`;

export const api = {
  list: () => ask<RegisterRow[]>("GET", "/api/deals"),
  create: (document: DealDocument) => ask<DealReply>("POST", "/api/deals", { document }),
  save: (id: string, version: number, change: DealChange) =>
    ask<DealReply>("PUT", dealPath(id), { version, change }),
  duplicate: (id: string) => ask<DealReply>("POST", `${dealPath(id)}/duplicate`),
  remove: (id: string) => ask<{ id: string }>("DELETE", dealPath(id)),
  restore: (id: string) => ask<DealReply>("POST", `${dealPath(id)}/restore`),
  importFile: (fileName: string, text: string) =>
    ask<DealReply>("POST", "/api/deals/import", { fileName, text }),
};
