import { memo } from "react";
import { FREQUENCY_NAMES, type Quote } from "@/core";
import { longDateIn } from "@/exchange/notation";
import { moneyText } from "@/features/figures/format";
import { FindBar } from "./FindBar";
import { type DeskFind, type FieldName, fieldOf, isFoundIn } from "./fields";
import { isStale, shownQuote } from "./option";
import { useNotation, useOption } from "./option/option-context";
import { fieldId } from "./parts/FigureField";

/**
 * The answer in one plain sentence, made of live figures. On a narrow screen it comes first, and stays while the figures
 * under it are changed.
 */
export const DealSentence = memo(function DealSentence() {
  const { option } = useOption();
  const { say } = useNotation();
  const quote = shownQuote(option);
  return (
    <section
      aria-label="The deal in a sentence"
      className="max-lg:contents lg:card-paper lg:shrink-0 lg:px-5 lg:py-3"
    >
      <div className="max-lg:card-paper max-lg:sticky max-lg:top-0 max-lg:z-20 max-lg:order-[-3] max-lg:max-h-[45dvh] max-lg:overflow-auto max-lg:px-4 max-lg:py-2 max-lg:shadow-md">
        <NoAnswer />
        {quote && (
          <p
            className={`font-serif text-[1.05rem] leading-snug lg:text-[1.25rem] lg:leading-[1.5] ${isStale(option) ? "stale" : ""}`}
            data-testid="sentence"
          >
            <Sentence quote={quote} />
          </p>
        )}
        {quote?.note && option.answer.ok && <p className="mt-1 text-faint">{say(quote.note)}</p>}
      </div>
      <div className="max-lg:card-paper max-lg:order-[-2] max-lg:px-4 max-lg:py-2 lg:mt-2">
        <FindBar />
      </div>
    </section>
  );
});

type Money = (minor: number) => string;

/** Amounts of an answer with the currency's symbol. */
function useMoney({ deal }: Quote): Money {
  const { notation } = useNotation();
  return minor => moneyText(minor, deal.currency, notation);
}

function Sentence({ quote }: { quote: Quote }) {
  const { notation, say } = useNotation();
  const money = useMoney(quote);
  const single = quote.payments === 1;
  return (
    <>
      <Purchase quote={quote} /> <strong className="font-semibold">{money(quote.loanAmount)}</strong>
      {quote.cashReceived !== undefined && `, of which ${money(quote.cashReceived)} is paid out,`}{" "}
      <Term quote={quote} /> <Live find="payment" text={money(single ? quote.finalPayment : quote.payment)} />
      {(quote.charges?.all.each ?? 0) > 0 && ` with charges of ${money(quote.charges?.all.each ?? 0)}`}
      {quote.extraEach > 0 && ` and ${money(quote.extraEach)} extra each time`},{" "}
      {quote.firstDate !== null && (
        <>
          {single ? "on" : "the first on"}{" "}
          <Live go="firstPayment" text={longDateIn(quote.firstDate, notation)} />,{" "}
        </>
      )}
      at <Live go="yearlyRate" text={say(`${quote.yearlyRate} %`)} />
      {quote.trueYearlyRate !== undefined &&
        say(` flat, a true yearly rate of ${quote.trueYearlyRate.toFixed(2)} %`)}
      . It costs <strong className="font-semibold">{money(quote.financeCharge)}</strong> to finance
      {single ? "" : `; the last payment is ${money(quote.finalPayment)}`}
      {quote.balloon > 0 && `, and ${money(quote.balloon)} is left to pay at the end`}.{" "}
      {endText(quote, money)}
    </>
  );
}

/** What the money is for: a vehicle at a price, or the purpose of a personal loan. */
function Purchase({ quote }: { quote: Quote }) {
  const money = useMoney(quote);
  const { personal } = quote.filled.structure;
  const price = <Live find="price" text={money(quote.price)} />;
  const down = <Live find="down" text={money(quote.down)} />;
  if (!personal) {
    return (
      <>
        At a price of {price} with {down} cash down, finance
      </>
    );
  }
  return (
    <>
      {personal.purpose}: for {price} asked for
      {quote.down > 0 && <> with {down} down</>}, borrow
    </>
  );
}

/** Over how many payments: none where an extra ends the loan before the first. */
function Term({ quote }: { quote: Quote }) {
  const { payments, isListed, filled } = quote;
  if (payments === 0) return "repaid before the first payment of";
  if (payments === 1) {
    return (
      <>
        with <Live go="payments" text="one" /> payment of
      </>
    );
  }
  const adjective = isListed ? "listed" : FREQUENCY_NAMES[filled.plan.frequency].adjective;
  return (
    <>
      over <Live go="payments" text={`${payments} ${adjective}`} /> payments{leadText(quote)}
    </>
  );
}

