import { lazy, Suspense } from "react";
import { hasAmounts } from "@/exchange/deal-file/has-amounts";
import { useDesk } from "../desk/desk-context";
import { openedOption } from "../desk/desk-state";

// Most deals have amounts: the screen starts without the code for it.
const CurrencyField = lazy(() =>
  import("./CurrencyField").then(({ CurrencyField: field }) => ({ default: field })),
);

/** What money the deal is in; it can be another one as long as no amount is typed. */
export function CurrencyOfDeal() {
  const { state } = useDesk();
  const { currency } = openedOption(state).inputs;
  const isOpen =
    state.heading.budget === undefined && !state.options.some(option => hasAmounts(option.state.inputs));
  if (!isOpen) return currency;
  return (
    <Suspense fallback={currency}>
      <CurrencyField currency={currency} />
    </Suspense>
  );
}
