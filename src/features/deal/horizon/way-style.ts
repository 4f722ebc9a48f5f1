import type { WayEnd } from "@/core/horizon";
import { type LineStyle, lineAt } from "@/features/figures/line-styles";

const CASH: LineStyle = { stroke: "var(--color-faint)", dash: undefined };

/** How a way's line is drawn: as its option's is everywhere; two ends of one lease differ in their dashes. */
export function wayStyle({ option, end }: { option: number | null; end: WayEnd }): LineStyle {
  if (option === null) return CASH;
  const own = lineAt(option);
  return end === "bought" ? { ...own, dash: "3 3" } : own;
}
