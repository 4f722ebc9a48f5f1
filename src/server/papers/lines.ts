import type { Span } from "@/exchange/paper-parts/paper";
import type { Face } from "./fonts";
import { visualParts } from "./visual-order";

/** A piece of a text in one face. */
export type Piece = { text: string; face: Face };

const STRONG: Record<Face, Face> = {
  text: "strong",
  strong: "strong",
  serif: "serifStrong",
  serifStrong: "serifStrong",
};

export const piecesOf = (spans: readonly Span[], face: Face): Piece[] =>
  spans.map(span =>
    typeof span === "string" ? { text: span, face } : { text: span.strong, face: STRONG[face] },
  );

/** A line can end after a space, a hyphen or a dash, and beside every Chinese or Japanese character. */
const WORDS =
  /[\u3000-\u30FF\u3400-\u9FFF\uF900-\uFAFF\uFF00-\uFFEF]|[^\s\u3000-\u30FF\u3400-\u9FFF\uF900-\uFAFF\uFF00-\uFFEF]+[\s]*|\s+/gu;

/**
 * Pieces by lines of at most a width. A word that is wider than that is broken where it must be.
 *
 * @param widthOf how wide a piece is
 */
export function brokenIntoLines(
  pieces: readonly Piece[],
  width: number,
  widthOf: (piece: Piece) => number,
): Piece[][] {
  const lines: Piece[][] = [[]];
  let left = width;
  const add = (piece: Piece) => {
    const line = lines.at(-1);
    const last = line?.at(-1);
    if (last?.face === piece.face) last.text += piece.text;
    else line?.push({ ...piece });
    left -= widthOf(piece);
  };
  /** Begins another line where so much does not fit on this one. */
  const makeRoom = (asked: number) => {
    if (asked <= left || left === width) return;
    lines.push([]);
    left = width;
  };
  for (const word of wordsOf(pieces)) {
    const asked = word.reduce((sum, piece) => sum + widthOf(trimmed(piece)), 0);
    makeRoom(asked);
    for (const piece of asked <= width ? word : word.flatMap(charactersOf)) {
      if (asked > width) makeRoom(widthOf(piece));
      add(piece);
    }
  }
  return lines;
}

const charactersOf = ({ text, face }: Piece): Piece[] =>
  [...text].map(character => ({ text: character, face }));

const trimmed = ({ text, face }: Piece): Piece => ({ text: text.trimEnd(), face });

/** Words with what stands right after them; one may begin in one piece and end in the next. */
function wordsOf(pieces: readonly Piece[]): Piece[][] {
  const words: Piece[][] = [];
  let isOpen = false;
  for (const { text, face } of pieces)
    for (const [word] of text.matchAll(WORDS)) {
      const isJoined = isOpen && !/^\s/.test(word);
      const last = words.at(-1);
      if (isJoined && last) last.push({ text: word, face });
      else words.push([{ text: word, face }]);
      isOpen = !/\s$/.test(word) && word === text.slice(-word.length);
    }
  return words;
}

/** A line's pieces in the order in which they stand, from left to right. */
export function inVisualOrder(line: readonly Piece[]): Piece[] {
  const text = line.map(piece => piece.text).join("");
  return visualParts(text).flatMap(({ from, to }) => {
    let at = 0;
    return line.flatMap(piece => {
      const [start, end] = [Math.max(from - at, 0), Math.min(to - at, piece.text.length)];
      at += piece.text.length;
      return end > start ? [{ text: piece.text.slice(start, end), face: piece.face }] : [];
    });
  });
}
