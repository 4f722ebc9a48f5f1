import type { DealDocument } from "@/exchange/deal-document";
import { api } from "@/features/api/api";
import { ask } from "@/features/api/client";
import type { DealReply, VersionReply } from "@/server/contract";

/** What has become of a deal elsewhere since a version of it. */
export type OthersSaves<Saved = DealDocument> =
  | { kind: "away" }
  | { kind: "deleted" }
  | { kind: "same" }
  | { kind: "saved"; theirs: Omit<DealReply, "document"> & { document: Saved } };

/** Asks what others have saved of a deal since a version. */
export async function othersSaves(dealId: string, version: number): Promise<OthersSaves> {
  const now = await ask<VersionReply>("GET", `/api/deals/${dealId}/version`);
  if (now.kind !== "done") return { kind: "away" };
  if (now.value.deleted) return { kind: "deleted" };
  if (now.value.version === version) return { kind: "same" };
  const theirs = await api.deal(dealId);
  return theirs.kind === "done" ? { kind: "saved", theirs: theirs.value } : { kind: "away" };
}
