import PDFDocument from "pdfkit";
import { civilDate } from "@/core";
import type { Block, Paper, PaperChart, PaperRow, Span } from "@/exchange/papers/paper";
import { type Face, type Run, runsOf } from "./fonts";

/** Points; an inch has 72. */
const MARGIN = { top: 84, right: 54, bottom: 64, left: 54 };
const INK = "#1c2b3a";
const FAINT = "#5a6672";
const RULE = "#ddd3c2";
const GROUND = "#f4eee2";
const ACCENT = "#0d665f";
const ROW = 16;

type Document = PDFKit.PDFDocument;
type Pen = { face: Face; size: number; color: string };

const TEXT: Pen = { face: "text", size: 9.5, color: INK };

/**
 * Draws a paper as a PDF: tagged, its language and title set, every font in it. One paper always gives the same bytes.
 *
 * @returns the bytes
 */
export async function writePdf(paper: Paper): Promise<Buffer> {
  const { year, month, day } = civilDate(paper.day);
  const document = new PDFDocument({
    size: paper.size === "Letter" ? "LETTER" : "A4",
    margins: MARGIN,
    pdfVersion: "1.7",
    tagged: true,
    lang: "en",
    displayTitle: true,
    bufferPages: true,
    autoFirstPage: false,
    // Its own fonts alone: the standard ones would be read from beside the package.
    font: "",
    info: {
      Title: `${paper.title}, ${paper.about}`,
      Author: paper.house,
      Creator: "Kellux",
      Producer: "Kellux",
      CreationDate: new Date(Date.UTC(year, month - 1, day)),
      ModDate: new Date(Date.UTC(year, month - 1, day)),
    },
  });
  const written = bytesOf(document);
  document.addPage();
  const root = document.struct("Document");
  document.addStructure(root);
  draw(document, root, paper);
  root.end();
  edges(document, paper);
  document.end();
  return written;
}

function bytesOf(document: Document): Promise<Buffer> {
  return new Promise((resolve, reject) => {
    const chunks: Buffer[] = [];
    document.on("data", chunk => chunks.push(chunk as Buffer));
    document.on("end", () => resolve(Buffer.concat(chunks)));
    document.on("error", reject);
  });
}

type Structure = PDFKit.PDFStructureElement;

function draw(document: Document, root: Structure, { title, blocks }: Paper): void {
  tagged(document, root, "H1", () => write(document, [title], { face: "serifStrong", size: 19, color: INK }));
  document.y += 7;
  for (const block of blocks) drawBlock(document, root, block);
}

function drawBlock(document: Document, root: Structure, block: Block): void {
  switch (block.kind) {
    case "heading":
      keepTogether(document, 48);
      document.y += 8;
      tagged(document, root, "H2", () =>
        write(document, [block.text], { face: "serifStrong", size: 12, color: INK }),
      );
      document.y += 2;
      break;
    case "paragraph":
      tagged(document, root, "P", () => write(document, block.spans, PENS[block.size ?? "usual"]));
      document.y += 6;
      break;
    case "table":
      drawTable(document, root, block);
      document.y += 8;
      break;
    case "tally":
      drawTally(document, root, block);
      document.y += 8;
      break;
    case "chart":
      drawChart(document, root, block.chart);
      document.y += 6;
      break;
    case "signatures":
      drawSignatures(document, root, block.who);
      break;
  }
}

const PENS: Record<"large" | "small" | "usual", Pen> = {
  large: { face: "serif", size: 13.5, color: INK },
  small: { face: "text", size: 8.5, color: FAINT },
  usual: TEXT,
};

const STRONG: Record<Face, Face> = {
  text: "strong",
  strong: "strong",
  serif: "serifStrong",
  serifStrong: "serifStrong",
};

/** Has what is drawn belong to a part of the paper's structure, in the order in which it is read. */
function tagged(document: Document, parent: Structure, type: string, drawIt: () => void): void {
  parent.add(document.struct(type, {}, drawIt));
}

