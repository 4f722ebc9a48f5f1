import { memo, useMemo, useState } from "react";
import {
  isoDate,
  type LoanQuote,
  type Payoff,
  parseIsoDate,
  payoffAfter,
  payoffOn,
  payoffWorking,
} from "@/core";
import { amountIn, dateIn, decimalIn, inNotation } from "@/exchange/notation";
import { todaysDay } from "@/features/figures/today";
import { useFrame } from "../desk/desk-context";
import { useNotation, useOptionOf } from "../option/option-context";
import { PaperButton } from "../papers/PaperButton";
import { CardSection, Worked } from "./CardSection";
import { How } from "./How";
import { type When, WhenField } from "./WhenField";

type Props = { quote: LoanQuote };

/** What pays the loan off on a day, and until when a sum is good. */
export const PayoffCard = memo(function PayoffCard({ quote }: Props) {
  const { option } = useOptionOf("loan");
  const { heading } = useFrame();
  const { notation } = useNotation();
  const [asked, setAsked] = useState<When>();
  const [through, setThrough] = useState<string>();
  const when = asked ?? usualDay(quote);
  const { place } = heading;
  const payoff = useMemo(() => {
    const terms = { place, goodThrough: through === undefined ? undefined : parseIsoDate(through) };
    return "after" in when
      ? payoffAfter(quote, when.after, terms)
      : payoffOn(quote, parseIsoDate(when.date) ?? 0, terms);
  }, [quote, when, through, place]);
  const hasDates = quote.startDate !== null;
  return (
    <CardSection
      title="Payoff on"
      beside={
        <WhenField
          label="Day of the payoff"
          when={when}
          inputs={option.inputs}
          notation={notation}
          put={setAsked}
          className="w-36"
        />
      }
    >
      <p className="mb-1 text-faint text-sm">
        Estimated, if paid as scheduled: who holds the account gives the binding figure.
      </p>
      {hasDates && (
        <div className="flex items-center justify-between gap-x-2">
          and good through
          <WhenField
            label="Payoff good through"
            when={through === undefined ? undefined : { date: through }}
            inputs={option.inputs}
            notation={notation}
            put={next => "date" in next && setThrough(next.date)}
            placeholder={
              payoff.ok && payoff.value.goodThrough !== null ? dateIn(payoff.value.goodThrough, notation) : ""
            }
            className="w-36"
          />
        </div>
      )}
      {!payoff.ok && (
        <p role="status" className="mt-1 text-error text-sm">
          {inNotation(payoff.failure.sentence, notation)}
        </p>
      )}
      {payoff.ok && (
        <>
          <Told quote={quote} payoff={payoff.value} />
          <How of="the payoff" working={() => payoffWorking(quote, payoff.value, place)} />
          <div className="mt-2">
            <PaperButton
              name="payoff"
              details={{
                ...("after" in when ? { after: String(when.after) } : { on: when.date }),
                ...(through !== undefined && { through }),
              }}
            />
          </div>
        </>
      )}
    </CardSection>
  );
});

/** Today while the loan runs, else after its first year. */
function usualDay({ startDate, finalDate, payments }: LoanQuote): When {
  const today = todaysDay();
  if (startDate !== null && finalDate !== null && today >= startDate && today <= finalDate)
    return { date: isoDate(today) };
  return { after: Math.min(12, payments) };
}

function Told({ quote, payoff }: { quote: LoanQuote; payoff: Payoff }) {
  const { notation } = useNotation();
  const money = (minor: number) => amountIn(minor, quote.deal.currency, notation);
  const { afterPayment, balance, interest, perDay, earlyFee, settle, goodThrough, settleThrough } = payoff;
  const since = afterPayment === 0 ? "since the start" : `since payment ${afterPayment}`;
  return (
    <div aria-live="polite">
      <dl className="mt-1.5 grid grid-cols-[1fr_auto] items-baseline gap-x-3 gap-y-0.5">
        <Worked
          name={afterPayment === 0 ? "Principal" : `Principal after payment ${afterPayment}`}
          text={money(balance)}
        />
        <Worked name={`Interest ${since}`} text={money(interest)} />
        {earlyFee > 0 && <Worked name="Charge for paying early" text={money(earlyFee)} />}
        <Worked name="The sum on that day" text={money(settle)} isSum />
        {perDay !== null && perDay > 0 && (
          <Worked
            name="Each further day"
            text={decimalIn((perDay / 10 ** quote.decimals).toFixed(4), notation)}
          />
        )}
        {goodThrough !== null && settleThrough !== null && (
          <Worked
            name={`The sum good through ${dateIn(goodThrough, notation)}`}
            text={money(settleThrough)}
            isSum
          />
        )}
        {payoff.refunds?.map(({ method, refund, payoff: sum }) => (
          <Worked
            key={method}
            name={`${REFUNDS[method]}: ${money(refund)} of the charge refunded`}
            text={money(sum)}
          />
        ))}
      </dl>
      {payoff.passesPayment && (
        <p className="text-faint text-sm">A payment falls due by then: the sum takes it as not made.</p>
      )}
      {payoff.note !== undefined && <p className="text-sm text-warning">{payoff.note}</p>}
    </div>
  );
}

const REFUNDS = { actuarial: "Actuarial", sumOfDigits: "By the sum of the digits" } as const;
