import { type LoanQuote, whyNoExtras } from "@/core";
import { CardSection } from "./CardSection";
import { EarlyCard } from "./EarlyCard";
import { KeepOrPayCard } from "./KeepOrPayCard";
import { PaidOffByCard } from "./PaidOffByCard";
import { PayoffCard } from "./PayoffCard";
import type { Tried } from "./use-early";

/** What can be asked of the table. */
export function LoanCards({ quote, tried }: { quote: LoanQuote; tried: Tried }) {
  const refused = whyNoExtras(quote);
  return (
    <>
      {refused === undefined ? (
        <>
          <EarlyCard quote={quote} tried={tried} />
          <PaidOffByCard quote={quote} tried={tried} />
          <KeepOrPayCard quote={quote} tried={tried} />
        </>
      ) : (
        <CardSection title="Extra payments">
          <p className="text-faint">{refused}</p>
        </CardSection>
      )}
      <PayoffCard quote={quote} />
    </>
  );
}
