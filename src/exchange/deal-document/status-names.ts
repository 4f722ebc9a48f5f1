import type { DealStatus } from "@/exchange/deal-document";

/** How far a deal is, as the screens say it. */
export const STATUS_NAMES: Record<DealStatus, string> = {
  quoting: "Quoting",
  agreed: "Agreed",
  lost: "Lost",
  signed: "Signed",
};
