/**
 * The beginning of a text, with no character cut in half; what is drawn as one, such as a flag or a family, stays whole.
 *
 * @param most how many units of text (UTF-16) there are at the most
 * @example firstCharacters("Ida 🚐", 5) // "Ida "
 */
export function firstCharacters(text: string, most: number): string {
  // Where a character ends is told by the one after it. Taking a text apart costs more than its length: the rest goes first.
  const beginning = text.slice(0, most + LONGEST_UNIT);
  let end = 0;
  characters ??= new Intl.Segmenter();
  for (const { index, segment } of characters.segment(beginning)) {
    if (index + segment.length > most) break;
    end = index + segment.length;
  }
  return beginning.slice(0, end);
}

/** Made once, for that takes longer than what it does. */
let characters: Intl.Segmenter | undefined;

/** How many units of text one code point takes. */
const LONGEST_UNIT = 2;
