import type { Locale } from "../notation";
import type { PaperSize } from "../paper-parts/paper";

/** North America prints on Letter, the rest of the world on A4. */
const LETTER: ReadonlySet<Locale> = new Set(["en-US", "en-CA", "fr-CA"]);

/**
 * The size of paper that is used at a place.
 *
 * @example paperSizeOf("de-DE") // "A4"
 */
export const paperSizeOf = (locale: Locale): PaperSize => (LETTER.has(locale) ? "Letter" : "A4");
