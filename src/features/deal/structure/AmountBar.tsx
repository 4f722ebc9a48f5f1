import { type AmountPart, amountBar } from "@/exchange/charts/amount-bar";
import type { Tally } from "../option";
import { useStructure } from "./use-structure";

const COLORS: Record<AmountPart["name"], string> = {
  price: "var(--color-primary)",
  taxes: "var(--color-secondary)",
  "fees and extras": "var(--found-line)",
  "owed on the trade-in": "var(--field-line)",
};

/** What the amount financed is made of: what is added, before what is brought along is taken off. */
export function AmountBar({ lines, stale }: { lines: Tally["lines"]; stale: boolean }) {
  const { money } = useStructure();
  const parts = amountBar(lines);
  if (parts.length === 0) return null;
  const all = parts
    .filter(({ amount }) => amount > 0)
    .map(({ name, amount }) => `${name} ${money(amount)}`)
    .join(", ");
  return (
    <div
      role="img"
      aria-label={`What is financed before anything is taken off: ${all}`}
      title={all}
      className={`block h-2 w-full rounded-field [print-color-adjust:exact] ${stale ? "stale" : ""}`}
      style={{ background: `linear-gradient(to right, ${stripes(parts)})` }}
    />
  );
}

/** One background costs a key less than a shape for each part. */
const stripes = (parts: readonly AmountPart[]) =>
  parts.map(({ name, from, to }) => `${COLORS[name]} ${percent(from)} ${percent(to)}`).join(", ");

const percent = (share: number) => `${(share * 100).toFixed(2)}%`;
