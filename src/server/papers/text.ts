import type { Span } from "@/exchange/paper-parts/paper";
import { type Run, runsOf } from "./fonts";
import { brokenIntoLines, inVisualOrder, type Piece, piecesOf } from "./lines";
import { bottomOf, type Document, MARGIN, type Pen, roomOf } from "./page";

/** Where a paragraph stands on the page, and how wide it may be. */
type Column = { x: number; width: number };

/** From one line to the next, and from a line's top to where its letters stand, in parts of their size. */
const LINE = 1.5;
const ASCENT = 1.024;

/** A paragraph that flows over a width; the page's where left out. */
export function write(document: Document, spans: readonly Span[], pen: Pen, column?: Column): void {
  const { x, width } = column ?? { x: MARGIN.left, width: roomOf(document) };
  const widthOfPiece = ({ text, face }: Piece) => widthOf(document, text, { ...pen, face });
  for (const line of brokenIntoLines(piecesOf(spans, pen.face), width, widthOfPiece)) {
    if (!column && document.y + pen.size * LINE > bottomOf(document)) document.addPage();
    drawPieces(document, line, { x, y: document.y }, pen);
    document.y += pen.size * LINE;
  }
  document.x = MARGIN.left;
}

/** How high a paragraph is over a width. */
export const heightOf = (document: Document, spans: readonly Span[], pen: Pen, width: number): number =>
  brokenIntoLines(piecesOf(spans, pen.face), width, ({ text, face }) =>
    widthOf(document, text, { ...pen, face }),
  ).length *
  pen.size *
  LINE;

/** How wide texts are by their fonts, in thousandths of their size: a table says much more than once. */
const widths = new Map<string, number>();
const MOST_WIDTHS = 20_000;

/** How wide a text is. */
export const widthOf = (document: Document, text: string, { face, size }: Pen): number =>
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

/** Draws one line of pieces; letters of every font stand on one line. */
function drawPieces(
  document: Document,
  line: readonly Piece[],
  { x, y }: { x: number; y: number },
  pen: Pen,
): void {
  const top = document.y;
  let at = x;
  for (const { text, face } of inVisualOrder(line))
    for (const run of runsOf(text, face)) {
      take(document, run, pen.size);
      document
        .fillColor(pen.color)
        .text(run.text, at, y + pen.size * ASCENT, { lineBreak: false, baseline: "alphabetic" });
      at += runWidth(document, run, pen.size);
    }
  document.y = top;
}

/** One line of text at a place, from its left or up to its right end; shortened where it is too wide. */
export function place(
  document: Document,
  text: string,
  { x, y, width, isRight = false }: { x: number; y: number; width: number; isRight?: boolean },
  pen: Pen,
): void {
  const shown = fitted(document, text, width, pen);
  const at = isRight ? x + width - widthOf(document, shown, pen) : x;
  drawPieces(document, [{ text: shown, face: pen.face }], { x: at, y }, pen);
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
