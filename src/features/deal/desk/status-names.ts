import type { DealStatus } from "@/exchange/deal-document";

/** How far a deal is, as the screens say it. What freezes a deal comes last: arrow keys must not pass it on their way. */
export const STATUS_NAMES: Record<DealStatus, string> = {
  quoting: "Quoting",
  agreed: "Agreed",
  lost: "Lost",
  signed: "Signed",
};
