import { onceForEach } from "./once-for-each";
import type { SlipOf } from "./structure-slips";
import type { Choice } from "./way";

/** The choice of a slip, which counts two. */
export function slipChoice<Deal extends object, Way extends { deal: Deal }>({
  slip,
  change,
}: SlipOf<Deal>): Choice<Way> {
  const changed = onceForEach((deal: Deal) => change(deal));
  return {
    departure: { kind: "slip", ...slip },
    count: 2,
    change: way => {
      const deal = changed(way.deal);
      return deal && { ...way, deal };
    },
  };
}
