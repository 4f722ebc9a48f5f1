import { type LoanQuote, type PaymentRow, parseIsoDate } from "@/core";
import { useNotation, useOptionOf } from "../option/option-context";
import { MORE_COLUMNS, type MoreColumn } from "./columns";
import { namedRanges, type Range } from "./range";
import { WhenField } from "./WhenField";

type Props = {
  quote: LoanQuote;
  rows: readonly PaymentRow[];
  range: Range | null;
  onRange: (range: Range | null) => void;
  /** The place after which the next twelve months begin. */
  after: number;
  onGo: (place: number) => void;
  more: readonly MoreColumn[];
  onMore: (more: readonly MoreColumn[]) => void;
  byContract: boolean;
  onByContract: (byContract: boolean) => void;
  /** Where extra payments are tried: which table is shown. */
  tried: { isPlanned: boolean; onPlanned: (isPlanned: boolean) => void } | undefined;
};

/** Where to go in the table, what of it is chosen, and what it shows. */
export function TableTools(props: Props) {
  const { quote, rows, range, onRange, after, onGo, more, onMore, byContract, onByContract, tried } = props;
  const { option } = useOptionOf("loan");
  const { notation } = useNotation();
  const columns = (Object.keys(MORE_COLUMNS) as MoreColumn[]).filter(
    column => column !== "charges" || quote.charges,
  );
  return (
    <div className="order-last flex basis-full flex-wrap items-center gap-x-2 gap-y-1 text-sm print:hidden">
      {tried && (
        <select
          className="choice-in-words"
          aria-label="Which repayment is shown"
          value={tried.isPlanned ? "planned" : "tried"}
          onChange={({ target }) => tried.onPlanned(target.value === "planned")}
        >
          <option value="tried">with extra payments</option>
          <option value="planned">as planned</option>
        </select>
      )}
      {Object.entries(namedRanges(rows, quote, after)).map(([name, named]) => (
        <button key={name} type="button" className="btn btn-xs" onClick={() => onRange(named)}>
          {name}
        </button>
      ))}
      {range && (
        <button type="button" className="btn btn-ghost btn-xs" onClick={() => onRange(null)}>
          Clear
        </button>
      )}
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
            if (place < 0) return;
            onGo(place);
            onRange({ from: place, to: place });
          }}
        />
      </span>
      <details className="relative">
        <summary className="cursor-pointer font-semibold text-primary">Columns</summary>
        <div className="absolute right-0 z-20 w-56 rounded-box border border-base-300 bg-base-100 p-2 shadow-sm">
          {columns.map(column => (
            <label key={column} className="flex items-center gap-2 py-0.5">
              <input
                type="checkbox"
                className="checkbox checkbox-sm"
                checked={more.includes(column)}
                onChange={({ target }) =>
                  onMore(target.checked ? [...more, column] : more.filter(each => each !== column))
                }
              />
              {MORE_COLUMNS[column]}
            </label>
          ))}
          {quote.startDate !== null && (
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
        </div>
      </details>
    </div>
  );
}
