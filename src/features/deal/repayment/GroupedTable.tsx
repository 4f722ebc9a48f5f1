import { type KeyboardEvent, memo, type ReactNode, useMemo, useRef, useState } from "react";
import {
  chargeColumn,
  type LoanQuote,
  type PaymentRow,
  periodsPerYear,
  type RowGroup,
  rowGroups,
} from "@/core";
import { amountIn, dateIn, type Notation } from "@/exchange/notation";
import { paymentCount, remarkOn } from "@/features/repayment/remarks";
import { CELL, ClosingProof, ScheduleTable } from "@/features/repayment/ScheduleTable";
import { ROW_HEIGHT } from "@/features/repayment/Spacer";
import { saveSchedule } from "@/features/repayment/save-schedule";
import { useIsPrinted } from "@/features/repayment/use-is-printed";
import { linesSoFar, MORE_COLUMNS, type MoreColumn } from "./columns";
import { inOrder, type Range, rangeWords, totalsOfRange } from "./range";

const COLUMNS = ["Payment", "Interest", "Principal", "Balance"];

type GroupedTableProps = {
  quote: LoanQuote;
  /** The plan's own lines, or those with extra payments. */
  rows: readonly PaymentRow[];
  /** Whether they are the plan's own. */
  isPlanned: boolean;
  notation: Notation;
  stale: boolean;
  fileName: string;
  more: readonly MoreColumn[];
  byContract: boolean;
  range: Range | null;
  onRange: (range: Range | null) => void;
  pointed: number | null;
  onPoint: (place: number | null) => void;
  /** A line to go to; another object each time. */
  goTo: { place: number } | null;
  /** What else can be done with the table. */
  tools: ReactNode;
  children: ReactNode;
};

/** A line of the screen: the head of a group, or a line of the table by its place. */
type Item = { group: RowGroup } | { place: number };

