import { FREQUENCY_NAMES, type LoanQuote, type RepaidEarly } from "@/core";
import { amountIn, longDateIn } from "@/exchange/notation";
import { useNotation } from "../option/option-context";

/** What is taken for granted of extra payments. */
export const ASSUMED =
  "With payments on their due dates, extra money credited to principal as it comes, and the next payment still due. Payments get lower only where the lender works them out anew.";

/** What extra payments come to: when the loan ends, what the payment gets down to, what is saved. */
export function EarlyEnding({ quote, repaid }: { quote: LoanQuote; repaid: RepaidEarly }) {
  const { notation } = useNotation();
  const money = (minor: number) => amountIn(minor, quote.deal.currency, notation);
  const { payments, endDate, solved, balloon, interestSaved, paymentsSaved } = repaid;
  const end = endDate === null ? `with payment ${payments}` : `on ${longDateIn(endDate, notation)}`;
  const { period } = FREQUENCY_NAMES[quote.filled.plan.frequency];
  const sooner = `${paymentsSaved} ${paymentsSaved === 1 ? "payment" : "payments"} sooner`;
  const isMonthly = period === "month";
  const parts = [
    paymentsSaved > 0 ? (
      <span key="end">
        Paid off <b className="font-semibold text-primary">{end}</b>,{" "}
        {isMonthly ? `${paymentsSaved} ${paymentsSaved === 1 ? "month" : "months"} sooner` : sooner}
      </span>
    ) : (
      <span key="end">Paid off {end} as planned</span>
    ),
    solved < quote.solved ? (
      <span key="lower">
        , the payment down to <b className="font-semibold text-primary">{money(solved)}</b>
      </span>
    ) : null,
    quote.balloon > balloon ? <span key="balloon">, a balloon of {money(balloon)} left</span> : null,
    <span key="saved">
      , with <b className="font-semibold text-primary">{money(Math.abs(interestSaved))}</b>{" "}
      {interestSaved < 0 ? "more to pay for it than it saves" : "less interest"}.
    </span>,
  ];
  return <>{parts}</>;
}
