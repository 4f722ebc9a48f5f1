import { type ReactNode, useCallback, useMemo, useState } from "react";
import type { Notation } from "@/exchange/notation";
import { todaysDay } from "@/features/figures/today";
import { type ColumnNames, keepColumns, keptColumns, type MoreColumn } from "./columns";
import { GroupedTable } from "./GroupedTable";
import type { TableLines } from "./lines";
import type { Marks } from "./marks";
import { placeOn, type Range } from "./range";
import { TableTools } from "./TableTools";

type Props = {
  /** The table with the columns that are shown besides those of every table; the same function until another table is shown. */
  lines: (more: readonly MoreColumn[]) => TableLines;
  columnNames: ColumnNames;
  proof: ReactNode;
  found: string | undefined;
  notation: Notation;
  stale: boolean;
  /** Which table or picture is shown. */
  choices?: ReactNode;
  download: (forSpreadsheet: boolean) => void;
  /** What is said of the table on paper, where what was typed beside it is not. */
  printed?: ReactNode;
  /** What stands above the table. */
  picture: (marks: Marks) => ReactNode;
};

/** A picture above a table of payments: what is pointed at or chosen in one of them is so in the other. */
export function TableAndChart(props: Props) {
  const {
    lines: linesWith,
    columnNames,
    proof,
    found,
    notation,
    stale,
    choices,
    download,
    printed,
    picture,
  } = props;
  const [range, setRange] = useState<Range | null>(null);
  const [pointed, setPointed] = useState<number | null>(null);
  const [more, setMore] = useState(keptColumns);
  const [byContract, setByContract] = useState(false);
  const [fold, setFold] = useState<{ isOpen: boolean } | null>(null);
  const [goTo, setGoTo] = useState<{ place: number } | null>(null);
  const lines = useMemo(() => linesWith(more), [linesWith, more]);
  const { rows } = lines;
  const within = range && Math.max(range.from, range.to) < rows.length ? range : null;
  const marks = useMemo<Marks>(
    () => ({ pointed, onPoint: setPointed, range: within, onRange: setRange }),
    [pointed, within],
  );
  const showColumns = useCallback((next: readonly MoreColumn[]) => {
    setMore(next);
    keepColumns(next);
  }, []);
  const go = useCallback((place: number) => {
    setGoTo({ place });
    setRange({ from: place, to: place });
  }, []);
  const foldAll = useCallback((isOpen: boolean) => setFold({ isOpen }), []);
  return (
    <div className="flex min-h-0 min-w-0 flex-1 flex-col lg:overflow-auto">
      {printed && <div className="hidden print:block">{printed}</div>}
      <GroupedTable
        lines={lines}
        marks={marks}
        proof={proof}
        found={found}
        notation={notation}
        stale={stale}
        byContract={byContract}
        goTo={goTo}
        fold={fold}
        download={download}
        tools={
          <TableTools
            lines={lines}
            columnNames={columnNames}
            onRange={setRange}
            after={within ? Math.max(within.from, within.to) : placeOn(rows, todaysDay())}
            onGo={go}
            more={more}
            onMore={showColumns}
            byContract={byContract}
            onByContract={setByContract}
            onFold={foldAll}
            choices={choices}
          />
        }
      >
        {picture(marks)}
      </GroupedTable>
    </div>
  );
}
