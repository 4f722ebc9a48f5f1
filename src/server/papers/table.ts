import type { Block, PaperRow } from "@/exchange/paper-parts/paper";
import {
  bottomOf,
  type Document,
  GROUND,
  INK,
  keepTogether,
  MARGIN,
  type Pen,
  ROW,
  RULE,
  roomOf,
  rule,
  type Structure,
  TEXT,
  tagged,
} from "./page";
import { place, widthOf } from "./text";

/** Draws a table whose headings stand on each page. */
export function drawTable(
  document: Document,
  root: Structure,
  { name, headings, words, rows }: TableBlock,
): void {
  const { columns, size } = columnsOf(document, headings, words, rows);
  const table = document.struct("Table", { title: name });
  root.add(table);
  const head = (isFirst: boolean) => {
    const cells = headings.map(text => ({ text, type: "TH" }));
    // Headings on later pages are there for the eye: whoever is read to has them from the first.
    drawRow(document, isFirst ? table : null, cells, columns, { words, kind: "group", size });
  };
  keepTogether(document, 3 * ROW);
  head(true);
  for (const { kind, cells } of rows) {
    if (document.y + ROW > bottomOf(document)) {
      document.addPage();
      head(false);
    }
    drawRow(
      document,
      table,
      cells.map(text => ({ text, type: "TD" })),
      columns,
      { words, kind, size },
    );
  }
  table.end();
}

type TableBlock = Extract<Block, { kind: "table" }>;
type Column = { x: number; width: number };

/** A longer heading over figures is shortened; no figure ever is. */
const MOST_OF_HEADING = 84;
const MOST_OF_WORDS = 330;
const BETWEEN = 12;

/** As wide as what they hold; what is left goes between figures. Where they do not fit, all is written smaller. */
function columnsOf(
  document: Document,
  headings: readonly string[],
  words: number,
  rows: readonly PaperRow[],
): { columns: Column[]; size: number } {
  const strong: Pen = { ...TEXT, face: "strong" };
  const room = roomOf(document);
  // Headings alone make no figure smaller.
  const mostOfHeading = Math.max(MOST_OF_HEADING, room / headings.length - BETWEEN);
  const widths = headings.map((heading, column) => {
    const longest = rows.reduce((text, { cells }) => {
      const cell = cells[column] ?? "";
      return cell.length > text.length ? cell : text;
    }, "");
    const most = column < words ? MOST_OF_WORDS : mostOfHeading;
    const ofHeading = Math.min(widthOf(document, heading, strong), most);
    return Math.max(widthOf(document, longest, strong), ofHeading) + BETWEEN;
  });
  const asked = widths.reduce((sum, width) => sum + width, 0);
  const fits = Math.min(room / asked, 1);
  const share = Math.max(room - asked, 0) / Math.max(headings.length - words, 1);
  let x = MARGIN.left;
  const columns = widths.map((width, column) => {
    const wide = width * fits + (column >= words ? share : 0);
    const at = x;
    x += wide;
    return { x: at, width: wide };
  });
  return { columns, size: TEXT.size * fits };
}

/** How a row is drawn: its first columns are words. */
type RowStyle = { words: number; kind: PaperRow["kind"]; size: number };

function drawRow(
  document: Document,
  table: Structure | null,
  cells: readonly { text: string; type: string }[],
  columns: readonly Column[],
  { words, kind, size }: RowStyle,
): void {
  const { y } = document;
  const pen: Pen = { ...TEXT, face: kind === "line" ? "text" : "strong", size };
  const [left, right] = [MARGIN.left, document.page.width - MARGIN.right];
  document.markContent("Artifact", { type: "Layout" });
  if (kind !== "line") document.rect(left, y, right - left, ROW).fill(GROUND);
  document
    .moveTo(left, y + ROW)
    .lineTo(right, y + ROW)
    .lineWidth(kind === "total" ? 1 : 0.5)
    .stroke(RULE);
  document.endMarkedContent();
  const row = table && document.struct("TR");
  if (row) table.add(row);
  cells.forEach(({ text, type }, index) => {
    const column = columns[index];
    if (!column || text === "") return;
    const drawIt = () =>
      place(
        document,
        text,
        { x: column.x + 4, y: y + 3, width: column.width - 8, isRight: index >= words },
        pen,
      );
    if (row) tagged(document, row, type, drawIt);
    else {
      document.markContent("Artifact", { type: "Pagination" });
      drawIt();
      document.endMarkedContent();
    }
  });
  row?.end();
  document.x = MARGIN.left;
  document.y = y + ROW;
}

type TallyBlock = Extract<Block, { kind: "tally" }>;

/** Two columns, read one after the other; the sum below them over the whole width. */
export function drawTally(document: Document, root: Structure, { lines, sum }: TallyBlock): void {
  const half = Math.ceil(lines.length / 2);
  keepTogether(document, (half + 2) * ROW);
  const top = document.y;
  const gap = 18;
  const room = roomOf(document);
  const width = (room - gap) / 2;
  const list = document.struct("Table");
  root.add(list);
  const line = ([name, text]: readonly [string, string], x: number, y: number, wide: number, pen: Pen) => {
    const row = document.struct("TR");
    list.add(row);
    tagged(document, row, "TH", () => place(document, name, { x, y, width: wide * 0.68 }, pen));
    tagged(document, row, "TD", () =>
      place(document, text, { x: x + wide * 0.68, y, width: wide * 0.32, isRight: true }, pen),
    );
    row.end();
  };
  lines.forEach((each, index) => {
    const isRight = index >= half;
    const x = MARGIN.left + (isRight ? width + gap : 0);
    line(each, x, top + (isRight ? index - half : index) * ROW, width, TEXT);
  });
  const below = top + half * ROW + 2;
  rule(document, below, INK);
  line(sum, MARGIN.left, below + 5, room, { ...TEXT, face: "strong" });
  list.end();
  document.x = MARGIN.left;
  document.y = below + ROW + 4;
}
