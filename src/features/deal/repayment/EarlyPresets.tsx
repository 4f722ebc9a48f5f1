import { formatAmount, type LoanQuote, periodsPerYear } from "@/core";
import { amountIn } from "@/exchange/notation";
import { useNotation } from "../option/option-context";
import { withOnce } from "./early-changes";
import type { Tried } from "./use-early";

type Props = { quote: LoanQuote; tried: Tried };

/** The usual ways to pay more. */
export function EarlyPresets({ quote, tried: { change } }: Props) {
  const { notation } = useNotation();
  const { payment, decimals, deal, filled, plannedPayments } = quote;
  if (payment === 0) return null;
  const money = (minor: number) => amountIn(minor, deal.currency, notation);
  const perYear = periodsPerYear(filled.plan.frequency);
  const round = 50 * 10 ** decimals;
  const rounded = Math.ceil((payment + 1) / round) * round;
  const twelfth = Math.ceil(payment / 12);
  const putEach = (minor: number) => change(now => ({ ...now, each: formatAmount(minor, decimals) }));
  const everyYear = () =>
    change(now => {
      const years = Math.floor((plannedPayments - 1) / perYear);
      const amount = formatAmount(payment, decimals);
      return withOnce(
        now,
        Array.from({ length: years }, (_, index) => ({ after: (index + 1) * perYear, amount })),
      );
    });
  return (
    <>
      <button type="button" className="btn btn-xs" onClick={() => putEach(rounded - payment)}>
        Pay {money(rounded)}
      </button>
      <button type="button" className="btn btn-xs" onClick={() => putEach(twelfth)}>
        A twelfth more
      </button>
      {plannedPayments > perYear && (
        <button
          type="button"
          className="btn btn-xs"
          title="Half a payment every two weeks comes to the same: lenders credit whole payments."
          onClick={everyYear}
        >
          One payment more a year
        </button>
      )}
    </>
  );
}
