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
  const words = PARTS.map(({ name }, index) => `${name} ${money(sums[index])}`).filter(
    (_, index) => (sums[index] ?? 0) > 0,
  );
  const all = words.join(", ");
  return (
    <div
      role="img"
      aria-label={`What is financed before anything is taken off: ${all}`}
      title={all}
      className={`block h-2 w-full rounded-field [print-color-adjust:exact] ${stale ? "stale" : ""}`}
      style={{ background: `linear-gradient(to right, ${stripes(sums, total)})` }}
    />
  );
}

/** The parts side by side, each as wide as its share; one background costs a key less than a shape for each. */
function stripes(sums: readonly number[], total: number): string {
  const ends = cumsum(sums);
  return PARTS.map(({ colour }, index) => {
    const end = ends[index] ?? 0;
    const [from, to] = [end - (sums[index] ?? 0), end].map(at => `${((at / total) * 100).toFixed(2)}%`);
    return `${colour} ${from} ${to}`;
  }).join(", ");
}
