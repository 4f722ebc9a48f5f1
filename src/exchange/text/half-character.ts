/**
 * Whether JSON holds a half of a character: a surrogate without its other half, which no text in UTF-8 can keep.
 *
 * @param text the JSON, which can only hold one as an escape
 * @param value what was read from it
 * @example holdsHalfCharacter('{"name":"\\ud83d"}', { name: "\ud83d" }) // true
 */
export const holdsHalfCharacter = (text: string, value: unknown): boolean =>
  /\\ud[89a-f]/i.test(text) && isHalfIn(value);

function isHalfIn(value: unknown): boolean {
  if (typeof value === "string") return /\p{Surrogate}/u.test(value);
  if (typeof value !== "object" || value === null) return false;
  return Object.entries(value).some(([name, each]) => isHalfIn(name) || isHalfIn(each));
}

/** Said of such a text. */
export const HALF_CHARACTER = "The text holds half of a character (a surrogate without its other half).";