/** A paragraph that flows over the page's width. */
function write(document: Document, spans: readonly Span[], pen: Pen): void {
  const runs = spans.flatMap(span =>
    typeof span === "string"
      ? runsOf(span, pen.face).map(run => ({ ...run, color: pen.color }))
      : runsOf(span.strong, STRONG[pen.face]).map(run => ({ ...run, color: pen.color })),
  );
  const { left } = MARGIN;
  const width = document.page.width - MARGIN.left - MARGIN.right;
  runs.forEach(({ bytes, name, text, color }, index) => {
    take(document, { name, bytes }, pen.size);
    document.fillColor(color);
    const options = { width, continued: index < runs.length - 1, lineGap: pen.size * 0.22 };
    if (index === 0) document.text(text, left, document.y, options);
    else document.text(text, options);
  });
}

/** How wide texts are by their fonts, in thousandths of their size: a table says much more than once. */
const widths = new Map<string, number>();
const MOST_WIDTHS = 20_000;

/** How wide a text is. */
const widthOf = (document: Document, text: string, { face, size }: Pen): number =>
  runsOf(text, face).reduce((sum, run) => sum + runWidth(document, run, size), 0);

function runWidth(document: Document, run: Run, size: number): number {
  const key = `${run.name} ${run.text}`;
  const known = widths.get(key);
  if (known !== undefined) return (known * size) / 1000;
  take(document, run, 1000);
  const width = document.widthOfString(run.text);
  if (widths.size < MOST_WIDTHS) widths.set(key, width);
  return (width * size) / 1000;
}

/** Takes a font, which the paper holds from its first use on. */
function take(document: Document, { name, bytes }: Pick<Run, "name" | "bytes">, size: number): void {
  document
    .registerFont(name, bytes as unknown as string)
    .font(name)
    .fontSize(size);
}

/** One line of text at a place, from its left or up to its right end; shortened where it is too wide. */
function place(
  document: Document,
  text: string,
  { x, y, width, isRight = false }: { x: number; y: number; width: number; isRight?: boolean },
  pen: Pen,
): void {
  const shown = fitted(document, text, width, pen);
  let at = isRight ? x + width - widthOf(document, shown, pen) : x;
  for (const { name, bytes, text: part } of runsOf(shown, pen.face)) {
    take(document, { name, bytes }, pen.size);
    document.fillColor(pen.color).text(part, at, y, { lineBreak: false });
    at += runWidth(document, { name, bytes, text: part }, pen.size);
  }
}

/** As much of a text as fits, word by word: half a figure would be another one. */
function fitted(document: Document, text: string, width: number, pen: Pen): string {
  const fits = (shown: string) => widthOf(document, shown, pen) <= width;
  if (fits(text)) return text;
  const words = text.split(" ");
  while (words.length > 1 && !fits(`${words.join(" ")}…`)) words.pop();
  const characters = [...words.join(" ").replace(/[,·\s]+$/, "")];
  while (characters.length > 1 && !fits(`${characters.join("")}…`)) characters.pop();
  return `${characters.join("")}…`;
}

const bottomOf = ({ page }: Document) => page.height - MARGIN.bottom;

/** Goes to a new page where so much does not fit on this one. */
function keepTogether(document: Document, height: number): void {
  if (document.y + height > bottomOf(document)) document.addPage();
}

