import { createColumnHelper, rowSortingFeature, tableFeatures, useTable } from "@tanstack/react-table";
import { ArrowDown, ArrowUp, Copy, Trash2 } from "lucide-react";
import { createContext, memo, useContext } from "react";
import { STATUS_NAMES } from "@/exchange/deal-document/status-names";
import { amountIn, DEFAULT_LOCALE, inNotation, type Locale, notationOf } from "@/exchange/notation";
import { whenText } from "@/features/figures/when";
import { useMay, useMe } from "@/features/people/me-context";
import type { RegisterRow, RegisterSort } from "@/server/contract";

// The server sorts; the table only says by what.
const features = tableFeatures({ rowSortingFeature });
const helper = createColumnHelper<typeof features, RegisterRow>();

/** Whose deal it is, where people have names. */
const WHOSE = helper.accessor("owner", {
  header: "Whose",
  enableSorting: false,
  cell: ({ row: { original }, getValue }) => (
    <>
      {getValue() ?? <span className="text-faint">nobody’s</span>}
      {original.branch && <span className="block text-faint text-xs leading-none">{original.branch}</span>}
    </>
  ),
});

const columns = helper.columns([
  helper.accessor("customer", {
    header: "Customer",
    cell: ({ row, getValue }) => (
      <>
        {/* The link reaches over the whole row. */}
        <a
          href={`/deals/${row.original.id}`}
          className="font-semibold text-primary after:absolute after:inset-0"
        >
          {getValue() || "No name yet"}
        </a>
        <span className="block text-faint text-sm leading-tight md:hidden">{row.original.vehicle}</span>
      </>
    ),
  }),
  helper.accessor("vehicle", { header: "Vehicle or purpose" }),
  helper.accessor("payment", {
    header: "Payment",
    cell: ({ row: { original } }) => (
      <>
        <Amount minor={original.payment} row={original} />
        {original.isMade && original.payment !== null && payingText(original) && (
          <span className="block text-faint text-xs leading-none">{payingText(original)}</span>
        )}
      </>
    ),
  }),
  helper.accessor("amountFinanced", {
    header: "Amount financed",
    cell: ({ row: { original } }) => <Amount minor={original.amountFinanced} row={original} />,
  }),
  helper.accessor("status", {
    header: "Status",
    cell: ({ getValue }) => (
      <span className="rounded-full border border-base-300 px-2 py-0.5 text-sm">
        {STATUS_NAMES[getValue()]}
      </span>
    ),
  }),
  helper.accessor("changedAt", {
    header: "Last changed",
    cell: ({ getValue }) => <When instant={getValue()} />,
  }),
]);

const ownedColumns = helper.columns([...columns.slice(0, -1), WHOSE, ...columns.slice(-1)] as never);

/** Which option is chosen where there are several; else how it is paid where that is not every month. */
function payingText({ optionCount, chosenName, paid }: RegisterRow): string {
  if (optionCount > 1) return `${chosenName}, chosen of ${optionCount}`;
  return paid === "monthly" ? "" : paid;
}

/** Where figures are written as. */
const LocaleContext = createContext<Locale>(DEFAULT_LOCALE);

const NUMERIC = new Set(["payment", "amountFinanced"]);
/** On a narrow screen the vehicle stands under the customer, and the rest waits on the deal screen. */
const ON_NARROW = new Set(["customer", "payment"]);
const columnStyle = (columnId: string) =>
  `${NUMERIC.has(columnId) ? "text-right" : "text-left"} ${ON_NARROW.has(columnId) ? "" : "hidden md:table-cell print:table-cell"}`;

type Props = {
  rows: RegisterRow[];
  locale: Locale;
  sort: RegisterSort;
  descending: boolean;
  onSort: (sort: RegisterSort, descending: boolean) => void;
  onDuplicate: (row: RegisterRow) => Promise<unknown>;
  onDelete: (row: RegisterRow) => Promise<unknown>;
  /** Where these are the deleted ones. */
  onBringBack?: (row: RegisterRow) => Promise<unknown>;
};

