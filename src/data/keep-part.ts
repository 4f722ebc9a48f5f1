import type { Asides } from "@/exchange/deal-document";
import type { Dealer } from "@/exchange/dealer";
import type { Database } from "./database";
import { type DEAL_PARTS, dealParts } from "./schema";

/** Keeps a part of a deal that stands beside what is agreed, as of a version of the deal. */
export async function keepPart(
  tx: Database,
  dealId: string,
  part: (typeof DEAL_PARTS)[number],
  version: number,
  json: Asides | Dealer,
): Promise<void> {
  await tx
    .insert(dealParts)
    .values({ dealId, part, json, version })
    .onConflictDoUpdate({ target: [dealParts.dealId, dealParts.part], set: { json, version } });
}
