import { type ReactNode, useId, useState } from "react";
import { endLeaseEarly, type LeaseQuote, parseAmount } from "@/core";
import { amountIn, inNotation, plainFigure } from "@/exchange/notation";
import { readAmount } from "../../fields/amount-text";
import { isStale, shownQuote } from "../../option";
import { useNotation, useOptionOf } from "../../option/option-context";

/** What it costs to end the lease after some payments: to buy the vehicle then, or to hand it back. */
export function EndingEarly() {
  const { option } = useOptionOf("lease");
  const quote = shownQuote(option);
  const [after, setAfter] = useState("");
  const [value, setValue] = useState("");
  if (!quote) return null;
  return (
    <div className={`px-4 pt-1 pb-3 ${isStale(option) ? "stale" : ""}`}>
      <Asked quote={quote} after={after} setAfter={setAfter} value={value} setValue={setValue} />
    </div>
  );
}

type Props = {
  quote: LeaseQuote;
  after: string;
  setAfter: (text: string) => void;
  value: string;
  setValue: (text: string) => void;
};

function Asked({ quote, after, setAfter, value, setValue }: Props) {
  const { notation } = useNotation();
  const paid = quote.schedule.filter(({ kind }) => kind !== "closing").length;
  const typedAfter = after.trim() === "" ? String(Math.ceil(paid / 2)) : after.trim();
  const brought = value.trim() === "" ? 0 : readValue(plainFigure(value.trim(), notation), quote);
  const isCount = /^\d{1,4}$/.test(typedAfter);
  const end = isCount
    ? endLeaseEarly(quote, Number(typedAfter), typeof brought === "number" ? brought : 0)
    : undefined;
  const wrongCount = end?.ok
    ? undefined
    : (end?.failure.sentence ?? `Type the number of a payment, from 1 to ${paid}.`);
  const wrongValue = typeof brought === "number" ? undefined : inNotation(brought, notation);
  const money = (minor: number) => amountIn(minor, quote.deal.currency, notation);
  return (
    <>
      <div className="grid max-w-xl grid-cols-2 items-start gap-3">
        <Field
          label={`After payment, of ${paid}`}
          value={after}
          placeholder={typedAfter}
          error={wrongCount}
          onChange={setAfter}
        />
        <Field
          label="What it brings when handed back"
          value={value}
          placeholder={money(0)}
          error={wrongValue}
          onChange={setValue}
        />
      </div>
      {end?.ok && !wrongValue && (
        <dl className="mt-3 grid max-w-xl grid-cols-[1fr_auto] gap-x-6 gap-y-1" aria-live="polite">
          <Line name="Still stands for" text={money(end.value.balance)} />
          <Line name="Payments left" text={String(end.value.paymentsLeft)} />
          <Line name={`To buy it then${costWords(quote)}`} text={money(end.value.costToBuy)} isSum />
          <Line
            name={
              end.value.costToReturn < 0
                ? "To hand it back then: more than it stands for, in the customer’s favor"
                : "To hand it back then"
            }
            text={money(Math.abs(end.value.costToReturn))}
            isSum
          />
        </dl>
      )}
      <p className="mt-2 text-faint text-sm">
        Payments that are due are taken for paid. To hand it back costs what it still stands for and the fee
        for ending early, less what it brings.
      </p>
    </>
  );
}

function costWords({ filled }: LeaseQuote): string {
  const { purchaseFee, taxes } = filled.plan;
  const isTaxed = taxes.some(({ on }) => on.includes("purchase"));
  const parts = [purchaseFee > 0 ? "fee" : "", isTaxed ? "tax" : ""].filter(Boolean);
  return parts.length > 0 ? `, with ${parts.join(" and ")}` : "";
}

/** An amount in minor units, or why it cannot be read. */
function readValue(text: string, { deal, decimals }: LeaseQuote): number | string {
  const read = readAmount(text, deal.currency);
  return "amount" in read ? (parseAmount(read.amount, decimals) ?? 0) : read.sentence;
}

type FieldProps = {
  label: string;
  value: string;
  placeholder: string;
  error: string | undefined;
  onChange: (text: string) => void;
};

function Field({ label, value, placeholder, error, onChange }: FieldProps) {
  const id = useId();
  return (
    <div>
      <label htmlFor={id} className="mb-0.5 block text-faint text-sm">
        {label}
      </label>
      <input
        id={id}
        className="field text-right"
        inputMode="decimal"
        autoComplete="off"
        value={value}
        placeholder={placeholder}
        aria-invalid={error !== undefined}
        aria-describedby={error ? `${id}-error` : undefined}
        onChange={event => onChange(event.target.value)}
      />
      {error && (
        <p id={`${id}-error`} className="mt-0.5 text-error text-sm leading-tight">
          {error}
        </p>
      )}
    </div>
  );
}

function Line({ name, text, isSum }: { name: ReactNode; text: string; isSum?: boolean }) {
  return (
    <>
      <dt>{name}</dt>
      <dd className={`text-right ${isSum ? "font-semibold" : ""}`}>{text}</dd>
    </>
  );
}
