import { memo } from "react";
import { LEASE_RATE_NOTICE } from "@/core";
import { LEASE_COSTS } from "@/core/kinds/lease/costs";
import { shownCosts } from "@/exchange/kinds/kind/shown-cost";
import { effectiveRateIfBought } from "@/exchange/kinds/lease/words/effective-rate";
import { amountText } from "@/exchange/text";
import { CostCards } from "../../answer/CostCards";
import { shownQuote } from "../../option";
import { useNotation, useOptionOf } from "../../option/option-context";
import { WorkingButton } from "../../parts/WorkingButton";
import { WorkingsHere } from "../../parts/WorkingsHere";

/** What the lease really costs, each figure with what it includes and its working. */
export const LeaseCosts = memo(function LeaseCosts() {
  const { option } = useOptionOf("lease");
  const { notation, say } = useNotation();
  const { usesEffectiveRate } = notation;
  const quote = shownQuote(option);
  if (!quote) return null;
  const money = (minor: number) => amountText(minor, quote.deal.currency);
  const answered = { quote, rates: undefined };
  const { residual, totalIfBought, totalOfPayments } = quote;
  return (
    <div className="shrink-0">
      <CostCards costs={shownCosts(LEASE_COSTS, answered, usesEffectiveRate)} />
      <div className="mt-1 flex flex-wrap items-center gap-x-4 text-faint text-sm">
        <WorkingsHere>
          <span className="flex items-center gap-1">
            {say(`Total of payments ${money(totalOfPayments)}`)}
            <WorkingButton figure="totalOfPayments" name="total of payments" />
          </span>
          <span className="flex items-center gap-1">
            {say(`If bought, ${money(totalIfBought)} in all`)}
            <WorkingButton figure="totalIfBought" name="total if bought" />
            {usesEffectiveRate && residual > 0 && (
              <>
                {say(effectiveRateIfBought(quote))}
                <WorkingButton figure="effectiveRate" name="effective rate if bought" />
              </>
            )}
          </span>
          <span>* {LEASE_RATE_NOTICE}</span>
        </WorkingsHere>
      </div>
    </div>
  );
});
