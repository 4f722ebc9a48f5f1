import { Plus } from "lucide-react";
import { firstPaymentDate, formatAmount, type LoanQuote, parseAmount, periodsPerYear } from "@/core";
import { eachOf } from "@/exchange/extra-payments/each-extra";
import { amountIn } from "@/exchange/notation";
import { monthName } from "@/exchange/text";
import { focusSoon } from "@/features/focus/focus-soon";
import { useIsFrozen, useNotation, useOptionOf } from "../option/option-context";
import { AmountField } from "./AmountField";
import { CardSection } from "./CardSection";
import { EarlyAnswer } from "./EarlyAnswer";
import { EarlyPlan } from "./EarlyPlan";
import { EarlyPresets } from "./EarlyPresets";
import { withEach, withOnce } from "./early-changes";
import { OnceRow } from "./OnceRow";
import type { Tried } from "./use-early";
import { WhenField } from "./WhenField";

type Props = { quote: LoanQuote; tried: Tried };

/** The extra payments that are tried beside the plan. */
export function EarlyCard({ quote, tried }: Props) {
  const { early, change } = tried;
  const isFrozen = useIsFrozen();
  const add = () => {
    change(now => withOnce(now, [...(now.once ?? []), { after: nextAfter(quote, now), amount: "0" }]));
    focusSoon(`[data-once="${early.once?.length ?? 0}"] input`);
  };
  return (
    <CardSection title="Extra payments">
      <div className="grid grid-cols-[1fr_auto] items-center gap-x-3 gap-y-2">
        <WithEach quote={quote} tried={tried} />
        <EveryYear quote={quote} tried={tried} />
        {(early.once ?? []).map((each, index) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: a row is its place, so that its fields keep the focus.
          <OnceRow key={index} quote={quote} tried={tried} once={each} index={index} />
        ))}
      </div>
      <div className="mt-1.5 flex flex-wrap items-center gap-x-2 gap-y-1">
        <button type="button" className="btn btn-ghost btn-sm px-1 text-primary" onClick={add}>
          <Plus size={15} aria-hidden="true" />
          Once
        </button>
        <EarlyPresets quote={quote} tried={tried} />
      </div>
      <div className="mt-2">
        <EarlyAnswer quote={quote} tried={tried} />
      </div>
      {!isFrozen && <EarlyPlan quote={quote} tried={tried} />}
    </CardSection>
  );
}

/** After the last of what is there already, or after a year. */
function nextAfter({ payments, filled }: LoanQuote, { once = [] }: Tried["early"]): number {
  const perYear = periodsPerYear(filled.plan.frequency);
  const last = once.reduce((most, { after = 0 }) => Math.max(most, after), 0);
  return Math.max(Math.min(last + perYear, payments - 1), 1);
}

/** So much more with each payment, or the whole payment as it is then. */
function WithEach({ quote, tried: { early, change } }: Props) {
  const { option } = useOptionOf("loan");
  const { notation } = useNotation();
  const { currency } = quote.deal;
  const { decimals, payment } = quote;
  const each = early.each === undefined ? {} : eachOf(early.each);
  const minor = parseAmount(String(each.amount ?? "0"), decimals) ?? 0;
  const put = (amount: string | undefined) => change(now => withEach(now, amount), "each");
  const putNumber = (name: "from" | "to", value: number) =>
    change(now => ({ ...now, each: { ...each, amount: each.amount ?? "0", [name]: value } }), name);
  const number = (name: "from" | "to", otherwise: number) => (
    <WhenField
      label={name === "from" ? "Extra from payment" : "Extra to payment"}
      when={{ after: each[name] ?? otherwise }}
      inputs={option.inputs}
      notation={notation}
      isNumber
      className="mx-1 h-6 w-14 text-sm"
      put={when => "after" in when && putNumber(name, when.after)}
    />
  );
  return (
    <>
      <div>
        <p>With each payment</p>
        {each.amount !== undefined && (
          <p className="flex flex-wrap items-center text-faint text-sm">
            from payment {number("from", 1)} to {number("to", quote.plannedPayments)}
          </p>
        )}
      </div>
      <AmountField
        label="Extra with each payment"
        amount={each.amount}
        currency={currency}
        notation={notation}
        put={put}
      />
      {payment > 0 && (
        <>
          <p className="text-faint text-sm">
            or the whole payment, {amountIn(payment, currency, notation)} now
          </p>
          <AmountField
            label="Whole payment"
            amount={minor > 0 ? formatAmount(payment + minor, decimals) : undefined}
            currency={currency}
            notation={notation}
            put={whole => {
              const more = whole === undefined ? 0 : (parseAmount(whole, decimals) ?? 0) - payment;
              put(more > 0 ? formatAmount(more, decimals) : undefined);
            }}
          />
        </>
      )}
    </>
  );
}

const MONTHS = Array.from({ length: 12 }, (_, index) => index + 1);

/** So much each year, on the first payment date in a month. */
function EveryYear({ quote, tried: { early, change } }: Props) {
  const { notation } = useNotation();
  const { yearly } = early;
  const hasDates = firstPaymentDate(quote.filled.plan) !== null;
  if (!hasDates && !yearly) return null;
  const month = yearly?.month ?? 12;
  return (
    <>
      <label className="flex flex-wrap items-center gap-x-1">
        Once a year in
        <select
          className="choice-in-words"
          aria-label="Month of the yearly extra"
          value={month}
          disabled={!yearly}
          onChange={({ target }) =>
            change(now => ({
              ...now,
              yearly: { amount: now.yearly?.amount ?? "0", month: Number(target.value) },
            }))
          }
        >
          {MONTHS.map(each => (
            <option key={each} value={each}>
              {monthName(each)}
            </option>
          ))}
        </select>
      </label>
      <AmountField
        label="Extra every year"
        amount={yearly?.amount}
        currency={quote.deal.currency}
        notation={notation}
        put={amount =>
          change(({ yearly: before, ...now }) => {
            if (amount === undefined) return now;
            return { ...now, yearly: before ? { ...before, amount } : { amount, month: 12 } };
          }, "yearly")
        }
      />
    </>
  );
}
