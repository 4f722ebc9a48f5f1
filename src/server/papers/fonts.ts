import { readFileSync } from "node:fs";
import { join } from "node:path";
import { create, type Font } from "fontkit";
import { unpackedFont } from "./unpacked-font";

/** The faces of a paper. */
export type Face = "text" | "strong" | "serif" | "serifStrong";

/** The characters of a face come in subsets, each a file of its own; the first that has a character draws it. */
const SUBSETS = ["latin", "latin-ext", "greek", "cyrillic", "cyrillic-ext", "vietnamese"] as const;

const FACES: Record<Face, { family: string; weight: number }> = {
  text: { family: "source-sans-3", weight: 400 },
  strong: { family: "source-sans-3", weight: 600 },
  serif: { family: "source-serif-4", weight: 400 },
  serifStrong: { family: "source-serif-4", weight: 600 },
};

/** A font that is shipped, with its bytes. */
type Shipped = { name: string; bytes: Buffer; font: Font };

const shipped = new Map<Face, readonly Shipped[]>();

/** The files of a face, read when a paper first needs them. */
function filesOf(face: Face): readonly Shipped[] {
  const known = shipped.get(face);
  if (known) return known;
  const { family, weight } = FACES[face];
  const files = SUBSETS.map(subset => {
    const name = `${family}-${subset}-${weight}-normal`;
    const bytes = unpackedFont(
      readFileSync(join(process.cwd(), "node_modules/@fontsource", family, "files", `${name}.woff`)),
    );
    return { name, bytes, font: create(bytes) as Font };
  });
  shipped.set(face, files);
  return files;
}

/** Which file draws a character; null where none does. */
const drawing: Record<Face, Map<number, Shipped | null>> = {
  text: new Map(),
  strong: new Map(),
  serif: new Map(),
  serifStrong: new Map(),
};

function fileOf(code: number, face: Face): Shipped | null {
  const known = drawing[face].get(code);
  if (known !== undefined) return known;
  const file = filesOf(face).find(({ font }) => font.hasGlyphForCodePoint(code)) ?? null;
  drawing[face].set(code, file);
  return file;
}

/** A piece of a text that one font has all characters of. */
export type Run = { name: string; bytes: Buffer; text: string };

/**
 * A text by the fonts that draw it. What no font has is left out.
 *
 * @example runsOf("Löwe 5 €", "text").map(({ text }) => text) // ["Löwe 5 €"]
 */
export function runsOf(text: string, face: Face): Run[] {
  const runs: Run[] = [];
  for (const character of text.normalize("NFC")) {
    const file = fileOf(character.codePointAt(0) ?? 0, face);
    if (!file) continue;
    const last = runs.at(-1);
    if (last?.name === file.name) last.text += character;
    else runs.push({ name: file.name, bytes: file.bytes, text: character });
  }
  return runs;
}
