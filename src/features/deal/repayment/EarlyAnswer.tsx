import { FREQUENCY_NAMES, type LoanQuote, type RepaidEarly } from "@/core";
import { amountIn, inNotation, longDateIn } from "@/exchange/notation";
import { useNotation } from "../option/option-context";
import type { Tried } from "./use-early";

type Props = { quote: LoanQuote; tried: Tried };

/** What the extra payments that are tried come to, in a sentence. */
export function EarlyAnswer({ quote, tried: { repaid } }: Props) {
  const { notation } = useNotation();
  if (!repaid)
    return (
      <p className="text-faint text-sm">
        What is tried here is not agreed: it changes neither the quote nor its APR.
      </p>
    );
  if (!repaid.ok)
    return (
      <p role="status" className="text-error text-sm">
        {inNotation(repaid.failure.sentence, notation)}
      </p>
    );
  const { value } = repaid;
  return (
    <div aria-live="polite">
      <p className="font-serif text-[1.15rem] leading-snug" data-testid="early-answer">
        <Ending quote={quote} repaid={value} />
      </p>
      {value.earlyFee > 0 && (
        <p className="text-sm">
          After a charge of {amountIn(value.earlyFee, quote.deal.currency, notation)} for paying early.
        </p>
      )}
      {value.notes.map(note => (
        <p key={note} className="text-sm text-warning">
          {inNotation(note, notation)}
        </p>
      ))}
      <p className="mt-1 text-faint text-sm">
        With payments on their due dates, extra money credited to principal as it comes, and the next payment
        still due. Payments get lower only where the lender works them out anew.
      </p>
    </div>
  );
}

function Ending({ quote, repaid }: { quote: LoanQuote; repaid: RepaidEarly }) {
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
