import { Printer } from "lucide-react";
import { useState } from "react";
import { paymentPerThousand } from "@/core";
import type { ReachTerm } from "@/core/reach";
import { amountIn, inNotation, plainFigure } from "@/exchange/notation";
import { rateText } from "@/exchange/text";
import { useDesk } from "../desk/desk-context";
import { shownQuote } from "../option";
import { useNotation, useOption } from "../option/option-context";
import { PaperButton } from "../papers/PaperButton";

const MOST_RATES = 60;

/** The payment for each 1,000 financed, term by rate, as a sheet to print. */
export function PerThousand({ terms }: { terms: readonly ReachTerm[] }) {
  const { option } = useOption();
  const { house } = useDesk();
  const { notation } = useNotation();
  const [typed, setTyped] = useState(() => rangeAround(terms));
  const quote = shownQuote(option);
  if (!quote || quote.kind === "lease") {
    return (
      <p className="px-4 py-2 text-faint">
        The payment per 1,000 is of a loan; a lease’s hangs on its residual.
      </p>
    );
  }
  const [from, to, step] = [typed.from, typed.to, typed.step].map(text =>
    Number(plainFigure(text.trim(), notation)),
  ) as [number, number, number];
  const count = Math.floor((to - from) / step + 1e-9) + 1;
  const isWrong = !(from >= 0 && step > 0 && count >= 1 && count <= MOST_RATES && to <= 100);
  const rates = isWrong ? [] : Array.from({ length: count }, (_, index) => rateText(from + index * step));
  const payments = [...new Set(terms.map(term => term.payments))].sort((one, other) => one - other);
  const cells = paymentPerThousand(quote.filled, rates, payments);
  const money = (minor: number) => amountIn(minor, quote.deal.currency, notation);
  return (
    <section className="px-4 pb-3" data-own-undo="" data-print-sheet="">
      <div className="flex flex-wrap items-center gap-2 print:hidden">
        {(["from", "to", "step"] as const).map(end => (
          <label key={end} className="flex items-center gap-1.5 text-sm">
            <span className="text-faint">{end === "from" ? "rates from" : end === "step" ? "by" : end}</span>
            <input
              className="field w-20 text-right"
              inputMode="decimal"
              aria-invalid={isWrong}
              value={typed[end]}
              onChange={event => setTyped({ ...typed, [end]: event.target.value })}
            />
          </label>
        ))}
        <span className="text-faint text-sm">%</span>
        {isWrong && (
          <p className="text-error text-sm">
            Type rates from 0 to 100 and a step for at most {MOST_RATES} lines.
          </p>
        )}
        <span className="ml-auto">
          {!isWrong && (
            <PaperButton name="perThousand" details={{ rates: rates.join(","), terms: payments.join(",") }} />
          )}
        </span>
        <button type="button" className="btn btn-sm" onClick={() => window.print()}>
          <Printer size={15} aria-hidden="true" />
          Print
        </button>
      </div>
      <h2 className="mt-2 font-semibold text-lg">
        Payment for each 1,000 financed, {quote.deal.currency}
        <span className="hidden print:inline"> · {house.houseName}</span>
      </h2>
      <table className="mt-1 text-right">
        <thead>
          <tr className="text-sm">
            <th scope="col" className="pr-6 text-left font-normal text-faint">
              yearly rate
            </th>
            {payments.map(count => (
              <th key={count} scope="col" className="pl-8 font-semibold">
                {count} payments
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rates.map((rate, row) => (
            <tr key={rate} className="border-base-300 border-t">
              <th scope="row" className="py-0.5 text-left font-semibold">
                {inNotation(rate, notation)} %
              </th>
              {payments.map((count, column) => {
                const cell = cells[row * payments.length + column];
                return (
                  <td key={count} className="pl-8">
                    {cell && "payment" in cell ? money(cell.payment) : "–"}
                  </td>
                );
              })}
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}

/** A point below and above the rates that are shown, in quarters. */
function rangeAround(terms: readonly ReachTerm[]): { from: string; to: string; step: string } {
  const rates = terms.map(({ yearlyRate }) => Number(yearlyRate));
  const low = Math.max(0, Math.floor((Math.min(...rates) - 1) * 4) / 4);
  const high = Math.ceil((Math.max(...rates) + 1) * 4) / 4;
  return { from: rateText(low), to: rateText(high), step: "0.25" };
}
