const APART = 15;
/** Labels further apart than this never meet. */
const BESIDE = 150;

type Place = { x: number; y: number };

/**
 * Moves labels up or down, so that none lies on another and all stay in a range.
 *
 * @param wanted where each would stand
 * @returns where each stands, in the same order
 */
export function placedLabels(
  wanted: readonly Place[],
  { top, bottom }: { top: number; bottom: number },
): Place[] {
  const placed: (Place & { index: number })[] = [];
  const inOrder = wanted.map((place, index) => ({ ...place, index })).sort((a, b) => a.y - b.y);
  for (const label of inOrder) {
    const above = placed.filter(({ x }) => Math.abs(x - label.x) < BESIDE).map(({ y }) => y + APART);
    placed.push({ ...label, y: Math.max(label.y, top, ...above) });
  }
  // What was pushed out at the bottom pushes the others up again.
  let limit = bottom;
  for (const label of placed.reverse()) {
    if (label.y <= limit) continue;
    label.y = limit;
    limit -= APART;
  }
  return placed.sort((a, b) => a.index - b.index).map(({ x, y }) => ({ x, y }));
}
