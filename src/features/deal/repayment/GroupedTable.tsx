import { type KeyboardEvent, type ReactNode, useCallback, useMemo, useRef, useState } from "react";
import { type YearGroup, yearGroups } from "@/core";
import { amountIn, inNotation, type Notation } from "@/exchange/notation";
import { ScheduleTable } from "@/features/repayment/ScheduleTable";
import { ROW_HEIGHT } from "@/features/repayment/Spacer";
import { useIsPrinted } from "@/features/repayment/use-is-printed";
import { sumsOf, type TableLines } from "./lines";
import type { Marks } from "./marks";
import { pointing } from "./pointing";
import { inOrder, rangeWords } from "./range";
import { GroupRow, Line, WhyRow } from "./TableRows";

type Props = {
  lines: TableLines;
  marks: Marks;
  proof: ReactNode;
  /** The column of the figure that is being found. */
  found: string | undefined;
  notation: Notation;
  stale: boolean;
  byContract: boolean;
  /** A line to go to; another object each time. */
  goTo: { place: number } | null;
  /** All years to be opened or folded; another object each time. */
  fold: { isOpen: boolean } | null;
  /** What else can be done with the table. */
  tools: ReactNode;
  download: (forSpreadsheet: boolean) => void;
  children: ReactNode;
};

/** A line of the screen: the head of a group, a line of the table by its place, or why one is so. */
type Item = { group: number } | { place: number } | { why: number };

/** The table in groups that fold, with what chosen lines come to. */
export function GroupedTable(props: Props) {
  const { lines, marks, proof, found, notation, stale, byContract, goTo, fold, tools, download, children } =
    props;
  const { pointed, range, onRange } = marks;
  const { rows, columns, currency, perYear, hasDates } = lines;
  const isByCalendar = hasDates && !byContract;
  const groups = useMemo(
    () => yearGroups(rows, isByCalendar ? "calendar" : { perYear }),
    [rows, isByCalendar, perYear],
  );
  const sums = useMemo(() => sumsOf(lines), [lines]);
  const texts = useCallback(
    (from: number, to: number) =>
      sums(from, to).map(sum => (sum === null ? "" : amountIn(sum, currency, notation))),
    [sums, currency, notation],
  );
  // Paper folds nothing.
  const isPrinted = useIsPrinted();
  const [unfolded, setUnfolded] = useState(() => firstGroups(groups));
  const [asked, setAsked] = useState<number | null>(null);
  // In another table the line may be a usual one.
  const explained = asked !== null && lines.why(asked) !== undefined ? asked : null;
  const items = useMemo(
    () =>
      groups.flatMap(({ from, to }, group): Item[] => [
        { group },
        ...(isPrinted || unfolded.has(group) ? placesOf(from, to, explained) : []),
      ]),
    [groups, unfolded, isPrinted, explained],
  );
  const region = useRef<HTMLDivElement>(null);
  useFold(fold, groups, setUnfolded);
  useGoTo(goTo, groups, unfolded, setUnfolded, region);
  const toggle = useCallback((group: number) => setUnfolded(now => toggled(now, group)), []);
  const explain = useCallback((place: number) => setAsked(now => (now === place ? null : place)), []);
  const onKey = (event: KeyboardEvent<HTMLElement>) => {
    const step = { ArrowDown: 1, ArrowUp: -1 }[event.key];
    if (event.key === "Escape") onRange(null);
    if (step === undefined || !event.shiftKey) return;
    event.preventDefault();
    const to = Math.min(Math.max((range?.to ?? -1) + step, 0), rows.length - 1);
    onRange({ from: range ? range.from : to, to });
  };
  const { from, to } = range ? inOrder(range) : { from: -1, to: -2 };
  return (
    <ScheduleTable
      title="Repayment"
      proof={proof}
      action={tools}
      columns={columns.map(({ name }) => name)}
      found={found}
      stale={stale}
      count={items.length}
      region={region}
      handlers={{ ...pointing(marks), onKeyDown: onKey }}
      row={index => {
        const item = items[index] as Item;
        if ("group" in item) {
          const group = groups[item.group] as YearGroup;
          return (
            <GroupRow
              key={`group ${item.group}`}
              group={item.group}
              name={isByCalendar ? `${group.year}` : `Year ${group.year}`}
              lines={lines}
              from={group.from}
              to={group.to}
              texts={texts}
              isOpen={unfolded.has(item.group)}
              index={index}
              onToggle={toggle}
            />
          );
        }
        if ("why" in item)
          return (
            <WhyRow
              key={`why ${item.why}`}
              text={inNotation(lines.why(item.why) ?? "", notation)}
              index={index}
              columns={columns.length}
            />
          );
        const { place } = item;
        return (
          <Line
            key={place}
            lines={lines}
            place={place}
            notation={notation}
            index={index}
            isChosen={place >= from && place <= to}
            isPointed={pointed === place}
            isExplained={explained === place}
            onExplain={explain}
          />
        );
      }}
      counted={lines.counted(0, rows.length)}
      totals={texts(0, rows.length)}
      chosen={
        range
          ? {
              counted: <Chosen words={rangeWords(rows, range)} onClear={() => onRange(null)} />,
              totals: texts(from, to + 1),
            }
          : undefined
      }
      download={download}
    >
      {children}
    </ScheduleTable>
  );
}

/** Lines from one place to before another, with why one of them is so below it. */
const placesOf = (from: number, to: number, explained: number | null): Item[] =>
  Array.from({ length: to - from }, (_, k) => from + k).flatMap((place): Item[] =>
    place === explained ? [{ place }, { why: place }] : [{ place }],
  );

/** A first year of few payments is open together with the next. */
const FEW = 6;

const firstGroups = ([first]: readonly YearGroup[]): ReadonlySet<number> =>
  new Set(first && first.to - first.from < FEW ? [0, 1] : [0]);

const toggled = (now: ReadonlySet<number>, group: number): ReadonlySet<number> => {
  const next = new Set(now);
  if (!next.delete(group)) next.add(group);
  return next;
};

type ChosenProps = { words: string; onClear: () => void };

const Chosen = ({ words, onClear }: ChosenProps) => (
  <>
    <span aria-live="polite" data-testid="chosen">
      {words.replace(/^./, first => first.toUpperCase())}
    </span>
    <button type="button" className="btn btn-ghost btn-xs ml-1 print:hidden" onClick={onClear}>
      Clear
    </button>
  </>
);

/** Opens or folds all years where that is asked for. */
function useFold(
  fold: { isOpen: boolean } | null,
  groups: readonly YearGroup[],
  setUnfolded: (unfolded: ReadonlySet<number>) => void,
): void {
  const [done, setDone] = useState<{ isOpen: boolean } | null>(null);
  if (fold === null || fold === done) return;
  setDone(fold);
  setUnfolded(new Set(fold.isOpen ? groups.keys() : []));
}

/** Goes to a line where it is asked for: its group unfolds, and it is scrolled into view. */
function useGoTo(
  goTo: { place: number } | null,
  groups: readonly YearGroup[],
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
    .reduce((lines, { from, to }, group) => lines + 1 + (unfolded.has(group) ? to - from : 0), 0);
  const lines = above + 1 + goTo.place - (groups[index]?.from ?? 0);
  requestAnimationFrame(() => {
    requestAnimationFrame(() => region.current?.scrollTo({ top: Math.max(lines - 3, 0) * ROW_HEIGHT }));
  });
}
