import type { Deal, KnownFigure } from "./deal";

/** What a deal's figure is found from, once the term follows from an end date; null where nothing is. */
export function knownFigure({ plan, find, from }: Deal): KnownFigure | "lastPayment" | null {
  const isExtra = find === "extra" || find === "lump";
  if (from?.figure === "endDate" && !isExtra)
    return find === "payment" || find === "payments" ? null : "payment";
  if (from) return from.figure;
  if (find === "payment" || isExtra) return null;
  // With every payment of a list given, the list closes where its last payment is what it takes.
  const listed = plan.datedPayments;
  return listed?.every(({ amount }) => amount !== null) ? "lastPayment" : "payment";
}
