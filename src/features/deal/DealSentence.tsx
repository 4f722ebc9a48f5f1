import { memo } from "react";
import type { FoundFigure, Quote } from "@/core";
import { longDate, moneyText } from "@/features/figures/format";
import { useDesk } from "./desk-context";
import { isStale, shownQuote } from "./desk-state";
import { fieldId } from "./FigureField";
import { FindBar } from "./FindBar";
import type { FieldName } from "./read-field";

/** The answer in one plain sentence, made of live figures. */
export const DealSentence = memo(function DealSentence() {
  const { state } = useDesk();
  const quote = shownQuote(state);
  return (
    <section aria-label="The deal in a sentence" className="card-paper px-6 pt-4 pb-4">
      <NoAnswer />
      {quote && (
        <p
          className={`font-serif text-[1.35rem] leading-[1.5] ${isStale(state) ? "stale" : ""}`}
          data-testid="sentence"
        >
          <Sentence quote={quote} />
        </p>
      )}
      {quote?.note && state.answer.ok && <p className="mt-1 text-faint">{quote.note}</p>}
      <FindBar />
    </section>
  );
});

function Sentence({ quote }: { quote: Quote }) {
  const { currency } = quote.deal;
  const money = (minor: number) => moneyText(minor, currency);
  const single = quote.payments === 1;
  const early = quote.terms.payments - quote.payments;
  return (
    <>
      At a price of <Live find="price" text={money(quote.price)} /> with{" "}
      <Live find="down" text={money(quote.down)} /> cash down, finance{" "}
      <strong className="font-semibold">{money(quote.amountFinanced)}</strong>{" "}
      {single ? (
        <>
          with <Live go="payments" text="one" /> payment of{" "}
        </>
      ) : (
        <>
          over <Live go="payments" text={`${quote.payments} monthly`} /> payments of{" "}
        </>
      )}
      <Live find="payment" text={money(single ? quote.finalPayment : quote.payment)} />,{" "}
      {quote.firstDate !== null && (
        <>
          {single ? "on" : "the first on"} <Live go="firstPayment" text={longDate(quote.firstDate)} />,{" "}
        </>
      )}
      at <Live go="yearlyRate" text={`${quote.deal.plan.yearlyRate} %`} />. It costs{" "}
      <strong className="font-semibold">{money(quote.financeCharge)}</strong> to finance
      {single ? "" : `; the last payment is ${money(quote.finalPayment)}`}.
      {early > 0 && ` Rounding up ends the loan ${early} ${early === 1 ? "payment" : "payments"} early.`}
    </>
  );
}

type LiveProps = { text: string } & ({ find: FoundFigure } | { go: FieldName });

const FIGURE_NAMES = { price: "Price", down: "Cash down", payment: "Payment" };

/** A figure of the sentence: pick it to find it, or to go where it is typed. */
function Live(props: LiveProps) {
  const { state, dispatch } = useDesk();
  if ("go" in props) {
    return (
      <button
        type="button"
        className="cursor-pointer rounded-sm font-semibold underline decoration-1 decoration-dotted underline-offset-4"
        title="Change this figure"
        onClick={() => document.getElementById(fieldId(props.go))?.focus()}
      >
        {props.text}
      </button>
    );
  }
  const found = state.document.inputs.find === props.find;
  const name = FIGURE_NAMES[props.find];
  return (
    <button
      type="button"
      aria-pressed={found}
      title={found ? `${name}: being found` : `Find this ${name.toLowerCase()}`}
      className={`cursor-pointer font-semibold ${found ? "found px-1.5" : "rounded-sm underline decoration-1 decoration-dotted underline-offset-4"}`}
      onClick={() => dispatch({ type: "find", figure: props.find })}
    >
      {props.text}
    </button>
  );
}

/** Why there is no answer, and the nearest figure that has one. */
function NoAnswer() {
  const { state, dispatch } = useDesk();
  const { answer, lastGood, document: deal } = state;
  if (answer.ok) return null;
  const { sentence, nearest } = answer.failure;
  return (
    <div
      role="alert"
      className="mb-2 flex flex-wrap items-center gap-x-3 gap-y-1 text-lg"
      data-testid="no-answer"
    >
      <span>
        {sentence}{" "}
        {!lastGood && !nearest && <span className="text-faint">The answer appears here as you type.</span>}
        {lastGood && <span className="text-faint"> The last answer is greyed below.</span>}
      </span>
      {nearest && (nearest.figure === "payment" || nearest.figure === "down") && (
        <button
          type="button"
          className="btn btn-primary btn-sm"
          onClick={() =>
            dispatch({ type: "give", figure: nearest.figure as "payment" | "down", minor: nearest.minor })
          }
        >
          Use {FIGURE_NAMES[nearest.figure].toLowerCase()} {moneyText(nearest.minor, deal.inputs.currency)}
        </button>
      )}
    </div>
  );
}
