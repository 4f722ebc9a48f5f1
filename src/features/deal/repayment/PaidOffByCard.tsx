import { useMemo, useState } from "react";
import { type ExtraMoney, formatAmount, type LoanQuote, parseIsoDate } from "@/core";
import { amountIn, inNotation } from "@/exchange/notation";
import type { PaidOffQuestion } from "@/workers/early-worker";
import { useNotation, useOptionOf } from "../option/option-context";
import { useAnswer } from "../parts/use-thread";
import { CardSection } from "./CardSection";
import { withOnceOn } from "./early-changes";
import type { Tried } from "./use-early";
import { type When, WhenField } from "./WhenField";

type Props = { quote: LoanQuote; tried: Tried };

const PAUSE_MS = 120;

/** By when it is to be paid off, and what does it: so much with each payment, or once. */
export function PaidOffByCard({ quote, tried }: Props) {
  const { option } = useOptionOf("loan");
  const { notation } = useNotation();
  const [target, setTarget] = useState<When>();
  const [isOnce, setOnce] = useState(false);
  const [from, setFrom] = useState<When>({ after: 1 });
  const { extra } = tried;
  const question = useMemo<PaidOffQuestion | null>(() => {
    if (!target || !extra.ok) return null;
    return {
      deal: quote.filled,
      early: extra.value,
      target: "after" in target ? { payments: target.after } : { date: parseIsoDate(target.date) ?? 0 },
      using: usingOf(isOnce, from),
    };
  }, [quote.filled, extra, target, isOnce, from]);
  const found = useAnswer(tried.thread.paidOff, question, PAUSE_MS);
  const answer = question && found?.question === question ? found.answer : null;
  const money = (minor: number) => amountIn(minor, quote.deal.currency, notation);
  const take = (minor: number) => {
    const amount = formatAmount(minor, quote.decimals);
    tried.change(now => {
      if (isOnce) return withOnceOn(now, quote, from, amount);
      return { ...now, each: "after" in from && from.after > 1 ? { from: from.after, amount } : amount };
    });
  };
  return (
    <CardSection
      title="Paid off by"
      beside={
        <WhenField
          label="When it is to be paid off"
          when={target}
          inputs={option.inputs}
          notation={notation}
          put={setTarget}
          placeholder="60 or Dec 2030"
          className="w-40"
        />
      }
    >
      <div className="flex flex-wrap items-center gap-x-2 gap-y-1">
        <select
          className="choice-in-words"
          aria-label="What pays it off"
          value={isOnce ? "once" : "each"}
          onChange={({ target: { value } }) => setOnce(value === "once")}
        >
          <option value="each">with each payment, from payment</option>
          <option value="once">once, after payment</option>
        </select>
        <WhenField
          label="From which payment"
          when={from}
          inputs={option.inputs}
          notation={notation}
          put={setFrom}
          isNumber={!isOnce}
          className={isOnce ? "w-32" : "w-16"}
        />
      </div>
      <div aria-live="polite" className="mt-1 min-h-6">
        {answer?.ok && (
          <p>
            takes <b className="font-semibold">{money(answer.value.amount)}</b>{" "}
            {isOnce ? "once" : "more with each payment"}.{" "}
            <button type="button" className="btn btn-xs" onClick={() => take(answer.value.amount)}>
              Try it
            </button>
          </p>
        )}
        {answer && !answer.ok && (
          <p className="text-sm text-warning">{inNotation(answer.failure.sentence, notation)}</p>
        )}
      </div>
    </CardSection>
  );
}

function usingOf(isOnce: boolean, from: When): ExtraMoney {
  if (!isOnce) return { each: "after" in from && from.after > 1 ? { from: from.after } : {} };
  return "after" in from ? from : { date: parseIsoDate(from.date) ?? 0 };
}
