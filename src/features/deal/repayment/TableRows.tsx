import { memo } from "react";
import { amountIn, dateIn, type Notation } from "@/exchange/notation";
import { CELL } from "@/features/repayment/ScheduleTable";
import type { TableLines } from "./lines";

const FIGURE = `${CELL} last:pr-2 md:last:pr-4`;

type GroupProps = {
  group: number;
  name: string;
  lines: TableLines;
  /** Its lines, from one place to before another. */
  from: number;
  to: number;
  /** What lines come to, column by column. */
  texts: (from: number, to: number) => readonly string[];
  isOpen: boolean;
  index: number;
  onToggle: (group: number) => void;
};

/** The head of a year, with what its lines come to. */
export const GroupRow = memo(function GroupRow(props: GroupProps) {
  const { group, name, lines, from, to, texts, isOpen, index, onToggle } = props;
  return (
    <tr aria-rowindex={index + 2} className="bg-base-200 font-semibold">
      <td colSpan={2} className={`${CELL} pl-1 text-left md:pl-3`}>
        <button
          type="button"
          className="w-full cursor-pointer whitespace-nowrap text-left"
          aria-expanded={isOpen}
          onClick={() => onToggle(group)}
        >
          <span aria-hidden="true" className="inline-block w-5 text-faint">
            {isOpen ? "▾" : "▸"}
          </span>
          {name}
          <span className="ml-2 font-normal text-faint text-sm max-md:hidden">{lines.counted(from, to)}</span>
        </button>
      </td>
      {texts(from, to).map((text, column) => (
        <td
          // biome-ignore lint/suspicious/noArrayIndexKey: a sum under each column, in their order.
          key={column}
          className={FIGURE}
        >
          {text}
        </td>
      ))}
    </tr>
  );
});

type LineProps = {
  lines: TableLines;
  place: number;
  notation: Notation;
  index: number;
  isChosen: boolean;
  isPointed: boolean;
  isExplained: boolean;
  onExplain: (place: number) => void;
};

/** A line of the table; scrolling draws only those that come into view. */
export const Line = memo(function Line(props: LineProps) {
  const { lines, place, notation, index, isChosen, isPointed, isExplained, onExplain } = props;
  const { rows, columns, currency } = lines;
  const { number = 0, date = null } = rows[place] ?? {};
  const remark = lines.remark(place);
  // On the ground of what is chosen the fainter ink could not be read.
  const faint = isChosen ? "" : "text-faint";
  return (
    <tr
      aria-rowindex={index + 2}
      aria-selected={isChosen}
      data-place={place}
      className={`cursor-default ${isChosen ? "bg-primary/15" : isPointed ? "bg-base-200" : ""} ${lines.isLast(place) ? "font-semibold" : ""}`}
    >
      <td className={`${CELL} pl-2 text-left md:pl-4 ${faint}`}>{lines.isNumbered(place) ? number : ""}</td>
      <td className={`${CELL} select-none whitespace-nowrap text-left leading-none md:leading-normal`}>
        {date === null ? "" : dateIn(date, notation)}
        {remark && (
          <button
            type="button"
            className={`block cursor-pointer text-xs underline decoration-dotted underline-offset-3 md:ml-2 md:inline md:text-sm ${faint}`}
            aria-expanded={isExplained}
            onClick={() => onExplain(place)}
          >
            {remark}
          </button>
        )}
      </td>
      {columns.map(({ at }, column) => {
        const minor = at(place);
        return (
          <td
            // biome-ignore lint/suspicious/noArrayIndexKey: a figure under each column, in their order.
            key={column}
            className={FIGURE}
          >
            {minor === null ? "" : amountIn(minor, currency, notation)}
          </td>
        );
      })}
    </tr>
  );
});

/** Why a line is other than the usual, below it. */
export function WhyRow({ text, index, columns }: { text: string; index: number; columns: number }) {
  return (
    <tr aria-rowindex={index + 2}>
      <td />
      <td colSpan={columns + 1} className={`${CELL} pr-2 text-left text-sm md:pr-4`} aria-live="polite">
        {text}
      </td>
    </tr>
  );
}
