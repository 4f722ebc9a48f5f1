import type { Settings } from "@/exchange/settings";
import type { DealReply } from "@/server/contract";
import { Desk } from "./Desk";
import { openSigned } from "./desk/open-signed";

/** The desk of a deal that shows what was signed. */
export function SignedDesk({ deal, house }: { deal: DealReply; house: Settings }) {
  const quotes = deal.signing?.quotes ?? [];
  return <Desk deal={deal} house={house} opening={document => openSigned(document, house.locale, quotes)} />;
}
