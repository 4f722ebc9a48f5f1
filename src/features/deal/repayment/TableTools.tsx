import { memo, type ReactNode } from "react";
import { parseIsoDate } from "@/core";
import { useNotation, useOption } from "../option/option-context";
import { type ColumnNames, MORE_COLUMNS, type MoreColumn } from "./columns";
import type { TableLines } from "./lines";
import { namedRanges, type Range } from "./range";
import { WhenField } from "./WhenField";

type Props = {
  lines: TableLines;
  columnNames: ColumnNames;
  onRange: (range: Range) => void;
  /** The place after which the next twelve months begin. */
  after: number;
  onGo: (place: number) => void;
  more: readonly MoreColumn[];
  onMore: (more: readonly MoreColumn[]) => void;
  byContract: boolean;
  onByContract: (byContract: boolean) => void;
  /** Opens or folds all years. */
  onFold: (isOpen: boolean) => void;
  choices: ReactNode;
};

/** Where to go in the table, what of it is chosen, and what it shows. */
export const TableTools = memo(function TableTools(props: Props) {
  const { lines, columnNames, onRange, after, onGo, more, onMore, byContract, onByContract } = props;
  const { onFold, choices } = props;
  const { rows, hasDates } = lines;
  const { option } = useOption();
  const { notation } = useNotation();
  return (
    <div className="order-last flex basis-full flex-wrap items-center gap-x-2 gap-y-1 text-sm print:hidden">
      {choices}
      {Object.entries(namedRanges(lines, after)).map(([name, named]) => (
        <button key={name} type="button" className="btn btn-xs" onClick={() => onRange(named)}>
          {name}
        </button>
      ))}
      <span className="flex items-center gap-1 text-faint">
        Go to
        <WhenField
          label="Go to payment"
          when={undefined}
          inputs={option.inputs}
          notation={notation}
          className="h-6 w-24 text-sm"
          put={when => {
            const day = "date" in when ? (parseIsoDate(when.date) ?? 0) : 0;
            const place =
              "after" in when
                ? rows.findIndex(({ number }) => number === when.after)
                : rows.findIndex(({ date }) => date !== null && date >= day);
            if (place >= 0) onGo(place);
          }}
        />
      </span>
      <details className="relative">
        <summary className="cursor-pointer font-semibold text-primary">Columns</summary>
        <div className="absolute right-0 z-20 w-56 rounded-box border border-base-300 bg-base-100 p-2 shadow-sm">
          {MORE_COLUMNS.map(
            column =>
              columnNames[column] !== undefined && (
                <label key={column} className="flex items-center gap-2 py-0.5">
                  <input
                    type="checkbox"
                    className="checkbox checkbox-sm"
                    checked={more.includes(column)}
                    onChange={({ target }) =>
                      onMore(target.checked ? [...more, column] : more.filter(each => each !== column))
                    }
                  />
                  {columnNames[column]}
                </label>
              ),
          )}
          {hasDates && (
            <label className="mt-1 flex items-center gap-2 border-base-300 border-t pt-1">
              <input
                type="checkbox"
                className="checkbox checkbox-sm"
                checked={byContract}
                onChange={({ target }) => onByContract(target.checked)}
              />
              By years of the contract
            </label>
          )}
          <div className="mt-1 flex gap-1 border-base-300 border-t pt-2">
            <button type="button" className="btn btn-xs" onClick={() => onFold(true)}>
              Open all years
            </button>
            <button type="button" className="btn btn-xs" onClick={() => onFold(false)}>
              Fold all years
            </button>
          </div>
        </div>
      </details>
    </div>
  );
});
