import { memo, useEffect } from "react";
import { LOAN_COSTS } from "@/core/kinds/loan/figures/costs";
import { shownCosts } from "@/exchange/kinds/kind/shown-cost";
import { CostCards } from "../../answer/CostCards";
import { shownQuote } from "../../option";
import { useNotation, useOptionOf } from "../../option/option-context";
import { whenWhole } from "../../option/use-kinds";

/** What the deal really costs, each figure with what it includes and its working. */
export const LoanCosts = memo(function LoanCosts() {
  const { option } = useOptionOf("loan");
  const { usesEffectiveRate } = useNotation().notation;
  const quote = shownQuote(option);
  const rates = quote ? option.desk.ratesOf?.(quote) : undefined;
  const isWaiting = quote !== null && rates === undefined;
  useEffect(() => {
    // It arrives in the option itself.
    if (isWaiting) whenWhole(["loan"], () => {});
  }, [isWaiting]);
  if (!quote) return null;
  const answered = { quote, rates };
  return <CostCards costs={shownCosts(LOAN_COSTS, answered, usesEffectiveRate)} />;
});