function drawTable(document: Document, root: Structure, { name, headings, words, rows }: TableBlock): void {
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

/** A longer heading is shortened; no figure ever is. */
const MOST_OF_HEADING = 84;
const BETWEEN = 12;

/** As wide as what they hold; what is left goes between figures. Where they do not fit, all is written smaller. */
function columnsOf(
  document: Document,
  headings: readonly string[],
  words: number,
  rows: readonly PaperRow[],
): { columns: Column[]; size: number } {
  const strong: Pen = { ...TEXT, face: "strong" };
  const widths = headings.map((heading, column) => {
    const longest = rows.reduce((text, { cells }) => {
      const cell = cells[column] ?? "";
      return cell.length > text.length ? cell : text;
    }, "");
    const ofHeading = Math.min(widthOf(document, heading, strong), MOST_OF_HEADING);
    return Math.max(widthOf(document, longest, strong), ofHeading) + BETWEEN;
  });
  const room = document.page.width - MARGIN.left - MARGIN.right;
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
function drawTally(document: Document, root: Structure, { lines, sum }: TallyBlock): void {
  const half = Math.ceil(lines.length / 2);
  keepTogether(document, (half + 2) * ROW);
  const top = document.y;
  const gap = 18;
  const room = document.page.width - MARGIN.left - MARGIN.right;
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

/** A line over the width of the page, which is there for the eye. */
function rule(document: Document, y: number, color: string): void {
  document.markContent("Artifact", { type: "Layout" });
  document
    .moveTo(MARGIN.left, y)
    .lineTo(document.page.width - MARGIN.right, y)
    .lineWidth(0.8)
    .stroke(color);
  document.endMarkedContent();
}

function drawChart(document: Document, root: Structure, chart: PaperChart): void {
  keepTogether(document, chart.height + 12);
  const { y } = document;
  const small: Pen = { face: "text", size: 8, color: FAINT };
  const figure = document.struct("Figure", { alt: chart.label }, () => {
    document.save().translate(MARGIN.left, y);
    for (const amount of chart.amounts)
      document.moveTo(chart.left, amount.y).lineTo(chart.right, amount.y).lineWidth(0.5).stroke(RULE);
    document.path(chart.ground).fillOpacity(0.1).fill(ACCENT).fillOpacity(1);
    document.path(chart.edge).lineWidth(1.4).stroke(ACCENT);
    document.restore();
    for (const { text, y: at } of chart.amounts)
      place(document, text, { x: MARGIN.left, y: y + at - 5, width: chart.left - 6, isRight: true }, small);
    for (const { text, x } of chart.years)
      place(document, text, { x: MARGIN.left + x - 12, y: y + chart.zero + 5, width: 40 }, small);
  });
  root.add(figure);
  document.x = MARGIN.left;
  document.y = y + chart.height;
}

function drawSignatures(document: Document, root: Structure, who: readonly string[]): void {
  const height = 46;
  keepTogether(document, height * who.length);
  const width = (document.page.width - MARGIN.left - MARGIN.right) * 0.6;
  const small: Pen = { face: "text", size: 8.5, color: FAINT };
  for (const name of who) {
    const at = document.y + height - 14;
    document.markContent("Artifact", { type: "Layout" });
    for (const [from, to] of [
      [MARGIN.left, MARGIN.left + width],
      [MARGIN.left + width + 24, document.page.width - MARGIN.right],
    ] as const)
      document.moveTo(from, at).lineTo(to, at).lineWidth(0.6).stroke(FAINT);
    document.endMarkedContent();
    tagged(document, root, "P", () => {
      place(document, name, { x: MARGIN.left, y: at + 3, width }, small);
      place(document, "Date", { x: MARGIN.left + width + 24, y: at + 3, width: 100 }, small);
    });
    document.x = MARGIN.left;
    document.y = at + 14;
  }
}

/** What stands at the edges of every page: whose it is, about what, and which page of how many. */
function edges(document: Document, { house, about, foot }: Paper): void {
  const { start, count } = document.bufferedPageRange();
  for (let page = start; page < start + count; page++) {
    document.switchToPage(page);
    // What stands in the margins must not begin another page.
    document.page.margins = { ...MARGIN, top: 0, bottom: 0 };
    const [left, width] = [MARGIN.left, document.page.width - MARGIN.left - MARGIN.right];
    document.markContent("Artifact", { type: "Pagination" });
    place(
      document,
      house,
      { x: left, y: 40, width: width / 2 },
      { face: "serifStrong", size: 13, color: ACCENT },
    );
    place(
      document,
      about,
      { x: left + width * 0.36, y: 43, width: width * 0.64, isRight: true },
      { face: "text", size: 8.5, color: FAINT },
    );
    const below = document.page.height - 44;
    const small: Pen = { face: "text", size: 8, color: FAINT };
    place(document, foot, { x: left, y: below, width: width - 90 }, small);
    place(
      document,
      `Page ${page - start + 1} of ${count}`,
      { x: left + width - 90, y: below, width: 90, isRight: true },
      small,
    );
    document.endMarkedContent();
  }
}