/** What leads from the number of payments to the payment, as each plan is said aloud. */
function leadText(quote: Quote): string {
  const { interestOnly = 0, deferred, kind } = quote.filled.plan;
  if (quote.isListed) return ", one of them";
  if (interestOnly > 0) return `, the first ${interestOnly} just interest, then`;
  if (deferred) return `, none on the first ${deferred.payments} dates, then`;
  if (kind === "equalPrincipal") return " falling from";
  return staysLevel(quote) || quote.filled.plan.skippedMonths ? " of" : " starting at";
}

/** Whether every payment date but the last asks for the same payment. */
function staysLevel({ isLevel, paymentsMade, payments }: Quote): boolean {
  return isLevel && paymentsMade === payments;
}

/** Payments that are left out, and why the loan ends sooner than planned. */
function endText(quote: Quote, money: Money): string {
  const { plannedPayments, payments, paymentsMade, saved } = quote;
  const without = payments - paymentsMade;
  const early = plannedPayments - payments;
  return [
    without > 0 ? `On ${without} of the dates nothing is paid.` : "",
    stepsText(quote),
    saved ? `Extra payments save ${savedText(saved, money)}.` : "",
    early > 0 && !saved ? `Rounding up ends the loan ${times(early)} early.` : "",
  ]
    .filter(Boolean)
    .join(" ");
}

/** When the payment changes. */
function stepsText({ filled: { plan } }: Quote): string {
  const steps = plan.steps ?? [];
  if (steps.length === 0) return "";
  if (steps.length > MOST_STEPS_SAID) return `The payment changes ${steps.length} times.`;
  const numbers = steps.map(({ from }) => String(from));
  const list = numbers.length > 1 ? `${numbers.slice(0, -1).join(", ")} and ${numbers.at(-1)}` : numbers[0];
  return `The payment changes from payment ${list} on.`;
}

const MOST_STEPS_SAID = 3;

type LiveProps = { text: string } & ({ find: DeskFind } | { go: FieldName });

/** A figure of the sentence: pick it to find it, or to go where it is typed. */
function Live(props: LiveProps) {
  const { option, act } = useOption();
  if ("go" in props) {
    return (
      <button
        type="button"
        className={liveClass(isFoundIn(props.go, option.inputs.find))}
        title="Change this figure"
        onClick={() => document.getElementById(fieldId(props.go))?.focus()}
      >
        {props.text}
      </button>
    );
  }
  const found = isFoundIn(props.find, option.inputs.find);
  const name = fieldOf(props.find).label;
  return (
    <button
      type="button"
      aria-pressed={found}
      title={found ? `${name}: being found` : `Find this ${name.toLowerCase()}`}
      className={liveClass(found)}
      onClick={() => act({ type: "find", figure: props.find })}
    >
      {props.text}
    </button>
  );
}

function times(count: number): string {
  return `${count} ${count === 1 ? "payment" : "payments"}`;
}

function savedText({ interest, payments }: NonNullable<Quote["saved"]>, money: Money): string {
  return `${money(interest)}${payments > 0 ? ` and ${times(payments)}` : ""}`;
}

function liveClass(found: boolean): string {
  const style = found
    ? "found px-1.5"
    : "rounded-sm underline decoration-1 decoration-dotted underline-offset-4";
  return `cursor-pointer font-semibold ${style}`;
}

/** Why there is no answer, and the nearest figure that has one. */
function NoAnswer() {
  const { option, act } = useOption();
  const { notation, say } = useNotation();
  const { answer, lastGood, inputs } = option;
  if (answer.ok) return null;
  const { sentence, nearest } = answer.failure;
  return (
    <div
      role="alert"
      className="mb-2 flex flex-wrap items-center gap-x-3 gap-y-1 text-lg"
      data-testid="no-answer"
    >
      <span>
        {say(sentence)}{" "}
        {!lastGood && !nearest && <span className="text-faint">The answer appears here as you type.</span>}
        {lastGood && <span className="text-faint"> The last answer is greyed below.</span>}
      </span>
      {nearest && (nearest.figure === "payment" || nearest.figure === "down") && (
        <button
          type="button"
          className="btn btn-primary btn-sm"
          onClick={() =>
            act({ type: "give", figure: nearest.figure as "payment" | "down", minor: nearest.minor })
          }
        >
          Use {fieldOf(nearest.figure).label.toLowerCase()}{" "}
          {moneyText(nearest.minor, inputs.currency, notation)}
        </button>
      )}
    </div>
  );
}
