import { memo, useEffect } from "react";
import { LOAN_COSTS } from "@/exchange/kinds/loan/words/costs";
import { CostCard, CostCards } from "../../answer/CostCard";
import { shownQuote } from "../../option";
import { useLoan, useNotation } from "../../option/option-context";
import { whenWhole } from "../../option/use-kinds";
import { costOf } from "./cost-of";

/** What the deal really costs, each figure with what it includes and its working. */
export const LoanCosts = memo(function LoanCosts() {
  const { option } = useLoan();
  const { usesEffectiveRate } = useNotation().notation;
  const quote = shownQuote(option);
  const isWaiting = quote !== null && costOf(quote, option.desk) === undefined;
  useEffect(() => {
    // It arrives in the option itself.
    if (isWaiting) whenWhole(["loan"], () => {});
  }, [isWaiting]);
  if (!quote) return null;
  const costed = { quote, rates: costOf(quote, option.desk) };
  return (
    <CostCards>
      {LOAN_COSTS.filter(cost => usesEffectiveRate || !("isEffectiveRate" in cost)).map(
        ({ figure, name, text, includes }) => (
          <CostCard
            key={figure}
            figure={figure}
            name={name}
            text={text(costed)}
            includes={includes(costed)}
          />
        ),
      )}
    </CostCards>
  );
});