/** The repayment table in groups that fold, with what chosen lines come to. */
export const GroupedTable = memo(function GroupedTable(props: GroupedTableProps) {
  const { quote, rows, isPlanned, notation, stale, fileName, more, byContract, range, onRange } = props;
  const { pointed, onPoint, goTo, tools, children } = props;
  const { loanAmount, deal, filled } = quote;
  const money = (minor: number) => amountIn(minor, deal.currency, notation);
  const hasDates = quote.startDate !== null;
  const groups = useMemo(
    () =>
      rowGroups(
        rows,
        loanAmount,
        hasDates && !byContract ? "calendar" : { perYear: periodsPerYear(filled.plan.frequency) },
      ),
    [rows, loanAmount, hasDates, byContract, filled.plan.frequency],
  );
  const soFar = useMemo(() => linesSoFar(rows, loanAmount), [rows, loanAmount]);
  const charges = useMemo(
    () => (quote.charges ? chargeColumn(rows, quote.charges.all) : undefined),
    [quote.charges, rows],
  );
  const shown = more.filter(each => each !== "charges" || charges);
  // Paper folds nothing.
  const isPrinted = useIsPrinted();
  const [unfolded, setUnfolded] = useState(() => firstGroups(groups));
  const items = useMemo(
    () =>
      groups.flatMap((group, index): Item[] => [
        { group },
        ...(isPrinted || unfolded.has(index)
          ? Array.from({ length: group.to - group.from }, (_, k) => ({ place: group.from + k }))
          : []),
      ]),
    [groups, unfolded, isPrinted],
  );
  const region = useRef<HTMLDivElement>(null);
  useGoTo(goTo, groups, unfolded, setUnfolded, region);
  // The second press after one line, or one with Shift, chooses all up to it.
  const press = (place: number, isMore: boolean) => {
    const isSecond = range !== null && (isMore || range.from === range.to);
    onRange({ from: isSecond ? range.from : place, to: place });
  };
  const onKey = (event: KeyboardEvent<HTMLElement>) => {
    const step = { ArrowDown: 1, ArrowUp: -1 }[event.key];
    if (event.key === "Escape") onRange(null);
    if (step === undefined || !event.shiftKey) return;
    event.preventDefault();
    const now = range ?? { from: -1, to: -1 };
    const to = Math.min(Math.max(now.to + step, 0), rows.length - 1);
    onRange({ from: range ? range.from : to, to });
  };
  const chosen = range && totalsOfRange(rows, range, loanAmount);
  const { from, to } = range ? inOrder(range) : { from: -1, to: -1 };
  const cellsOf = (place: number): string[] =>
    shown.map(column =>
      money(column === "charges" ? (charges?.[place] ?? 0) : (soFar[place]?.[column] ?? 0)),
    );
  const sum = (first: number, end: number) =>
    (charges ?? []).slice(first, end).reduce((total, charge) => total + charge, 0);
  const principal = rows.reduce((total, row) => total + row.principal, 0);
  const interest = rows.reduce((total, row) => total + row.interest, 0);
  const sums = (totals: RowGroup | NonNullable<typeof chosen>, first: number, end: number) => [
    money(totals.payment),
    money(totals.interest),
    money(totals.principal),
    money(totals.balance),
    ...shown.map(column => (column === "charges" ? money(sum(first, end)) : "")),
  ];
  return (
    <ScheduleTable
      title="Repayment"
      proof={
        <ClosingProof
          closes={`: principal adds up to ${money(principal)}`}
          fails={
            principal === loanAmount
              ? undefined
              : `principal adds up to ${money(principal)}, not ${money(loanAmount)}`
          }
        />
      }
      action={tools}
      columns={[...COLUMNS, ...shown.map(column => MORE_COLUMNS[column])]}
      found={deal.find === "payment" ? "Payment" : undefined}
      stale={stale}
      count={items.length}
      region={region}
      onKey={onKey}
      row={index => {
        const item = items[index] as Item;
        if ("group" in item) {
          const place = groups.indexOf(item.group);
          const isOpen = unfolded.has(place);
          return (
            <GroupRow
              key={`group ${place}`}
              lines={paymentCount(rows.slice(item.group.from, item.group.to))}
              name={hasDates && !byContract ? `${item.group.year}` : `Year ${item.group.year}`}
              sums={sums(item.group, item.group.from, item.group.to)}
              isOpen={isOpen}
              place={index}
              onToggle={() => setUnfolded(now => toggled(now, place))}
            />
          );
        }
        const row = rows[item.place] as PaymentRow;
        return (
          <Line
            key={item.place}
            row={row}
            notation={notation}
            money={money}
            index={index}
            place={item.place}
            remark={remarkOn(quote, row)}
            more={cellsOf(item.place)}
            isChosen={item.place >= from && item.place <= to}
            isPointed={pointed === item.place}
            onPress={press}
            onPoint={onPoint}
          />
        );
      }}
      counted={paymentCount(rows)}
      totals={[
        money(loanAmount + interest),
        money(interest),
        money(principal),
        money(rows.at(-1)?.balance ?? 0),
        ...shown.map(column => (column === "charges" ? money(sum(0, rows.length)) : "")),
      ]}
      chosen={
        range && chosen
          ? { counted: <Chosen words={rangeWords(rows, range)} />, totals: sums(chosen, from, to + 1) }
          : undefined
      }
      download={forSpreadsheet =>
        void saveSchedule(
          { ...quote, schedule: [...rows], totalInterest: interest },
          isPlanned ? fileName : `${fileName}, extra payments,`,
          forSpreadsheet ? notation : undefined,
        )
      }
    >
      {children}
    </ScheduleTable>
  );
});

/** A first year of few payments is open together with the next. */
const FEW = 6;

const firstGroups = ([first]: readonly RowGroup[]): ReadonlySet<number> =>
  new Set(first && first.to - first.from < FEW ? [0, 1] : [0]);

const toggled = (now: ReadonlySet<number>, place: number): ReadonlySet<number> => {
  const next = new Set(now);
  if (!next.delete(place)) next.add(place);
  return next;
};

const Chosen = ({ words }: { words: string }) => (
  <span aria-live="polite" data-testid="chosen">
    {words.replace(/^./, first => first.toUpperCase())}
  </span>
);

/** Goes to a line where it is asked for: its group unfolds, and it is scrolled into view. */
function useGoTo(
  goTo: { place: number } | null,
  groups: readonly RowGroup[],
  unfolded: ReadonlySet<number>,
  setUnfolded: (unfolded: ReadonlySet<number>) => void,
  region: { readonly current: HTMLElement | null },
): void {
  const [done, setDone] = useState<{ place: number } | null>(null);
  if (goTo === null || goTo === done) return;
  const index = groups.findIndex(({ from, to }) => goTo.place >= from && goTo.place < to);
  setDone(goTo);
  if (index < 0) return;
  if (!unfolded.has(index)) setUnfolded(new Set([...unfolded, index]));
  const above = groups
    .slice(0, index)
    .reduce((lines, { from, to }, place) => lines + 1 + (unfolded.has(place) ? to - from : 0), 0);
  const lines = above + 1 + goTo.place - (groups[index]?.from ?? 0);
  requestAnimationFrame(() => {
    requestAnimationFrame(() => region.current?.scrollTo({ top: Math.max(lines - 3, 0) * ROW_HEIGHT }));
  });
}

