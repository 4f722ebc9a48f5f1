/**
 * The beginning of a text, with no character cut in half; what is drawn as one, such as a flag or a family, stays whole.
 *
 * @param most how many units of text (UTF-16) there are at the most
 * @example firstCharacters("Ida 🚐", 5) // "Ida "
 */
export function firstCharacters(text: string, most: number): string {
  let end = 0;
  for (const { index, segment } of new Intl.Segmenter().segment(text)) {
    if (index + segment.length <= most) end = index + segment.length;
  }
  return text.slice(0, end);
}
