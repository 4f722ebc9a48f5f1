import { useMemo, useState } from "react";
import {
  type Extra,
  formatAmount,
  type GridPlace,
  type LoanQuote,
  parseAmount,
  periodsPerYear,
} from "@/core";
import { amountIn, dateIn, inNotation } from "@/exchange/notation";
import { useNotation, useOptionOf } from "../option/option-context";
import { useAnswer } from "../parts/use-thread";
import { AmountField } from "./AmountField";
import { withEach, withOnceOn } from "./early-changes";
import { gridAmounts } from "./grid-amounts";
import { useTried } from "./tried-context";
import { type When, WhenField } from "./WhenField";

type Props = { quote: LoanQuote };

const PAUSE_MS = 120;

/** Extra money with each payment by money that comes once: when it ends and what it saves, place by place, and each can be taken. */
export function EarlyGrid({ quote }: Props) {
  const tried = useTried();
  const { option } = useOptionOf("loan");
  const { notation } = useNotation();
  const { currency } = quote.deal;
  const perYear = periodsPerYear(quote.filled.plan.frequency);
  const [own, setOwn] = useState<{ each: (number | undefined)[]; once: (number | undefined)[] }>({
    each: [],
    once: [],
  });
  const [when, setWhen] = useState<When>();
  const { extra, thread, early } = tried;
  const firstOnce = early.once?.find(each => each.after !== undefined)?.after;
  const after = when && "after" in when ? when.after : (firstOnce ?? Math.min(2 * perYear, quote.payments));
  const usual = useMemo(() => gridAmounts(quote), [quote]);
  const each = usual.each.map((amount, column) => own.each[column] ?? amount);
  const once = usual.once.map((amount, row) => own.once[row] ?? amount);
  const asked = JSON.stringify({ each, once, after });
  const question = useMemo(
    () => (extra.ok ? { deal: quote.filled, early: extra.value, grid: JSON.parse(asked) } : null),
    [quote.filled, extra, asked],
  );
  const found = useAnswer(thread.grid, question, PAUSE_MS);
  const places = found?.question.deal === quote.filled ? found.answer : [];
  const typed = (kind: "each" | "once", place: number, amount: string | undefined) =>
    setOwn(now => {
      const next = [...now[kind]];
      next[place] = amount === undefined ? undefined : parseAmount(amount, quote.decimals);
      return { ...now, [kind]: next };
    });
  const field = (kind: "each" | "once", place: number, minor: number) => (
    <AmountField
      label={kind === "each" ? `With each payment, column ${place + 1}` : `Once, row ${place + 1}`}
      amount={formatAmount(minor, quote.decimals)}
      currency={currency}
      notation={notation}
      put={amount => typed(kind, place, amount)}
      className="h-6 w-24 text-sm"
    />
  );
  const take = (place: GridPlace) => {
    const text = (minor: number) => (minor > 0 ? formatAmount(minor, quote.decimals) : undefined);
    tried.change(now => withOnceOn(withEach(now, text(place.each)), quote, { after }, text(place.once)));
  };
  return (
    <div className="shrink-0 overflow-x-auto px-4 pb-2">
      <table className="w-full min-w-[40rem] border-separate border-spacing-1 text-right text-sm">
        <caption className="sr-only">
          When the loan ends and what is saved, by what is paid extra with each payment and once
        </caption>
        <thead>
          <tr>
            <th scope="col" className="text-left font-normal text-faint">
              <span className="flex items-center gap-1 whitespace-nowrap">
                once, after payment
                <WhenField
                  label="Once, after payment"
                  when={{ after }}
                  inputs={option.inputs}
                  notation={notation}
                  put={setWhen}
                  isNumber
                  className="h-6 w-12 text-sm"
                />
              </span>
            </th>
            {each.map((minor, column) => (
              <th
                // biome-ignore lint/suspicious/noArrayIndexKey: a column is its place, so that its field keeps the focus.
                key={column}
                scope="col"
                className="font-normal"
              >
                {column === 0 && <span className="sr-only">with each payment</span>}
                {field("each", column, minor)}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {once.map((minor, row) => (
            // biome-ignore lint/suspicious/noArrayIndexKey: a row is its place, so that its field keeps the focus.
            <tr key={row}>
              <th scope="row" className="text-left font-normal">
                {field("once", row, minor)}
              </th>
              {each.map((_, column) => {
                const place = places[row * each.length + column];
                return (
                  // biome-ignore lint/suspicious/noArrayIndexKey: a place under each column, in their order.
                  <td key={column} className="p-0">
                    {place && (
                      <Place
                        place={place}
                        quote={quote}
                        isTaken={extra.ok && isTaken(extra.value, place, after)}
                        onTake={() => take(place)}
                      />
                    )}
                  </td>
                );
              })}
            </tr>
          ))}
        </tbody>
      </table>
      <p className="text-faint text-sm">
        Across, what is paid extra with each payment; down, what comes once. Each place: when the loan ends,
        and how much interest is saved. Press one to try it.
      </p>
    </div>
  );
}

type PlaceProps = { place: GridPlace; quote: LoanQuote; isTaken: boolean; onTake: () => void };

function Place({ place: { repaid }, quote, isTaken, onTake }: PlaceProps) {
  const { notation } = useNotation();
  if (!repaid.ok) return <span title={inNotation(repaid.failure.sentence, notation)}>–</span>;
  const { endDate, payments, interestSaved } = repaid.value;
  return (
    <button
      type="button"
      aria-pressed={isTaken}
      className={`w-full cursor-pointer rounded px-1.5 py-0.5 text-right leading-tight hover:bg-base-300 ${isTaken ? "bg-primary/15 font-semibold" : "bg-base-200"}`}
      onClick={onTake}
    >
      <span className="block whitespace-nowrap">
        {endDate === null ? `payment ${payments}` : dateIn(endDate, notation)}
      </span>
      <span className={`block ${isTaken ? "" : "text-faint"}`}>
        <span className="sr-only">saves </span>
        {amountIn(interestSaved, quote.deal.currency, notation)}
      </span>
    </button>
  );
}

/** Whether a place is what is tried. */
function isTaken({ each, once = [] }: Extra, place: GridPlace, after: number): boolean {
  const ofPayment = once.find(money => "after" in money && money.after === after);
  return (each?.amount ?? 0) === place.each && (ofPayment?.amount ?? 0) === place.once;
}
