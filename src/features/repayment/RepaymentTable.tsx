import { memo, useMemo } from "react";
import { chargeColumn, type LoanQuote, type PaymentRow } from "@/core";
import { amountIn, dateIn, type Notation } from "@/exchange/notation";
import { AllButton, useFirstYear } from "./first-year";
import { LoanProof } from "./LoanProof";
import { paymentCount, remarkOn } from "./remarks";
import { CELL, type ScheduleProps, ScheduleTable } from "./ScheduleTable";
import { saveSchedule } from "./save-schedule";

const COLUMNS = ["Payment", "Interest", "Principal", "Balance"];
/** Fees and extras that fall with payments; a loan without any has no such column. */
const CHARGES = "Charges";

/** Every payment split into interest and principal, with the balance after it. */
export const RepaymentTable = memo(function RepaymentTable(props: ScheduleProps<LoanQuote>) {
  const { quote, notation, stale, fileName, onAll } = props;
  const rows = quote.schedule;
  const money = (minor: number) => amountIn(minor, quote.deal.currency, notation);
  const charges = useMemo(
    () => quote.charges && chargeColumn(quote.schedule, quote.charges.all),
    [quote.charges, quote.schedule],
  );
  const { loanAmount, totalInterest } = quote;
  const lines = useFirstYear(rows, quote.filled.plan.frequency, onAll !== undefined);
  const totals = [loanAmount + totalInterest, totalInterest, loanAmount, rows.at(-1)?.balance ?? 0];
  if (charges) totals.push(charges.reduce((sum, charge) => sum + charge, 0));

  return (
    <ScheduleTable
      title="Repayment"
      proof={<LoanProof quote={quote} rows={rows} money={money} />}
      action={lines < rows.length && <AllButton payments={quote.payments} onAll={onAll} />}
      columns={charges ? [...COLUMNS, CHARGES] : COLUMNS}
      found={quote.deal.find === "payment" ? "Payment" : undefined}
      stale={stale}
      count={lines + 1}
      row={index =>
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
            remark={remarkOn(quote, rows[index - 1] as PaymentRow)}
            charge={charges?.[index - 1]}
          />
        )
      }
      counted={paymentCount(rows)}
      totals={totals.map(money)}
      download={forSpreadsheet => void saveSchedule(quote, fileName, forSpreadsheet ? notation : undefined)}
    />
  );
});

type OpeningProps = Pick<ScheduleProps<LoanQuote>, "quote" | "notation"> & {
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

/** Scrolling draws only what comes into view. */
const Row = memo(function Row({ row, notation, money, place, remark, charge }: RowProps) {
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
});
