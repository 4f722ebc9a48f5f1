import { memo } from "react";
import { FREQUENCY_NAMES, type Frequency, type LeaseQuote, periodsPerYear } from "@/core";
import { moneyText, termText } from "@/features/figures/format";
import { LiveFigure } from "../answer/LiveFigure";
import { SentenceCard } from "../answer/SentenceCard";
import { shownQuote } from "../option";
import { useLease, useNotation } from "../option/option-context";
import { LeaseFindBar } from "./LeaseFindBar";

/** The answer of a lease in one plain sentence. */
export const LeaseSentence = memo(function LeaseSentence() {
  const quote = shownQuote(useLease().option);
  return <SentenceCard findBar={<LeaseFindBar />}>{quote && <Sentence quote={quote} />}</SentenceCard>;
});

/** The sentence of a lease that is being signed. */
export function LeaseWords() {
  const quote = shownQuote(useLease().option);
  return quote && <Sentence quote={quote} />;
}

function Sentence({ quote }: { quote: LeaseQuote }) {
  const { notation } = useNotation();
  const money = (minor: number) => moneyText(minor, quote.lease.currency, notation);
  const strong = (minor: number) => <strong className="font-semibold">{money(minor)}</strong>;
  const { payments, payment, tax, depreciation, rentCharge, dueAtSigning, filled } = quote;
  const { frequency, inAdvance } = filled.plan;
  const isAtOnce = inAdvance === payments;
  return (
    <>
      Drive it for <LiveFigure find="payments" name="Term" text={term(payments, frequency)} />{" "}
      {isAtOnce ? "for" : "at"} <LiveFigure find="payment" name="Payment" text={money(payment)} />{" "}
      {isAtOnce ? "paid at once" : PER[frequency]}
      {tax > 0 && ", tax included"}
      {isAtOnce && dueAtSigning.total === payment ? (
        " at signing"
      ) : dueAtSigning.total === 0 ? (
        ", with nothing due at signing"
      ) : (
        <>
          , with <LiveFigure field="down" text={money(dueAtSigning.total)} /> due at signing
        </>
      )}
      {!isAtOnce && inAdvance > 1 && `, the ${lastPayments(inAdvance - 1)} among it`}. <AtEnd quote={quote} />{" "}
      Using it costs {strong(rentCharge)} in rent
      {depreciation < 0 ? "; it is held to gain " : " and "}
      {strong(Math.abs(depreciation))}
      {depreciation < 0 ? "." : " in lost value."}
    </>
  );
}

/** What becomes of it: handed back or bought, and for how much. */
function AtEnd({ quote }: { quote: LeaseQuote }) {
  const { notation } = useNotation();
  const money = (minor: number) => moneyText(minor, quote.lease.currency, notation);
  const { residual, purchaseTax, filled } = quote;
  const { dispositionFee, purchaseFee } = filled.plan;
  const beside = [
    purchaseFee > 0 ? `a fee of ${money(purchaseFee)}` : "",
    purchaseTax > 0 ? `${money(purchaseTax)} tax` : "",
  ].filter(Boolean);
  return (
    <>
      Then hand it back{dispositionFee > 0 && ` for a fee of ${money(dispositionFee)}`}, or buy it for{" "}
      <LiveFigure
        find="residual"
        field="lease/residual"
        name="Residual"
        text={money(residual)}
        after={beside.length > 0 ? "" : "."}
      />
      {beside.length > 0 && ` and ${beside.join(" and ")}.`}
    </>
  );
}

/** "36 months"; where it is not paid monthly, the time and how many payments. */
function term(payments: number, frequency: Frequency): string {
  if (frequency === "monthly") return `${payments} ${payments === 1 ? "month" : "months"}`;
  const time = termText(payments, periodsPerYear(frequency));
  return `${time} in ${payments} ${FREQUENCY_NAMES[frequency].adjective} payments`;
}

const lastPayments = (count: number) => (count === 1 ? "last payment" : `last ${count} payments`);

/** What an amount is for, said after it. */
const PER: Record<Frequency, string> = {
  weekly: "a week",
  everyTwoWeeks: "every two weeks",
  twiceAMonth: "twice a month",
  monthly: "a month",
  everyTwoMonths: "every two months",
  quarterly: "a quarter",
  halfYearly: "a half year",
  yearly: "a year",
};