/** A page of the deals, sorted by any of its columns; typing in the search leaves it alone until the answer comes. */
export const RegisterTable = memo(function RegisterTable(props: Props) {
  const { rows, locale, sort, descending, onSort, onDuplicate, onDelete, onBringBack } = props;
  const mayChange = useMay("changeDeals");
  const isOwned = useMe() !== null;
  const sorting = [{ id: sort as string, desc: descending }];
  const table = useTable({
    features,
    columns: isOwned ? ownedColumns : columns,
    data: rows,
    getRowId: row => row.id,
    state: { sorting },
    manualSorting: true,
    onSortingChange: update => {
      const [wanted] = typeof update === "function" ? update(sorting) : update;
      if (wanted) onSort(wanted.id as RegisterSort, wanted.desc);
    },
    enableSortingRemoval: false,
  });
  return (
    <LocaleContext value={locale}>
      <table className="w-full border-separate border-spacing-0">
        <thead>
          <tr>
            {table.getFlatHeaders().map(header => {
              const sorted = header.column.getIsSorted();
              return (
                <th
                  key={header.id}
                  scope="col"
                  aria-sort={sorted ? (sorted === "desc" ? "descending" : "ascending") : "none"}
                  className={`sticky top-0 z-10 bg-base-200 px-3 py-2 font-semibold ${columnStyle(header.id)}`}
                >
                  {header.column.getCanSort() ? (
                    <button
                      type="button"
                      className="inline-flex cursor-pointer items-center gap-1"
                      onClick={header.column.getToggleSortingHandler()}
                    >
                      <table.FlexRender header={header} />
                      {sorted === "asc" && <ArrowUp size={14} aria-hidden="true" />}
                      {sorted === "desc" && <ArrowDown size={14} aria-hidden="true" />}
                    </button>
                  ) : (
                    <table.FlexRender header={header} />
                  )}
                </th>
              );
            })}
            <th scope="col" className="sticky top-0 z-10 bg-base-200 px-3">
              <span className="sr-only">Actions</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {table.getRowModel().rows.map(row => (
            <tr key={row.id} className="relative hover:bg-base-200">
              {row.getAllCells().map(cell => (
                <td
                  key={cell.id}
                  className={`border-base-300 border-t px-3 py-2 ${columnStyle(cell.column.id)}`}
                >
                  <table.FlexRender cell={cell} />
                </td>
              ))}
              <td className="whitespace-nowrap border-base-300 border-t px-2 text-right">
                {!mayChange ? null : onBringBack ? (
                  <button
                    type="button"
                    aria-label={`Bring back the deal of ${row.original.customer || "no name"}`}
                    className="btn btn-sm relative z-1"
                    onClick={() => void onBringBack(row.original)}
                  >
                    Bring back
                  </button>
                ) : (
                  <>
                    <RowButton
                      label={`Duplicate the deal of ${row.original.customer || "no name"}`}
                      onClick={() => void onDuplicate(row.original)}
                    >
                      <Copy size={16} aria-hidden="true" />
                    </RowButton>
                    <RowButton
                      label={`Delete the deal of ${row.original.customer || "no name"}`}
                      onClick={() => void onDelete(row.original)}
                    >
                      <Trash2 size={16} aria-hidden="true" />
                    </RowButton>
                  </>
                )}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </LocaleContext>
  );
});

function Amount({ minor, row }: { minor: number | null; row: RegisterRow }) {
  const notation = notationOf(useContext(LocaleContext));
  if (!row.isMade) {
    return (
      <span className="text-faint text-sm" title="The figures of this deal are being made.">
        …
      </span>
    );
  }
  if (minor === null) {
    return (
      <span
        className="text-sm text-warning"
        title={row.problem === null ? undefined : inNotation(row.problem, notation)}
      >
        no answer
      </span>
    );
  }
  return (
    <span className="whitespace-nowrap">
      {amountIn(minor, row.currency, notation)} <span className="text-faint text-xs">{row.currency}</span>
    </span>
  );
}

type RowButtonProps = { label: string; onClick: () => void; children: React.ReactNode };

function RowButton({ label, onClick, children }: RowButtonProps) {
  return (
    <button
      type="button"
      aria-label={label}
      title={label.split(" the ")[0]}
      className="btn btn-ghost btn-sm btn-square relative z-1"
      onClick={onClick}
    >
      {children}
    </button>
  );
}

/** An instant on the officer's own clock: "Nov 24, 2026, 10:42". */
function When({ instant }: { instant: string }) {
  const notation = notationOf(useContext(LocaleContext));
  return <time dateTime={instant}>{whenText(instant, notation)}</time>;
}
