import type { ReactNode } from "react";
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

type Column = { head: string; isOfDealer?: true; of: (row: ProgramTold) => ReactNode; style?: string };

/** The programs that fit, the best first; on a narrow screen a block each, its figures by their names. */
export function Fitting({ rows, currency, isSide, take, room }: RowsOf) {
  const { notation } = useNotation();
  const money = (minor: number | null) => (minor === null ? "–" : amountIn(minor, currency, notation));
  const rate = (typed: string | null, { isFactor }: ProgramTold) =>
    typed === null
      ? "–"
      : isFactor
        ? decimalIn(typed, notation)
        : `${decimalIn(inHundredths(typed), notation)} %`;
  const all: Column[] = [
    { head: "buy rate", isOfDealer: true, of: row => rate(row.buyRate, row) },
    { head: "contract rate", of: row => rate(row.rate, row) },
    { head: "payment", of: row => money(row.payment), style: "font-semibold font-serif text-lg" },
    { head: "in all", of: row => money(row.totalCost) },
    { head: "earns", isOfDealer: true, of: row => money(row.income), style: "text-info" },
  ];
  const columns = all.filter(({ isOfDealer }) => isSide || !isOfDealer);
  return (
    <table className="w-full text-right max-md:block">
      <thead className="max-md:sr-only">
        <tr className="bg-base-200 text-sm">
          <th scope="col" className="px-4 py-1.5 text-left font-semibold">
            Program
          </th>
          {columns.map(({ head }) => (
            <th
              key={head}
              scope="col"
              className={`px-2 font-semibold ${head === "earns" ? "text-info" : ""}`}
            >
              {head}
            </th>
          ))}
          <th scope="col">
            <span className="sr-only">What can be done</span>
          </th>
        </tr>
      </thead>
      <tbody className="max-md:block">
        {rows.map((row, index) => {
          const { lender, name } = row;
          return (
            <tr
              key={`${lender} ${name}`}
              className="border-base-300 border-t max-md:flex max-md:flex-wrap max-md:items-baseline max-md:gap-x-4 max-md:px-4 max-md:py-1.5"
            >
              <th scope="row" className="py-1 text-left font-normal max-md:w-full md:px-4">
                <ProgramName row={row} />
              </th>
              {columns.map(({ head, of, style = "" }) => (
                <td key={head} className={`whitespace-nowrap py-1 tabular-nums md:px-2 ${style}`}>
                  <span className="font-normal font-sans text-faint text-sm md:hidden">{head} </span>
                  {of(row)}
                </td>
              ))}
              <td className="whitespace-nowrap py-1 max-md:flex max-md:w-full max-md:gap-2 md:w-px md:pr-3 md:pl-2">
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
                  className="btn btn-ghost btn-xs min-h-6 md:ml-auto md:block"
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
  );
}
