import type { LoanDeal } from "@/core";
import type { Reader } from "../../reading";

/** An extra on a date has no amount only where it is the one being found. */
export function refuseOpenExtras({ plan, find }: LoanDeal, read: Reader): void {
  if (find !== "extra" && plan.extra?.each?.amount === null)
    read.refuse("extra", "The extra with every payment has no amount; give it, or find it with extra.");
  const open = plan.extra?.once?.filter(({ amount }) => amount === null).length ?? 0;
  if (find === "lump" && open !== 1) {
    read.refuse("extra", "To find an extra on a date, list it in extra.once with its date and no amount.");
  } else if (find !== "lump" && open > 0) {
    read.refuse("extra", "An extra on a date has no amount; give it, or find it with lump.");
  }
}
