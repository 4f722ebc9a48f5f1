import { memo } from "react";
import { LEASE_RATE_NOTICE, type LeaseQuote, leaseEffectiveRate, success } from "@/core";
import { amountText } from "@/exchange/text";
import { CostCard, CostCards } from "../answer/CostCard";
import { shownQuote } from "../option";
import { useLease, useNotation } from "../option/option-context";
import { WorkingButton } from "../parts/WorkingButton";
import { WorkingsHere } from "../parts/WorkingsHere";

/** What the lease really costs, each figure with what it includes and its working. */
export const LeaseCosts = memo(function LeaseCosts() {
  const { option } = useLease();
  const { notation, say } = useNotation();
  const { usesEffectiveRate } = notation;
  const quote = shownQuote(option);
  if (!quote) return null;
  const money = (minor: number) => amountText(minor, quote.lease.currency);
  const {
    payment,
    rentCharge,
    depreciation,
    cost,
    residual,
    totalIfReturned,
    totalIfBought,
    totalOfPayments,
  } = quote;
  return (
    <div className="shrink-0">
      <CostCards>
        <CostCard figure="payment" name="Payment" text={money(payment)} includes={partsOf(quote)} />
        <CostCard
          figure="rentCharge"
          name="Rent in all"
          text={money(rentCharge)}
          includes={`implicit rate ${quote.implicitYearlyRate.toFixed(2)} % a year *`}
        />
        <CostCard
          figure="depreciation"
          name="Lost value"
          text={money(depreciation)}
          includes={`${money(cost)} − ${money(residual)}`}
        />
        <CostCard
          figure="totalIfReturned"
          name="Total if handed back"
          text={money(totalIfReturned)}
          includes={includedIfReturned(quote)}
        />
      </CostCards>
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
                {say(effectiveRateText(quote))}
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

function partsOf({ parts, tax, lease }: LeaseQuote): string {
  const money = (minor: number) => amountText(minor, lease.currency);
  const taxed = tax > 0 ? ` + ${money(tax)} tax` : "";
  return `${money(parts.depreciation)} value + ${money(parts.rent)} rent${taxed}`;
}

/** What is due at signing beside fees and taxes; a security deposit comes back. */
const NOT_FEES = new Set(["down", "payment", "securityDeposit"]);

function includedIfReturned({ equity, deposit, filled, dueAtSigning }: LeaseQuote): string {
  const isAtSigning = dueAtSigning.items.some(({ figure }) => !NOT_FEES.has(figure));
  const { dispositionFee } = filled.plan;
  const parts = [
    "payments",
    ...(dueAtSigning.items.some(({ figure }) => figure === "down") ? ["cash"] : []),
    ...(isAtSigning ? ["fees at signing"] : []),
    ...(deposit > 0 ? ["deposit paid"] : []),
    ...(equity === 0 ? [] : ["trade-in less owed"]),
    ...(dispositionFee > 0 ? ["fee at the end"] : []),
  ];
  return parts.join(" + ");
}

function effectiveRateText(quote: LeaseQuote): string {
  const { keptEffectiveRate } = quote;
  const rate = keptEffectiveRate === undefined ? leaseEffectiveRate(quote) : success(keptEffectiveRate);
  return rate.ok ? `effective rate ${rate.value.toFixed(2)} % a year *` : rate.failure.sentence;
}
