import { earlyWorking, type LoanQuote } from "@/core";
import { amountIn, inNotation } from "@/exchange/notation";
import { useNotation } from "../option/option-context";
import { ASSUMED, EarlyEnding } from "./EarlyEnding";
import { How } from "./How";
import type { Tried } from "./use-early";

type Props = { quote: LoanQuote; tried: Tried };

/** What the extra payments that are tried come to, in a sentence. */
export function EarlyAnswer({ quote, tried: { extra, repaid } }: Props) {
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
        <EarlyEnding quote={quote} repaid={value} />
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
      {extra.ok && <How of="the interest saved" working={() => earlyWorking(quote, extra.value, value)} />}
      <p className="mt-1 text-faint text-sm">{ASSUMED}</p>
    </div>
  );
}
