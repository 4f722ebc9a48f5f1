import { X } from "lucide-react";
import type { LoanQuote } from "@/core";
import { useNotation, useOptionOf } from "../option/option-context";
import { AmountField } from "./AmountField";
import { type OnceFile, withOnce, withOnceAt } from "./early-changes";
import type { Tried } from "./use-early";
import { type When, WhenField } from "./WhenField";

type Props = { quote: LoanQuote; tried: Tried; once: OnceFile; index: number };

/** Money that comes once: when, how much, and what it does. */
export function OnceRow({ quote, tried: { change, repaid }, once, index }: Props) {
  const { option } = useOptionOf("loan");
  const { notation } = useNotation();
  const { date, after, amount } = once;
  const when: When | undefined = after !== undefined ? { after } : date === undefined ? undefined : { date };
  const name = `Extra ${index + 1}`;
  const put = (next: When) =>
    change(now => {
      const { date: _d, after: _a, ...rest } = now.once?.[index] ?? {};
      return withOnce(
        now,
        (now.once ?? []).map((each, place) => (place === index ? { ...next, ...rest } : each)),
      );
    }, `when ${index}`);
  const isTrimmed = repaid?.ok && repaid.value.schedule.some(({ asked }) => asked !== undefined);
  return (
    <>
      <div data-once={index}>
        <p className="flex flex-wrap items-center gap-1">
          <span className="sr-only">{name}: after</span>
          <WhenField
            label={`${name}: when`}
            when={when}
            inputs={option.inputs}
            notation={notation}
            put={put}
          />
          <button
            type="button"
            className="btn btn-ghost btn-xs px-1 text-faint"
            aria-label={`Remove ${name.toLowerCase()}`}
            onClick={() =>
              change(now =>
                withOnce(
                  now,
                  (now.once ?? []).filter((_, place) => place !== index),
                ),
              )
            }
          >
            <X size={15} aria-hidden="true" />
          </button>
        </p>
        <select
          className="choice-in-words text-sm"
          aria-label={`${name}: what it does`}
          value={once.then ?? "sooner"}
          onChange={({ target }) =>
            change(now => withOnceAt(now, index, { then: target.value as "sooner" | "lowerPayments" }))
          }
        >
          <option value="sooner">same payment, shorter term</option>
          <option value="lowerPayments">lower payment, same end</option>
        </select>
        {isTrimmed && <p className="text-faint text-sm">no more than is owed then is taken</p>}
      </div>
      <AmountField
        label={`${name}: amount`}
        amount={amount}
        currency={quote.deal.currency}
        notation={notation}
        put={next => change(now => withOnceAt(now, index, { amount: next ?? "0" }), `amount ${index}`)}
      />
    </>
  );
}
