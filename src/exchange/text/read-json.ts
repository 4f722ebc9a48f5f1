import { HALF_CHARACTER, holdsHalfCharacter } from "./half-character";

/** JSON as it was read, or one sentence on why it is none that is taken. */
type ReadJson = { ok: true; value: unknown } | { ok: false; sentence: string };

/** How many lists and objects may lie one in another; a deal file needs eight. */
const DEEPEST = 64;

const [QUOTE, BACKSLASH] = [0x22, 0x5c];
const OPENING = ["[", "{"];
const CLOSING = ["]", "}"];
const BYTE_ORDER_MARK = 0xfeff;

/**
 * Reads JSON that comes from elsewhere. What looks at every part of it calls itself for each part within: how deep they
 * lie is told from the text, before anything does.
 *
 * @param what what a sentence calls it
 * @example readJson("[1]") // { ok: true, value: [1] }
 */
export function readJson(text: string, what = "This"): ReadJson {
  if (liesDeeper(text, DEEPEST))
    return {
      ok: false,
      sentence: `${what} has lists and objects more than ${DEEPEST} deep, one in another.`,
    };
  try {
    const value: unknown = JSON.parse(text.charCodeAt(0) === BYTE_ORDER_MARK ? text.slice(1) : text);
    return holdsHalfCharacter(text, value) ? { ok: false, sentence: HALF_CHARACTER } : { ok: true, value };
  } catch (error) {
    if (error instanceof SyntaxError) return { ok: false, sentence: `${what} is not JSON.` };
    throw error;
  }
}

/** Whether lists and objects lie so deep; a bracket within quotation marks is text. */
function liesDeeper(text: string, most: number): boolean {
  // Most texts have fewer brackets than that, which is sooner seen than how they lie.
  if (!hasMore(text, OPENING, most)) return false;
  let depth = 0;
  let isQuoted = false;
  for (let place = 0; place < text.length; place++) {
    const unit = text.charCodeAt(place);
    if (unit === QUOTE) isQuoted = !isQuoted;
    else if (isQuoted) place += unit === BACKSLASH ? 1 : 0;
    else if (OPENING.includes(text[place] as string)) depth += 1;
    else if (CLOSING.includes(text[place] as string)) depth -= 1;
    if (depth > most) return true;
  }
  return false;
}

/** Whether some signs stand in a text more often than that. */
function hasMore(text: string, signs: readonly string[], most: number): boolean {
  let left = most;
  for (const sign of signs)
    for (let at = text.indexOf(sign); at >= 0; at = text.indexOf(sign, at + 1)) if (left-- === 0) return true;
  return false;
}
