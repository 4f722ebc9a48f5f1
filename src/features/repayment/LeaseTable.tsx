import { lazy, memo, type ReactNode, Suspense, useMemo, useState } from "react";
import type { LeaseQuote, LeaseRow } from "@/core";
import { leaseCharges } from "@/exchange/kinds/lease/rows";
import { amountIn, dateIn, type Notation } from "@/exchange/notation";
import { AllButton, useFirstYear } from "./first-year";
import { LeaseProof } from "./LeaseProof";
import { leaseRemark } from "./lease-remark";
import { CELL, type ScheduleProps, ScheduleTable } from "./ScheduleTable";
import { saveSchedule } from "./save-schedule";

// A picture of what stands below it, loaded when its place comes into view.
const ResidualChart = lazy(() =>
  import("./ResidualChart").then(({ ResidualChart: chart }) => ({ default: chart })),
);

/** A lower window shows the chart on request: ten lines of the table come first. */
const ROOM_FOR_CHART = 960;

const COLUMNS = ["Payment", "Rent", "Lost value", "Tax", "Left"];
const CHARGES = "Charges";

type Props = ScheduleProps<LeaseQuote> & {
  /** What else can be done with the table. */
  action?: ReactNode;
};

/** The lessor's table: each payment split into rent and lost value, down to the residual. */
export const LeaseTable = memo(function LeaseTable(props: Props) {
  const { quote, notation, stale, fileName, action, onAll } = props;
  const { schedule, deal } = quote;
  const money = (minor: number) => amountIn(minor, deal.currency, notation);
  const [isChart, setChart] = useState(() => window.innerHeight >= ROOM_FOR_CHART);
  const lines = useFirstYear(schedule, quote.filled.plan.frequency, onAll !== undefined);
  const charges = useMemo(() => leaseCharges(quote), [quote]);
  const sum = (part: "payment" | "rent" | "depreciation" | "tax") =>
    schedule.reduce((total, row) => total + row[part], 0);
  const closing = schedule.at(-1)?.balance ?? 0;
  const totals = [sum("payment"), sum("rent"), sum("depreciation"), sum("tax"), closing];
  if (charges) totals.push(charges.reduce((total, charge) => total + charge, 0));
  const paid = schedule.filter(({ kind }) => kind !== "closing").length;

  return (
    <ScheduleTable
      title="Repayment"
      action={
        <>
          {lines < schedule.length && <AllButton payments={paid} onAll={onAll} />}
          {action}
          <button
            type="button"
            aria-expanded={isChart}
            className="cursor-pointer font-semibold text-primary text-sm"
            onClick={() => setChart(!isChart)}
          >
            Chart {isChart ? "▾" : "▸"}
          </button>
        </>
      }
      proof={<LeaseProof quote={quote} money={money} />}
      columns={charges ? [...COLUMNS, CHARGES] : COLUMNS}
      found={deal.find === "payment" ? "Payment" : undefined}
      stale={stale}
      count={lines + 1}
      row={index =>
        index === 0 ? (
          <OpeningRow key={0} quote={quote} notation={notation} hasCharges={charges !== undefined} />
        ) : (
          <Row
            key={index}
            row={schedule[index - 1] as LeaseRow}
            notation={notation}
            money={money}
            place={index}
            charge={charges?.[index - 1]}
          />
        )
      }
      counted={`${paid} ${paid === 1 ? "payment" : "payments"}`}
      totals={totals.map(money)}
      download={forSpreadsheet => void saveSchedule(quote, fileName, forSpreadsheet ? notation : undefined)}
    >
      {isChart && (
        <div className="min-h-[150px] shrink-0">
          <Suspense fallback={null}>
            <ResidualChart quote={quote} notation={notation} stale={stale} />
          </Suspense>
        </div>
      )}
    </ScheduleTable>
  );
});

type OpeningProps = Pick<ScheduleProps<LeaseQuote>, "quote" | "notation"> & { hasCharges: boolean };

function OpeningRow({ quote, notation, hasCharges }: OpeningProps) {
  const { startDate, cost, deal } = quote;
  return (
    <tr aria-rowindex={2}>
      <td className={`${CELL} pl-2 md:pl-4 text-left text-faint`}>0</td>
      <td className={`${CELL} whitespace-nowrap text-left`}>
        {startDate === null ? "signing" : dateIn(startDate, notation)}
      </td>
      <td colSpan={4} className={`${CELL} text-faint`}>
        adjusted capitalized cost
      </td>
      <td className={`${CELL} pr-2 md:pr-4`}>{amountIn(cost, deal.currency, notation)}</td>
      {hasCharges && <td className={CELL} />}
    </tr>
  );
}

type RowProps = {
  row: LeaseRow;
  notation: Notation;
  money: (minor: number) => string;
  /** The line's place in the table, from 1. */
  place: number;
  /** What falls with the payment, where the lease has such a column. */
  charge: number | undefined;
};

/** Scrolling draws only what comes into view. */
const Row = memo(function Row({ row, notation, money, place, charge }: RowProps) {
  const { kind, number, date, payment, rent, depreciation, tax, balance } = row;
  const isClosing = kind === "closing";
  const remark = leaseRemark(row);
  return (
    <tr aria-rowindex={place + 2}>
      <td className={`${CELL} pl-2 md:pl-4 text-left text-faint`}>{isClosing ? "" : number}</td>
      <td className={`${CELL} whitespace-nowrap text-left leading-none md:leading-normal`}>
        {date === null ? "" : dateIn(date, notation)}
        {remark && <span className="block text-faint text-xs md:ml-2 md:inline md:text-sm">{remark}</span>}
      </td>
      <td className={CELL}>{isClosing ? "" : money(payment)}</td>
      <td className={CELL}>{money(rent)}</td>
      <td className={CELL}>{money(depreciation)}</td>
      <td className={CELL}>{isClosing ? "" : money(tax)}</td>
      <td className={`${CELL} pr-2 md:pr-4`}>{money(balance)}</td>
      {charge !== undefined && <td className={`${CELL} pr-2 md:pr-4`}>{money(charge)}</td>}
    </tr>
  );
});
