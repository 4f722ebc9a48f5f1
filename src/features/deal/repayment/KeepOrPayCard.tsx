import { useMemo, useState } from "react";
import { type KeepOrPay, keepOrPayWorking, type LoanQuote, parseAmount, periodsPerYear } from "@/core";
import type { Asides } from "@/exchange/deal-document";
import { withOptional } from "@/exchange/members";
import { amountIn, inNotation, plainFigure } from "@/exchange/notation";
import { TypedFigure } from "@/features/typing/TypedFigure";
import type { Read } from "@/features/typing/use-typed";
import type { KeepOrPayQuestion } from "@/workers/early-worker";
import { useDesk } from "../desk/desk-context";
import { useNotation, useOptionOf } from "../option/option-context";
import { useAnswer } from "../parts/use-thread";
import { AmountField } from "./AmountField";
import { CardSection } from "./CardSection";
import { How } from "./How";
import type { Tried } from "./use-early";
import { type When, WhenField } from "./WhenField";

type Props = { quote: LoanQuote; tried: Tried };

/** Money in hand after a payment: kept at a return, or paid into the loan. */
export function KeepOrPayCard({ quote, tried }: Props) {
  const { option } = useOptionOf("loan");
  const { state, dispatch } = useDesk();
  const { notation } = useNotation();
  const { currency } = quote.deal;
  const { early } = tried;
  const first = early.once?.find(({ after }) => after !== undefined);
  const [own, setOwn] = useState<{ amount?: string | undefined; when?: When }>({});
  const amount = own.amount ?? (first?.amount === undefined ? undefined : String(first.amount));
  const when: When = own.when ?? {
    after: first?.after ?? Math.min(periodsPerYear(quote.filled.plan.frequency), quote.payments),
  };
  const earns = state.asides?.return;
  const put = (change: Partial<NonNullable<Asides["return"]>>, key: string) =>
    dispatch({
      type: "asides",
      key: `return ${key}`,
      change: asides => ({ ...asides, return: { rate: "0", ...asides.return, ...change } }),
    });
  const clear = () =>
    dispatch({ type: "asides", change: asides => withOptional(asides, "return", undefined) });
  const minor = amount === undefined ? undefined : parseAmount(amount, quote.decimals);
  const rate = earns && String(earns.rate);
  const tax = String(earns?.tax ?? "0");
  const after = "after" in when ? when.after : 0;
  const question = useMemo(
    () =>
      minor && rate !== undefined
        ? { deal: quote.filled, after, amount: minor, yearlyReturn: { rate, tax } }
        : null,
    [quote.filled, after, minor, rate, tax],
  );
  const found = useAnswer(tried.thread.keepOrPay, question, 0);
  const told = question && found?.question.deal === quote.filled ? found : null;
  return (
    <CardSection title="Keep it, or pay it in?">
      <div className="flex flex-wrap items-center gap-x-2 gap-y-1">
        <AmountField
          label="Money in hand"
          amount={amount}
          currency={currency}
          notation={notation}
          put={next => setOwn({ ...own, amount: next })}
        />
        in hand after payment
        <WhenField
          label="Money in hand after"
          when={when}
          inputs={option.inputs}
          notation={notation}
          put={next => setOwn({ ...own, when: next })}
          isNumber
          className="w-16"
        />
        kept at
        <PercentField
          label="Yearly return"
          value={rate}
          put={next => (next === undefined ? clear() : put({ rate: next }, "rate"))}
        />
        a year, taxed at
        <PercentField label="Tax on the return" value={tax} put={next => put({ tax: next ?? "0" }, "tax")} />
      </div>
      {told && !told.answer.ok && (
        <p role="status" className="mt-1 text-error text-sm">
          {inNotation(told.answer.failure.sentence, notation)}
        </p>
      )}
      {told?.answer.ok && <Told quote={quote} asked={told.question} told={told.answer.value} />}
    </CardSection>
  );
}

type PercentProps = { label: string; value: string | undefined; put: (value: string | undefined) => void };

function PercentField({ label, value, put }: PercentProps) {
  const { notation } = useNotation();
  const read = (text: string): Read<string | undefined> => {
    const plain = plainFigure(text.trim(), notation).replace(/\s*%$/, "").replace("−", "-");
    if (plain === "") return { value: undefined };
    return /^-?\d{1,3}(\.\d{1,8})?$/.test(plain)
      ? { value: plain }
      : { sentence: `“${text}” is not a percent; type one such as 4.2.` };
  };
  return (
    <TypedFigure
      label={label}
      className="w-20"
      placeholder="– %"
      shown={value === undefined ? "" : inNotation(`${value} %`, notation)}
      value={value}
      notation={notation}
      read={read}
      put={put}
    />
  );
}

type ToldProps = { quote: LoanQuote; asked: KeepOrPayQuestion; told: KeepOrPay };

function Told({ quote, asked, told }: ToldProps) {
  const { notation } = useNotation();
  const money = (minor: number) => amountIn(minor, quote.deal.currency, notation);
  const { kept, paidIn, difference, tieReturn } = told;
  const most = Math.max(kept, paidIn, 1);
  const tie =
    tieReturn === null
      ? "At no return do they tie."
      : `They tie at a return of ${tieReturn.toFixed(2)} % a year.`;
  return (
    <div aria-live="polite">
      <dl className="mt-1.5 grid grid-cols-[4rem_1fr_auto] items-center gap-x-2 gap-y-1">
        <Bar name="kept" share={kept / most} text={money(kept)} color="bg-secondary" />
        <Bar name="paid in" share={paidIn / most} text={money(paidIn)} color="bg-primary" />
      </dl>
      <p className="mt-1">
        <b className="font-semibold">
          {difference === 0
            ? "Both leave the same."
            : difference > 0
              ? `Paying it in leaves ${money(difference)} more.`
              : `Keeping it leaves ${money(-difference)} more.`}
        </b>{" "}
        {inNotation(tie, notation)}
      </p>
      <p className="text-faint text-sm">
        On the day of payment {told.plannedEnd}, the last as planned. Interest saved is certain, a return is
        not.
      </p>
      <How of="what is left" working={() => keepOrPayWorking(quote, asked, told)} />
    </div>
  );
}

function Bar({ name, share, text, color }: { name: string; share: number; text: string; color: string }) {
  return (
    <>
      <dt className="text-faint text-sm">{name}</dt>
      <dd className="contents">
        <span aria-hidden="true" className={`h-4 rounded-sm ${color}`} style={{ width: `${100 * share}%` }} />
        <span className="text-right">{text}</span>
      </dd>
    </>
  );
}
