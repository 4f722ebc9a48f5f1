import { useVirtualizer } from "@tanstack/react-virtual";
import { BadgeCheck, Download } from "lucide-react";
import { memo, useMemo, useRef } from "react";
import { chargeColumn, type PaymentRow, type Quote } from "@/core";
import { amountIn, dateIn, type Notation } from "@/exchange/notation";
import { saveFile } from "@/features/figures/save-file";

const ROW_HEIGHT = 30;
const COLUMNS = ["Payment", "Interest", "Principal", "Balance"];
/** Fees and extras that fall with payments; a loan without any has no such column. */
const CHARGES = "Charges";

type Props = {
  quote: Quote;
  notation: Notation;
  /** Whether the table no longer follows from what is typed. */
  stale: boolean;
  /** The name of the file that the table is downloaded as. */
  fileName: string;
};

/** Every payment split into interest and principal, with the balance after it; only rows in view are drawn. */
export const RepaymentTable = memo(function RepaymentTable(props: Props) {
  const { quote, notation, stale, fileName } = props;
  const scroller = useRef<HTMLDivElement>(null);
  const rows = quote.schedule;
  const virtual = useVirtualizer({
    count: rows.length + 1,
    getScrollElement: () => scroller.current,
    estimateSize: () => ROW_HEIGHT,
    overscan: 4,
    initialRect: { width: 750, height: 320 },
  });
  const shown = virtual.getVirtualItems();
  const above = shown[0]?.start ?? 0;
  const below = virtual.getTotalSize() - (shown.at(-1)?.end ?? 0);
  const money = (minor: number) => amountIn(minor, quote.deal.currency, notation);
  const finding = quote.deal.find === "payment";
  const charges = useMemo(
    () => quote.charges && chargeColumn(quote.schedule, quote.charges.all),
    [quote.charges, quote.schedule],
  );
  const columns = charges ? [...COLUMNS, CHARGES] : COLUMNS;
  const totals = [quote.loanAmount + quote.totalInterest, quote.totalInterest, quote.loanAmount];

  return (
    <section
      aria-labelledby="repayment-title"
      className="card-paper flex h-[28rem] contain-content flex-col overflow-hidden lg:h-auto lg:min-h-60 lg:flex-1"
    >
      <div className="flex flex-wrap items-center gap-x-4 gap-y-1 px-4 py-2">
        <h2 id="repayment-title" className="font-semibold text-lg">
          Repayment
        </h2>
        <ClosingProof quote={quote} money={money} />
        <button
          type="button"
          className="btn btn-sm btn-ghost ml-auto"
          disabled={stale}
          onClick={() => void downloadCsv(quote, fileName)}
        >
          <Download size={15} aria-hidden="true" />
          CSV
        </button>
        <button
          type="button"
          className="btn btn-sm btn-ghost"
          disabled={stale}
          onClick={() => void downloadCsv(quote, fileName, notation)}
        >
          <Download size={15} aria-hidden="true" />
          CSV for a spreadsheet
        </button>
      </div>
      {/* The keyboard scrolls a region only when it has the focus. */}
      <section
        ref={scroller}
        className="min-h-0 flex-1 overflow-auto"
        tabIndex={0}
        aria-label="Repayment table"
      >
        <table
          className={`w-full table-fixed border-separate border-spacing-0 text-right text-xs md:text-base ${stale ? "stale" : ""}`}
          aria-rowcount={rows.length + 3}
        >
          <colgroup>
            <col className="w-9 md:w-16" />
            <col className="w-22 md:w-52" />
          </colgroup>
          <thead>
            <tr aria-rowindex={1}>
              <th
                scope="col"
                className="sticky top-0 z-10 bg-base-200 py-1.5 pl-2 md:pl-4 text-left font-semibold"
              >
                No.
              </th>
              <th scope="col" className="sticky top-0 z-10 bg-base-200 px-1 md:px-2 text-left font-semibold">
                Due
              </th>
              {columns.map(name => (
                <th
                  key={name}
                  scope="col"
                  className="sticky top-0 z-10 bg-base-200 px-1 md:px-2 font-semibold last:pr-2 md:last:pr-4"
                >
                  <span className={finding && name === "Payment" ? "found px-1" : ""}>{name}</span>
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {above > 0 && <Spacer height={above} />}
            {shown.map(({ index }) =>
              index === 0 ? (
                <OpeningRow
                  key={0}
                  quote={quote}
                  notation={notation}
                  money={money}
                  hasCharges={charges !== undefined}
                />
              ) : (
                <Row
                  key={index}
                  row={rows[index - 1] as PaymentRow}
                  notation={notation}
                  money={money}
                  place={index}
                  remark={remarkOn(quote, index - 1)}
                  charge={charges?.[index - 1]}
                />
              ),
            )}
            {below > 0 && <Spacer height={below} />}
          </tbody>
          <tfoot>
            <tr aria-rowindex={rows.length + 3}>
              <th
                scope="row"
                colSpan={2}
                className="sticky bottom-0 border-base-300 border-t bg-base-200 py-2 pl-2 md:pl-4 text-left font-semibold"
              >
                {paymentCount(rows)}
              </th>
              {totals.map((total, index) => (
                <td
                  key={COLUMNS[index]}
                  className="sticky bottom-0 border-base-300 border-t bg-base-200 px-1 md:px-2 font-semibold"
                >
                  {money(total)}
                </td>
              ))}
              <td className="sticky bottom-0 border-base-300 border-t bg-base-200 pr-2 md:pr-4 pl-2 font-semibold">
                {money(rows.at(-1)?.balance ?? 0)}
              </td>
              {charges && (
                <td className="sticky bottom-0 border-base-300 border-t bg-base-200 pr-2 md:pr-4 font-semibold">
                  {money(charges.reduce((sum, charge) => sum + charge, 0))}
                </td>
              )}
            </tr>
          </tfoot>
        </table>
      </section>
    </section>
  );
});

/** With plain figures for programs, or as a spreadsheet of a place reads them. */
async function downloadCsv(quote: Quote, fileName: string, notation?: Notation): Promise<void> {
  const { scheduleCsv, spreadsheetCsv } = await import("@/exchange/answers/schedule-csv");
  const text = notation ? spreadsheetCsv(quote, notation) : scheduleCsv(quote);
  saveFile(
    `${fileName} repayment${notation ? " for a spreadsheet" : ""}.csv`,
    "text/csv;charset=utf-8",
    text,
  );
}

/** Adds the principal up again and says whether it comes to the loan amount. */
function ClosingProof({ quote, money }: { quote: Quote; money: (minor: number) => string }) {
  const principal = quote.schedule.reduce((sum, row) => sum + row.principal, 0);
  if (principal !== quote.loanAmount) {
    return (
      <p className="text-error text-sm">
        Does not close: principal adds up to {money(principal)}, not {money(quote.loanAmount)}
      </p>
    );
  }
  return (
    <p className="flex items-center gap-1.5 text-sm text-success" data-testid="closes">
      <BadgeCheck size={16} aria-hidden="true" />
      Closes: principal adds up to {money(principal)}
    </p>
  );
}

function Spacer({ height }: { height: number }) {
  return (
    <tr>
      <td colSpan={6} style={{ height, padding: 0 }} />
    </tr>
  );
}

const CELL = "h-[30px] border-base-300 border-t px-1 md:px-2";

type OpeningProps = Pick<Props, "quote" | "notation"> & {
  money: (minor: number) => string;
  hasCharges: boolean;
};

function OpeningRow({ quote, notation, money, hasCharges }: OpeningProps) {
  const { startDate: start } = quote;
  return (
    <tr aria-rowindex={2}>
      <td className={`${CELL} pl-2 md:pl-4 text-left text-faint`}>0</td>
      <td className={`${CELL} whitespace-nowrap text-left`}>
        {start === null ? "start" : dateIn(start, notation)}
      </td>
      <td colSpan={3} className={`${CELL} text-faint`}>
        {quote.loanAmount === quote.amountFinanced ? "amount financed" : "loan amount"}
      </td>
      <td className={`${CELL} pr-2 md:pr-4`}>{money(quote.loanAmount)}</td>
      {hasCharges && <td className={CELL} />}
    </tr>
  );
}

type RowProps = {
  row: PaymentRow;
  notation: Notation;
  money: (minor: number) => string;
  /** The line's place in the table, from 1. */
  place: number;
  remark: string;
  /** What falls with the payment, where the loan has such a column. */
  charge: number | undefined;
};

function Row({ row, notation, money, place, remark, charge }: RowProps) {
  return (
    <tr aria-rowindex={place + 2} className={remark.startsWith("last") ? "font-semibold" : ""}>
      <td className={`${CELL} pl-2 md:pl-4 text-left text-faint`}>{row.number}</td>
      <td className={`${CELL} whitespace-nowrap text-left leading-none md:leading-normal`}>
        {row.date === null ? "" : dateIn(row.date, notation)}
        {/* On a phone there is no room beside the date. */}
        {remark && <span className="block text-faint text-xs md:ml-2 md:inline md:text-sm">{remark}</span>}
      </td>
      <td className={CELL}>{money(row.payment)}</td>
      <td className={CELL}>{money(row.interest)}</td>
      <td className={CELL}>{money(row.principal)}</td>
      <td className={`${CELL} pr-2 md:pr-4`}>{money(row.balance)}</td>
      {charge !== undefined && <td className={`${CELL} pr-2 md:pr-4`}>{money(charge)}</td>}
    </tr>
  );
}

const KINDS: Record<PaymentRow["kind"], string> = {
  payment: "",
  interestOnly: "just interest",
  noPayment: "no payment",
  extra: "extra",
  balloon: "balloon",
};

/** What is special about a line: the last payment, or one of another kind. */
function remarkOn(quote: Quote, index: number): string {
  const { schedule, payments, finalPayment, payment, isListed, filled, oddFirstPeriod } = quote;
  const row = schedule[index];
  if (!row) return "";
  const isLast = row.number === payments && (row.kind === "payment" || row.kind === "interestOnly");
  if (isLast) return finalPayment === payment || isListed ? "last" : "last, adjusted";
  if (KINDS[row.kind] !== "" || row.kind !== "payment") return KINDS[row.kind];
  if (filled.plan.steps?.some(({ from }) => from === row.number)) return "step";
  return row.number === 1 && oddFirstPeriod ? "odd first period" : "";
}

/** "104 payments, 1 extra, balloon". */
function paymentCount(rows: readonly PaymentRow[]): string {
  const counts = { payment: 0, interestOnly: 0, noPayment: 0, extra: 0, balloon: 0 };
  for (const { payment, kind } of rows) if (payment > 0) counts[kind] += 1;
  const payments = counts.payment + counts.interestOnly;
  const parts = [
    `${payments} ${payments === 1 ? "payment" : "payments"}`,
    ...(counts.extra > 0 ? [`${counts.extra} ${counts.extra === 1 ? "extra" : "extras"}`] : []),
    ...(counts.balloon > 0 ? ["balloon"] : []),
  ];
  return parts.join(", ");
}