type GroupRowProps = {
  /** What its lines are counted as. */
  lines: string;
  name: string;
  sums: readonly string[];
  isOpen: boolean;
  place: number;
  onToggle: () => void;
};

/** The head of a year, with what its lines come to. */
function GroupRow({ lines, name, sums, isOpen, place, onToggle }: GroupRowProps) {
  return (
    <tr aria-rowindex={place + 2} className="bg-base-200 font-semibold">
      <td colSpan={2} className={`${CELL} pl-1 text-left md:pl-3`}>
        <button
          type="button"
          className="w-full cursor-pointer whitespace-nowrap text-left"
          aria-expanded={isOpen}
          onClick={onToggle}
        >
          <span aria-hidden="true" className="inline-block w-5 text-faint">
            {isOpen ? "▾" : "▸"}
          </span>
          {name}
          <span className="ml-2 font-normal text-faint text-sm max-md:hidden">{lines}</span>
        </button>
      </td>
      {sums.map((text, index) => (
        <td
          // biome-ignore lint/suspicious/noArrayIndexKey: a sum under each column, in their order.
          key={index}
          className={`${CELL} last:pr-2 md:last:pr-4`}
        >
          {text}
        </td>
      ))}
    </tr>
  );
}

const isOfMouse = (event: Event) => "pointerType" in event && event.pointerType === "mouse";

type LineProps = {
  row: PaymentRow;
  notation: Notation;
  money: (minor: number) => string;
  index: number;
  place: number;
  remark: string;
  more: readonly string[];
  isChosen: boolean;
  isPointed: boolean;
  onPress: (place: number, isMore: boolean) => void;
  onPoint: (place: number | null) => void;
};

function Line(props: LineProps) {
  const { row, notation, money, index, place, remark, more, isChosen, isPointed, onPress, onPoint } = props;
  const said = [remark, row.asked === undefined ? "" : `of ${money(row.asked)}: no more is owed`]
    .filter(Boolean)
    .join(", ");
  // On the ground of what is chosen the fainter ink could not be read.
  const faint = isChosen ? "" : "text-faint";
  return (
    <tr
      aria-rowindex={index + 2}
      aria-selected={isChosen}
      className={`cursor-default ${isChosen ? "bg-primary/15" : isPointed ? "bg-base-200" : ""} ${remark.startsWith("last") ? "font-semibold" : ""}`}
      // A mouse begins to drag where it is pressed; a finger that is pressed may be about to scroll.
      onPointerDown={event => event.pointerType === "mouse" && onPress(place, event.shiftKey)}
      onClick={({ nativeEvent, shiftKey }) => !isOfMouse(nativeEvent) && onPress(place, shiftKey)}
      onPointerEnter={event => (event.buttons === 1 ? onPress(place, true) : onPoint(place))}
      onPointerLeave={() => onPoint(null)}
    >
      <td className={`${CELL} pl-2 text-left md:pl-4 ${faint}`}>{row.number}</td>
      <td className={`${CELL} select-none whitespace-nowrap text-left leading-none md:leading-normal`}>
        {row.date === null ? "" : dateIn(row.date, notation)}
        {said && <span className={`block text-xs md:ml-2 md:inline md:text-sm ${faint}`}>{said}</span>}
      </td>
      <td className={CELL}>{money(row.payment)}</td>
      <td className={CELL}>{money(row.interest)}</td>
      <td className={CELL}>{money(row.principal)}</td>
      <td className={`${CELL} last:pr-2 md:last:pr-4`}>{money(row.balance)}</td>
      {more.map((text, column) => (
        <td
          // biome-ignore lint/suspicious/noArrayIndexKey: a figure under each column, in their order.
          key={column}
          className={`${CELL} last:pr-2 md:last:pr-4`}
        >
          {text}
        </td>
      ))}
    </tr>
  );
}
