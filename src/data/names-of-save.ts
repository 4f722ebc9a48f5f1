import { type DealChange, type DealDocument, NAMED_MEMBERS } from "@/exchange/deal-document";
import type { Database } from "./database";
import type { Merged } from "./merge";
import { namesNow, ownId } from "./names";

type Kept = { id: string; document: DealDocument };

/** A change that reopens a deal: from now on it says what its customer and its vehicle are called by now. */
export async function asCalledNow(database: Database, id: string, change: DealChange): Promise<DealChange> {
  if (!change.heading) return change;
  return { ...change, heading: { ...change.heading, ...(await namesNow(database, id)) } };
}

/** A change whose customer or vehicle is the deal's own by now, because the one that it names is another deal's. */
export function asKeptBefore(kept: Kept | undefined, change: DealChange): DealChange {
  const { heading } = change;
  if (!kept || !heading) return change;
  const own = NAMED_MEMBERS.flatMap(member => {
    const [sent, here] = [heading[member], kept.document[member]];
    return sent && here && here.id === ownId(kept.id, sent.id) ? [[member, { ...sent, id: here.id }]] : [];
  });
  return own.length > 0 ? { ...change, heading: { ...heading, ...Object.fromEntries(own) } } : change;
}

/** Whether what was sent as this deal's customer or vehicle is another deal's, so that this one has its own. */
export const isOfOthers = (saved: Pick<Kept, "document">, { document }: Merged) =>
  NAMED_MEMBERS.some(member => saved.document[member]?.id !== document[member]?.id);
