import { cumsum } from "d3-array";
import type { Tally } from "../option";
import { useStructure } from "./use-structure";

type Part = { name: string; figures: readonly Tally["lines"][number]["figure"][]; colour: string };

const PARTS: readonly Part[] = [
  { name: "price", figures: ["price"], colour: "var(--color-primary)" },
  { name: "taxes", figures: ["tax"], colour: "var(--color-secondary)" },
  { name: "fees and extras", figures: ["fee", "extra", "acquisitionFee"], colour: "var(--found-line)" },
  { name: "owed on the trade-in", figures: ["owed", "equity"], colour: "var(--field-line)" },
];

const WIDTH = 1000;

/** What the amount financed is made of: what is added, before what is brought along is taken off. */
export function AmountBar({ lines, stale }: { lines: Tally["lines"]; stale: boolean }) {
  const { money } = useStructure();
  const sums = PARTS.map(({ figures }) =>
    lines
      .filter(({ figure, sign }) => sign > 0 && figures.includes(figure))
      .reduce((sum, { amount }) => sum + amount, 0),
  );
  const total = sums.reduce((sum, each) => sum + each, 0);
  if (total === 0) return null;
  const ends = cumsum(sums);
  const words = PARTS.map(({ name }, index) => `${name} ${money(sums[index])}`).filter(
    (_, index) => (sums[index] ?? 0) > 0,
  );
  return (
    <svg
      role="img"
      aria-label={`What is financed before anything is taken off: ${words.join(", ")}`}
      viewBox={`0 0 ${WIDTH} 8`}
      preserveAspectRatio="none"
      className={`block h-2 w-full rounded-field ${stale ? "stale" : ""}`}
    >
      {PARTS.map(({ name, colour }, index) => {
        const sum = sums[index] ?? 0;
        const from = (ends[index] ?? 0) - sum;
        return (
          <rect key={name} x={(from / total) * WIDTH} width={(sum / total) * WIDTH} height={8} fill={colour}>
            <title>{`${name} ${money(sum)}`}</title>
          </rect>
        );
      })}
    </svg>
  );
}
