import type { Block } from "@/exchange/paper-parts/paper";
import {
  ACCENT,
  type Document,
  FAINT,
  GROUND,
  INK,
  keepTogether,
  MARGIN,
  type Pen,
  pageOf,
  RULE,
  roomOf,
  type Structure,
  TEXT,
  tagged,
} from "./page";
import { heightOf, place, widthOf, write } from "./text";

type BlockOf<Kind extends Block["kind"]> = Extract<Block, { kind: Kind }>;

const STRONG: Pen = { ...TEXT, face: "strong" };
const SMALL: Pen = { face: "text", size: 8, color: FAINT };
const PAD = 7;

/** What each of some things comes to, name beside text. */
export function drawFacts(document: Document, root: Structure, { facts }: BlockOf<"facts">): void {
  const list = document.struct("Table");
  root.add(list);
  const names = roomOf(document) * 0.3;
  const texts = { x: MARGIN.left + names + 8, width: roomOf(document) - names - 8 };
  for (const [name, text] of facts) {
    const height = Math.max(
      heightOf(document, [name], STRONG, names),
      heightOf(document, [text], TEXT, texts.width),
    );
    keepTogether(document, height + 3);
    const { y } = document;
    const row = document.struct("TR");
    list.add(row);
    tagged(document, row, "TH", () => write(document, [name], STRONG, { x: MARGIN.left, width: names }));
    document.y = y;
    tagged(document, row, "TD", () => write(document, [text], TEXT, texts));
    row.end();
    document.y = y + height + 3;
  }
  list.end();
}

/** Figures in boxes side by side; the ones that matter most are larger, on a ground. */
export function drawBoxes(document: Document, root: Structure, { figures }: BlockOf<"boxes">): void {
  const gap = 6;
  const width = (roomOf(document) - gap * (figures.length - 1)) / figures.length;
  const inner = width - 2 * PAD;
  const height =
    Math.max(
      ...figures.map(
        ({ name, says }) =>
          heightOf(document, [name], STRONG, inner) + heightOf(document, [says], SMALL, inner),
      ),
    ) +
    24 +
    2 * PAD;
  keepTogether(document, height + 4);
  const { y } = document;
  figures.forEach(({ name, text, says, isLarge = false }, index) => {
    const x = MARGIN.left + index * (width + gap);
    document.markContent("Artifact", { type: "Layout" });
    if (isLarge) document.rect(x, y, width, height).fill(GROUND);
    document
      .rect(x, y, width, height)
      .lineWidth(isLarge ? 1.6 : 0.6)
      .stroke(isLarge ? INK : RULE);
    document.endMarkedContent();
    document.y = y + PAD;
    tagged(document, root, "P", () => {
      write(document, [name], STRONG, { x: x + PAD, width: inner });
      place(
        document,
        text,
        { x: x + PAD, y: document.y, width: inner },
        figurePen(document, text, inner, isLarge),
      );
      document.y += 24;
      write(document, [says], SMALL, { x: x + PAD, width: inner });
    });
  });
  document.x = MARGIN.left;
  document.y = y + height + 8;
}

/** As large as fits: no figure is cut. */
function figurePen(document: Document, text: string, width: number, isLarge: boolean): Pen {
  const pen: Pen = { face: isLarge ? "serifStrong" : "serif", size: isLarge ? 17 : 12, color: INK };
  const asked = widthOf(document, text, pen);
  return asked > width ? { ...pen, size: (pen.size * width) / asked } : pen;
}

const FRAME = 9;

/** What stands together and apart from all else: in a frame, on as many pages as it takes. */
export function drawGroup(
  document: Document,
  root: Structure,
  { name, blocks }: BlockOf<"group">,
  drawBlock: (parent: Structure, block: Block) => void,
): void {
  const section = document.struct("Sect", { title: name });
  root.add(section);
  document.y += FRAME;
  const [first, top] = [pageOf(document), document.y - FRAME];
  for (const block of blocks) drawBlock(section, block);
  section.end();
  const [last, bottom] = [pageOf(document), document.y];
  for (let page = first; page <= last; page++) {
    document.switchToPage(page);
    const from = page === first ? top : MARGIN.top - FRAME;
    const to = page === last ? bottom : document.page.height - MARGIN.bottom + FRAME;
    document.markContent("Artifact", { type: "Layout" });
    document
      .rect(MARGIN.left - FRAME, from, roomOf(document) + 2 * FRAME, to - from)
      .lineWidth(1.2)
      .stroke(ACCENT);
    document.endMarkedContent();
  }
  document.x = MARGIN.left;
  document.y = bottom + FRAME + 4;
}
