import type { LoanQuote } from "@/core";
import { taxWorking } from "@/core/kinds/loan/working";
import { useStructure } from "./use-structure";

/** How a tax came about, line by line. */
export function TaxWorking({ quote, index }: { quote: LoanQuote; index: number }) {
  const { tally, money, say } = useStructure();
  const working = taxWorking(quote, index);
  if (!working) return null;
  return (
    <dl
      aria-label="How the tax comes about"
      className={`mt-1 grid grid-cols-[1fr_auto] gap-x-3 border-base-300 border-t pt-1.5 text-sm ${tally.stale ? "stale" : ""}`}
    >
      {working.terms.map(({ name, sign, amount }) => (
        <Line key={name} name={name} text={`${sign < 0 ? "− " : ""}${money(amount)}`} />
      ))}
      <Line name="taxed" text={money(working.base)} isSum />
      <Line name={say(working.rule)} text={money(working.amount)} isSum />
    </dl>
  );
}

function Line({ name, text, isSum }: { name: string; text: string; isSum?: boolean }) {
  return (
    <>
      <dt>{name}</dt>
      <dd className={`text-right ${isSum ? "font-semibold" : ""}`}>{text}</dd>
    </>
  );
}
