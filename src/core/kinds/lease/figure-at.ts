import type { LeaseFigure } from "./costs";
import { summarizeLease } from "./evaluate";
import { LEASE_FIGURES } from "./figures";
import type { LeaseDeal } from "./pricing";

/** One figure of a lease, without the rest of its answer. */
export function leaseFigureAt(lease: LeaseDeal, figure: string): number | null {
  const found = summarizeLease(lease);
  if (!found.ok) return null;
  const { mapped } = LEASE_FIGURES[figure as keyof typeof LEASE_FIGURES] as LeaseFigure;
  return mapped?.(found.value) ?? null;
}
