import PDFDocument from "pdfkit";
import { civilDate } from "@/core";
import type { Block, Paper, PaperChart } from "@/exchange/paper-parts/paper";
import { drawBoxes, drawFacts, drawGroup } from "./blocks";
import {
  ACCENT,
  type Document,
  FAINT,
  INK,
  keepTogether,
  MARGIN,
  type Pen,
  RULE,
  roomOf,
  type Structure,
  TEXT,
  tagged,
} from "./page";
import { drawTable, drawTally } from "./table";
import { place, write } from "./text";

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

function draw(document: Document, root: Structure, { title, blocks }: Paper): void {
  tagged(document, root, "H1", () => write(document, [title], { face: "serifStrong", size: 19, color: INK }));
  document.y += 7;
  for (const block of blocks) drawBlock(document, root, block);
}

function drawBlock(document: Document, root: Structure, block: Block): void {
  switch (block.kind) {
    case "heading":
      keepTogether(document, 60);
      tagged(document, root, "H2", () =>
        write(document, [block.text], { face: "serifStrong", size: 14, color: INK }),
      );
      document.y += 5;
      break;
    case "group":
      drawGroup(document, root, block, (parent, each) => drawBlock(document, parent, each));
      break;
    case "boxes":
      drawBoxes(document, root, block);
      break;
    case "facts":
      drawFacts(document, root, block);
      document.y += 6;
      break;
    case "page":
      document.addPage();
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
  const width = roomOf(document) * 0.6;
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
function edges(document: Document, { house, about, foot, letterhead, mark }: Paper): void {
  const { start, count } = document.bufferedPageRange();
  for (let page = start; page < start + count; page++) {
    document.switchToPage(page);
    // What stands in the margins must not begin another page.
    document.page.margins = { ...MARGIN, top: 0, bottom: 0 };
    const [left, width] = [MARGIN.left, roomOf(document)];
    document.markContent("Artifact", { type: "Pagination" });
    const logo = page === start ? drawLogo(document, letterhead.logo) : 0;
    place(
      document,
      house,
      { x: left + logo, y: 40, width: width * 0.36 - logo },
      { face: "serifStrong", size: 13, color: ACCENT },
    );
    if (page === start)
      for (const [index, line] of letterhead.lines.entries())
        place(
          document,
          line,
          { x: left + logo, y: 57 + 10 * index, width: width - logo },
          { face: "text", size: 8, color: FAINT },
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
    if (mark !== undefined) drawMark(document, mark);
    document.endMarkedContent();
  }
}

const LOGO = { width: 110, height: 40 };

/** The house's picture; how much room it takes beside what it is called. */
function drawLogo(document: Document, logo: Uint8Array | undefined): number {
  if (!logo) return 0;
  const picture = Buffer.from(logo);
  // How wide and how high a PNG is stands near its beginning.
  const [dotsWide, dotsHigh] = [picture.readUInt32BE(16), picture.readUInt32BE(20)];
  const fits = Math.min(LOGO.width / dotsWide, LOGO.height / dotsHigh);
  const [width, height] = [dotsWide * fits, dotsHigh * fits];
  document.image(picture, MARGIN.left, 36, { width, height });
  return width + 10;
}

/** Words across the page, behind which all else can be read. */
function drawMark(document: Document, mark: string): void {
  const { width, height } = document.page;
  document.save().rotate(-35, { origin: [width / 2, height / 2] });
  document.fillOpacity(0.14);
  place(
    document,
    mark,
    { x: width / 2 - 250, y: height / 2 - 50, width: 600 },
    { face: "serifStrong", size: 88, color: INK },
  );
  document.fillOpacity(1).restore();
}
