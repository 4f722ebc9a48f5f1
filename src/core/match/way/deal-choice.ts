import type { Departure } from "./departure";
import { onceForEach } from "./once-for-each";
import type { Choice } from "./way";

/**
 * A choice that is another deal, settled by the core as any is; made once for each deal.
 *
 * @param change the other deal; null where it would be the same, or cannot be
 * @param count how much the departure counts
 */
export function dealChoice<Deal extends object, Way extends { deal: Deal }>(
  departure: Departure,
  change: (deal: Deal) => Deal | null,
  count: 1 | 2 = 1,
): Choice<Way> {
  const changed = onceForEach(change);
  return {
    departure,
    count,
    change: way => {
      const deal = changed(way.deal);
      return deal && { ...way, deal };
    },
  };
}
