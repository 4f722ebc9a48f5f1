import { formatAmount, type LeaseQuote } from "@/core";
import type { LeasePlanFile } from "@/exchange/kinds/lease";
import { shownQuote } from "../../option";
import { useOptionOf } from "../../option/option-context";
import { ChoiceInWords } from "../../parts/ChoiceInWords";

type Kind = "amount" | "listPrice" | "price";

const KINDS: readonly (readonly [Kind, string])[] = [
  ["amount", "as an amount"],
  ["listPrice", "as % of list"],
  ["price", "as % of agreed price"],
];

/** How the residual is given, and the way to give it otherwise. */
export function ResidualKind() {
  const { option, act } = useOptionOf("lease");
  const { inputs } = option;
  const { residual } = inputs.plan;
  const quote = shownQuote(option);
  const isFound = inputs.find === "residual" || inputs.find === "residualPercent";
  const listPrice = inputs.structure.listPrice;
  if (isFound || !residual) return null;
  const kind: Kind = "percent" in residual ? (residual.of ?? "listPrice") : "amount";
  return (
    <p className="mt-0.5 text-faint text-sm leading-tight">
      <ChoiceInWords
        label="How the residual is given"
        value={kind}
        choices={KINDS.filter(([each]) => each !== "listPrice" || listPrice !== undefined)}
        onChange={to => act({ type: "lease", change: plan => ({ ...plan, residual: givenAs(to, quote) }) })}
      />
    </p>
  );
}

/** The same residual given another way; a percent keeps two decimals. */
function givenAs(kind: Kind, quote: LeaseQuote | null): NonNullable<LeasePlanFile["residual"]> {
  if (!quote) return kind === "amount" ? { amount: "0" } : { percent: "0", of: kind };
  if (kind === "amount") return { amount: formatAmount(quote.residual, quote.decimals) };
  const whole = kind === "price" ? quote.price : (quote.deal.listPrice ?? 0);
  const share = whole > 0 ? Math.round((quote.residual / whole) * 10_000) / 100 : 0;
  return { percent: String(share), of: kind };
}
