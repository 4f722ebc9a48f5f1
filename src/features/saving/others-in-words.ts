import type { Others } from "@/server/changes/stream";

/**
 * Who else has a deal open, as a page says it; empty where nobody has.
 *
 * @example othersInWords({ windows: 0, browsers: 2 }) // "2 others have it open"
 */
export function othersInWords({ windows, browsers }: Others): string {
  const own = windows === 1 ? "another window" : `${windows} other windows`;
  if (browsers === 0) return windows === 0 ? "" : `open in ${own}`;
  const others = browsers === 1 ? "1 other has it open" : `${browsers} others have it open`;
  return windows === 0 ? others : `${others}, and ${own}`;
}
