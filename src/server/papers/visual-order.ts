import bidiFactory from "bidi-js";

const bidi = bidiFactory();

/** Writing that goes from right to left. */
const RIGHT_TO_LEFT = /[\u0590-\u08FF\uFB1D-\uFDFF\uFE70-\uFEFF]/;

const goesBothWays = (text: string): boolean => RIGHT_TO_LEFT.test(text);

/** A part of a line that is drawn at once: where it begins and ends in the text. */
type Part = { from: number; to: number };

/**
 * The parts of a line in the order in which they stand, from left to right (Unicode Bidirectional Algorithm, UAX 9): words
 * that are written from right to left come one by one, because a font turns the letters of a word itself.
 *
 * @param line one line of text in a paragraph that goes from left to right
 * @example visualParts("ab").map(({ from, to }) => [from, to]) // [[0, 2]]
 */
export function visualParts(line: string): Part[] {
  if (!goesBothWays(line)) return [{ from: 0, to: line.length }];
  const embedded = bidi.getEmbeddingLevels(line, "ltr");
  const order = Array.from({ length: line.length }, (_, index) => index);
  for (const [from = 0, to = 0] of bidi.getReorderSegments(line, embedded)) {
    const turned = order.slice(from, to + 1).reverse();
    order.splice(from, turned.length, ...turned);
  }
  const isTurned = (index: number) => (embedded.levels[index] ?? 0) % 2 === 1;
  const parts: Part[] = [];
  for (const index of order) {
    const last = parts.at(-1);
    if (!isTurned(index) && last?.to === index && !isTurned(last.from)) last.to = index + 1;
    else if (
      isTurned(index) &&
      last?.from === index + 1 &&
      isTurned(last.from) &&
      !isSpace(line, index, last.from)
    )
      last.from = index;
    else parts.push({ from: index, to: index + 1 });
  }
  return parts;
}

const isSpace = (line: string, ...indexes: number[]) => indexes.some(index => /\s/.test(line[index] ?? ""));
