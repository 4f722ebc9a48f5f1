import { BadgeCheck, Download } from "lucide-react";
import { type DOMAttributes, type ReactNode, type RefObject, useRef } from "react";
import type { Notation } from "@/exchange/notation";
import { RowsInView } from "./RowsInView";

const DOWNLOAD = <Download size={15} aria-hidden="true" />;
const CHECKED = <BadgeCheck size={16} aria-hidden="true" />;

/** A cell of a line. */
export const CELL = "h-[27px] border-base-300 border-t px-1 md:px-2";

type Props = {
  title: string;
  /** Whether the table closes, in words. */
  proof: ReactNode;
  /** What stands above the lines, such as a chart. */
  children?: ReactNode;
  /** What else can be done with the table. */
  action?: ReactNode;
  /** After the number and the date; the found one is marked. */
  columns: readonly string[];
  found?: string | undefined;
  /** Whether the table no longer follows from what is typed. */
  stale: boolean;
  /** Lines between the head and the totals. */
  count: number;
  row: (index: number) => ReactNode;
  /** What the lines are counted as, and a total under each column. */
  counted: string;
  totals: readonly string[];
  /** Of chosen lines the same, where some are chosen. */
  chosen?: { counted: ReactNode; totals: readonly string[] } | undefined;
  /** What scrolls, for whoever goes to a line; and what a key or a pointer does there. */
  region?: RefObject<HTMLDivElement | null>;
  handlers?: DOMAttributes<HTMLElement>;
  /** Writes the table to a file: with plain figures for programs, or as a spreadsheet of a place reads them. */
  download: (forSpreadsheet: boolean) => void;
};

/** A table of payments with a head and totals that stay in view; only lines in view are drawn. */
export function ScheduleTable(props: Props) {
  const { title, proof, children, action, columns, found, stale, count, row, counted, totals, download } =
    props;
  const { chosen, region, handlers } = props;
  const own = useRef<HTMLDivElement>(null);
  const scroller = region ?? own;
  return (
    <section
      aria-labelledby="repayment-title"
      className={`card-paper flex contain-content flex-col overflow-hidden lg:h-auto lg:flex-1 ${children ? "h-[40rem] lg:min-h-[27rem]" : "h-[28rem] lg:min-h-60"}`}
    >
      <div className="flex flex-wrap items-center gap-x-3 gap-y-1 px-4 py-1">
        <h2 id="repayment-title" className="font-semibold text-lg">
          {title}
        </h2>
        {proof}
        {action}
        <DownloadButton name="CSV" className="ml-auto" stale={stale} onClick={() => download(false)} />
        <DownloadButton name="CSV for a spreadsheet" stale={stale} onClick={() => download(true)} />
      </div>
      {children}
      {/* The keyboard scrolls a region only when it has the focus. */}
      <section
        ref={scroller}
        className="min-h-0 flex-1 overflow-auto"
        tabIndex={0}
        aria-label={`${title} table`}
        {...handlers}
      >
        <table
          className={`w-full table-fixed border-separate border-spacing-0 text-right text-xs md:text-base ${stale ? "stale" : ""}`}
          aria-rowcount={count + 2}
        >
          <colgroup>
            <col className="w-9 md:w-16" />
            <col className="w-22 md:w-52" />
          </colgroup>
          <thead className="sticky top-0 z-10">
            <tr aria-rowindex={1}>
              <Head className="pl-2 md:pl-4 py-1 text-left">No.</Head>
              <Head className="px-1 md:px-2 text-left">Due</Head>
              {columns.map(name => (
                <Head key={name} className="px-1 md:px-2 last:pr-2 md:last:pr-4">
                  <span className={name === found ? "found px-1" : ""}>{name}</span>
                </Head>
              ))}
            </tr>
          </thead>
          <tbody>
            <RowsInView scroller={scroller} count={count} columns={columns.length + 2} row={row} />
          </tbody>
          <tfoot className="sticky bottom-0 z-10">
            {chosen && <Foot className="bg-base-300" {...chosen} />}
            <Foot className="bg-base-200" rowIndex={count + 2} counted={counted} totals={totals} />
          </tfoot>
        </table>
      </section>
    </section>
  );
}

type FootProps = { className: string; rowIndex?: number; counted: ReactNode; totals: readonly string[] };

/** A line of sums that stays in view. */
function Foot({ className, rowIndex, counted, totals }: FootProps) {
  return (
    <tr aria-rowindex={rowIndex}>
      <th
        scope="row"
        colSpan={2}
        className={`border-base-300 border-t py-1 pl-2 md:pl-4 text-left font-semibold ${className}`}
      >
        {counted}
      </th>
      {totals.map((total, place) => (
        <td
          // biome-ignore lint/suspicious/noArrayIndexKey: a sum under each column, in their order.
          key={place}
          className={`border-base-300 border-t px-1 md:px-2 font-semibold last:pr-2 md:last:pr-4 ${className}`}
        >
          {total}
        </td>
      ))}
    </tr>
  );
}

function Head({ className, children }: { className: string; children: ReactNode }) {
  return (
    <th scope="col" className={`bg-base-200 font-semibold ${className}`}>
      {children}
    </th>
  );
}

type ButtonProps = { name: string; stale: boolean; className?: string; onClick: () => void };

function DownloadButton({ name, stale, className = "", onClick }: ButtonProps) {
  return (
    <button
      type="button"
      className={`btn btn-sm btn-ghost px-2 print:hidden ${className}`}
      disabled={stale}
      onClick={onClick}
    >
      {DOWNLOAD}
      {name}
    </button>
  );
}

/** Says that a table closes, or that it does not. */
export function ClosingProof({ closes, fails }: { closes: string; fails: string | undefined }) {
  if (fails !== undefined) return <p className="text-error text-sm">Does not close: {fails}</p>;
  return (
    <p className="flex items-center gap-1.5 text-sm text-success" data-testid="closes">
      {CHECKED}
      Closes{closes}
    </p>
  );
}

/** What every table of payments takes. */
export type ScheduleProps<Answer> = {
  quote: Answer;
  notation: Notation;
  /** Whether the table no longer follows from what is typed. */
  stale: boolean;
  /** The name of the file that the table is downloaded as. */
  fileName: string;
  /** Where it shows the first year alone: shows all of it. */
  onAll?: (() => void) | undefined;
};
