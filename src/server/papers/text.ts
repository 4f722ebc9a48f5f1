import type { Span } from "@/exchange/papers/paper";
import { type Face, type Run, runsOf } from "./fonts";
import { type Document, MARGIN, type Pen } from "./page";

const STRONG: Record<Face, Face> = {
  text: "strong",
  strong: "strong",
  serif: "serifStrong",
  serifStrong: "serifStrong",
};

/** A paragraph that flows over the page's width. */
export function write(document: Document, spans: readonly Span[], pen: Pen): void {
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

/** One line of text at a place, from its left or up to its right end; shortened where it is too wide. */
export function place(
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
