import { lazy, memo, Suspense } from "react";
import { FREQUENCY_NAMES, type Quote } from "@/core";
import { longDateIn } from "@/exchange/notation";
import { moneyText } from "@/features/figures/format";
import { LiveFigure } from "../answer/LiveFigure";
import { SentenceCard } from "../answer/SentenceCard";
import { shownQuote } from "../option";
import { useLoan, useNotation } from "../option/option-context";
import { LoanFindBar } from "./LoanFindBar";

/** The answer of a loan in one plain sentence. */
export const LoanSentence = memo(function LoanSentence() {
  const quote = shownQuote(useLoan().option);
  return <SentenceCard findBar={<LoanFindBar />}>{quote && <Sentence quote={quote} />}</SentenceCard>;
});

/** The sentence of a loan that is being signed. */
export function LoanWords() {
  const quote = shownQuote(useLoan().option);
  return quote && <Sentence quote={quote} />;
}

type Money = (minor: number) => string;

// Few loans skip dates, change their payment, or end before their time.
const EndText = lazy(() => import("./EndText").then(({ EndText: text }) => ({ default: text })));

const endsOtherwise = ({ payments, paymentsMade, plannedPayments, filled: { plan } }: Quote) =>
  payments !== paymentsMade ||
  payments !== plannedPayments ||
  plan.steps !== undefined ||
  plan.extra !== undefined;

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
      <Term quote={quote} />{" "}
      <LiveFigure
        find="payment"
        name="Payment"
        text={money(single ? quote.finalPayment : quote.payment)}
        after={besideText(quote, money) ? "" : ","}
      />
      {besideText(quote, money)}{" "}
      {quote.firstDate !== null && (
        <>
          {single ? "on" : "the first on"}{" "}
          <LiveFigure field="firstPayment" text={longDateIn(quote.firstDate, notation)} after="," />{" "}
        </>
      )}
      at{" "}
      {quote.trueYearlyRate === undefined ? (
        <LiveFigure
          find="yearlyRate"
          field="yearlyRate"
          name="Yearly rate"
          text={say(`${quote.yearlyRate} %`)}
          after="."
        />
      ) : (
        <>
          <LiveFigure
            find="yearlyRate"
            field="yearlyRate"
            name="Yearly rate"
            text={say(`${quote.yearlyRate} %`)}
          />
          {say(` flat, a true yearly rate of ${quote.trueYearlyRate.toFixed(2)} %.`)}
        </>
      )}{" "}
      It costs <strong className="font-semibold">{money(quote.financeCharge)}</strong> to finance
      {single ? "" : `; the last payment is ${money(quote.finalPayment)}`}
      {quote.balloon > 0 && (
        <>
          , and <LiveFigure find="balloon" field="balloon" name="Balloon" text={money(quote.balloon)} /> is
          left to pay at the end
        </>
      )}
      .
      {endsOtherwise(quote) && (
        <Suspense fallback={null}>
          {" "}
          <EndText quote={quote} money={money} />
        </Suspense>
      )}
    </>
  );
}

/** What is paid with each payment, where anything is. */
function besideText({ charges, extraEach }: Quote, money: Money): string {
  const each = charges?.all.each ?? 0;
  const parts = [
    each > 0 ? ` with charges of ${money(each)}` : "",
    extraEach > 0 ? ` and ${money(extraEach)} extra each time` : "",
  ].join("");
  return parts && `${parts},`;
}

/** What the money is for: a vehicle at a price, or the purpose of a personal loan. */
function Purchase({ quote }: { quote: Quote }) {
  const money = useMoney(quote);
  const { personal } = quote.filled.structure;
  const price = <LiveFigure find="price" name="Price" text={money(quote.price)} />;
  const down = <LiveFigure find="down" field="down" name="Cash down" text={money(quote.down)} />;
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
        with <LiveFigure find="payments" field="payments" name="Number of payments" text="one" /> payment of
      </>
    );
  }
  const adjective = isListed ? "listed" : FREQUENCY_NAMES[filled.plan.frequency].adjective;
  return (
    <>
      over{" "}
      {isListed ? (
        `${payments} ${adjective}`
      ) : (
        <LiveFigure
          find="payments"
          field="payments"
          name="Number of payments"
          text={`${payments} ${adjective}`}
        />
      )}{" "}
      payments{leadText(quote)}
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
