import { periodsPerYear } from "../calendar";
import { type Deal, kindOf } from "../kinds";
import { MAP_AXES, type MapAxis } from "../kinds/kind";

/** The axes that a deal's map can have. */
export function axesOf(deal: Deal): MapAxis[] {
  const { axes } = kindOf(deal);
  return MAP_AXES.filter(name => axes[name] !== undefined && (axes[name].isOf?.(deal) ?? true));
}

/**
 * A deal with one figure at another place.
 *
 * @param axis which figure; one that the deal does not have leaves it as it is
 * @param value minor units, a number of payments, or ten-thousandths of a percent a year
 * @example atValue(deal, "payments", 60).plan.payments // 60
 */
export function atValue<Of extends Deal>(deal: Of, axis: MapAxis, value: number): Of {
  return (kindOf(deal).axes[axis]?.at(deal, value) ?? deal) as Of;
}

/** Where a deal stands on an axis, in its units; null where it says nothing of it. */
export function valueOn(deal: Deal, axis: MapAxis): number | null {
  return kindOf(deal).axes[axis]?.value(deal) ?? null;
}

/** How many payments a year a deal has. */
export const perYearOf = ({ plan }: Deal): number => periodsPerYear(plan.frequency);
