import { stack, stackOffsetExpand } from "d3-shape";
import type { TallyLine } from "@/core";
import { useStructure } from "./use-structure";

type Part = { name: string; figures: readonly TallyLine["figure"][]; colour: string };

const PARTS: readonly Part[] = [
  { name: "price", figures: ["price"], colour: "var(--color-primary)" },
  { name: "taxes", figures: ["tax"], colour: "var(--color-secondary)" },
  { name: "fees and extras", figures: ["fee", "extra"], colour: "var(--found-line)" },
  { name: "owed on the trade-in", figures: ["owed"], colour: "var(--field-line)" },
];

const WIDTH = 1000;

/** What the amount financed is made of: what is added, before what is brought along is taken off. */
export function AmountBar({ lines, stale }: { lines: readonly TallyLine[]; stale: boolean }) {
  const { money } = useStructure();
  const sums = PARTS.map(({ figures }) =>
    lines.filter(({ figure }) => figures.includes(figure)).reduce((sum, { amount }) => sum + amount, 0),
  );
  const total = sums.reduce((sum, each) => sum + each, 0);
  if (total === 0) return null;
  const record = Object.fromEntries(PARTS.map(({ name }, index) => [name, sums[index] ?? 0]));
  const segments = stack<Record<string, number>>()
    .keys(PARTS.map(({ name }) => name))
    .offset(stackOffsetExpand)([record]);
  const words = PARTS.map(({ name }, index) => `${name} ${money(sums[index])}`).filter(
    (_, index) => (sums[index] ?? 0) > 0,
  );
  return (
    <svg
      role="img"
      aria-label={`What is financed before anything is taken off: ${words.join(", ")}`}
      viewBox={`0 0 ${WIDTH} 8`}
      preserveAspectRatio="none"
      className={`mt-1.5 block h-2 w-full rounded-field ${stale ? "stale" : ""}`}
    >
      {segments.map((segment, index) => {
        const [from, to] = segment[0] ?? [0, 0];
        return (
          <rect
            key={segment.key}
            x={from * WIDTH}
            width={(to - from) * WIDTH}
            height={8}
            fill={PARTS[index]?.colour}
          >
            <title>{`${segment.key} ${money(sums[index])}`}</title>
          </rect>
        );
      })}
    </svg>
  );
}
