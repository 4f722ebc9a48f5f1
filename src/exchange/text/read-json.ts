import { HALF_CHARACTER, holdsHalfCharacter } from "./half-character";

/** JSON as it was read, or one sentence on why it is none that is taken. */
export type ReadJson = { ok: true; value: unknown } | { ok: false; sentence: string };

/** How many lists and objects may lie one in another; a deal file needs eight. */
const DEEPEST = 64;

const [QUOTE, BACKSLASH] = [0x22, 0x5c];
const OPENING = new Set([0x5b, 0x7b]);
const CLOSING = new Set([0x5d, 0x7d]);
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
  let depth = 0;
  let isQuoted = false;
  for (let place = 0; place < text.length; place++) {
    const unit = text.charCodeAt(place);
    if (unit === QUOTE) isQuoted = !isQuoted;
    else if (isQuoted) place += unit === BACKSLASH ? 1 : 0;
    else if (OPENING.has(unit)) depth += 1;
    else if (CLOSING.has(unit)) depth -= 1;
    if (depth > most) return true;
  }
  return false;
}
