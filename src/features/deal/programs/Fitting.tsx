import { amountIn, decimalIn } from "@/exchange/notation";
import { inHundredths } from "@/exchange/rates/program-words";
import type { ProgramTold } from "@/exchange/rates/programs-on-deal";
import { useNotation } from "../option/option-context";
import { ProgramName } from "./ProgramName";
import type { useTake } from "./use-take";

export type RowsOf = {
  rows: readonly ProgramTold[];
  currency: string;
  /** Whether the dealer's side is open. */
  isSide: boolean;
} & ReturnType<typeof useTake>;

const CELL = "whitespace-nowrap px-2 py-1 tabular-nums";

/** The programs that fit, the best first. */
export function Fitting({ rows, currency, isSide, take, room }: RowsOf) {
  const { notation } = useNotation();
  const money = (minor: number | null) => (minor === null ? "–" : amountIn(minor, currency, notation));
  const rate = (typed: string | null, { isFactor }: ProgramTold) =>
    typed === null
      ? "–"
      : isFactor
        ? decimalIn(typed, notation)
        : `${decimalIn(inHundredths(typed), notation)} %`;
  return (
    <div className="overflow-x-auto">
      <table className="w-full text-right">
        <thead>
          <tr className="bg-base-200 text-sm">
            <th scope="col" className="px-4 py-1.5 text-left font-semibold">
              Program
            </th>
            {isSide && (
              <th scope="col" className="px-2 font-semibold">
                buy rate
              </th>
            )}
            <th scope="col" className="px-2 font-semibold">
              contract rate
            </th>
            <th scope="col" className="px-2 font-semibold">
              payment
            </th>
            <th scope="col" className="px-2 font-semibold">
              in all
            </th>
            {isSide && (
              <th scope="col" className="px-2 font-semibold text-info">
                earns
              </th>
            )}
            <th scope="col">
              <span className="sr-only">What can be done</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {rows.map((row, index) => {
            const { lender, name } = row;
            return (
              <tr key={`${lender} ${name}`} className="border-base-300 border-t">
                <th scope="row" className="px-4 py-1 text-left font-normal">
                  <ProgramName row={row} />
                </th>
                {isSide && <td className={CELL}>{rate(row.buyRate, row)}</td>}
                <td className={CELL}>{rate(row.rate, row)}</td>
                <td className={`${CELL} font-semibold font-serif text-lg`}>{money(row.payment)}</td>
                <td className={CELL}>{money(row.totalCost)}</td>
                {isSide && <td className={`${CELL} text-info`}>{money(row.income)}</td>}
                <td className="w-px whitespace-nowrap py-1 pr-3 pl-2">
                  <button
                    type="button"
                    className={`btn btn-sm ${index === 0 ? "btn-primary" : ""}`}
                    disabled={room === 0}
                    title={room === 0 ? "A deal holds eight options; delete one to make room." : undefined}
                    onClick={() => void take({ lender, program: name }, true)}
                  >
                    Make it an option
                    <span className="sr-only">: {name}</span>
                  </button>
                  <button
                    type="button"
                    className="btn btn-ghost btn-xs block ml-auto"
                    title="Takes it into the option that is open"
                    onClick={() => void take({ lender, program: name }, false)}
                  >
                    Use here
                    <span className="sr-only">: {name}</span>
                  </button>
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </div>
  );
}
