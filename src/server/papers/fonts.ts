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

const read = new Map<string, Shipped>();

/** A file of a family, read when a paper first needs it. */
function fileNamed(family: string, subset: string, weight: number): Shipped {
  const name = `${family}-${subset}-${weight}-normal`;
  const known = read.get(name);
  if (known) return known;
  const bytes = unpackedFont(readFileSync(join(folderOf(family), "files", `${name}.woff`)));
  const file = { name, bytes, font: create(bytes) as Font };
  read.set(name, file);
  return file;
}

const folderOf = (family: string) => join(process.cwd(), "node_modules/@fontsource", family);

/** A family for writing that the faces have no letters of, and the subset that may have a character. */
type Beside = { family: string; subsetOf: (code: number) => string | undefined };

const between = (from: number, to: number) => (code: number) => code >= from && code <= to;
const isHebrew = [between(0x590, 0x5ff), between(0xfb1d, 0xfb4f)];
const isArabic = [
  between(0x600, 0x6ff),
  between(0x750, 0x77f),
  between(0x8a0, 0x8ff),
  between(0xfb50, 0xfdff),
  between(0xfe70, 0xfeff),
];

const BESIDE: readonly Beside[] = [
  {
    family: "noto-sans-hebrew",
    subsetOf: code => (isHebrew.some(is => is(code)) ? "hebrew" : undefined),
  },
  {
    family: "noto-sans-arabic",
    subsetOf: code => (isArabic.some(is => is(code)) ? "arabic" : undefined),
  },
  { family: "noto-sans-jp", subsetOf: code => japaneseSubsets().get(code) },
];

/** Light and bold of the families beside. */
const WEIGHTS: Record<Face, number> = { text: 400, strong: 600, serif: 400, serifStrong: 600 };

let japanese: Map<number, string> | undefined;

/** Japanese comes in more than a hundred numbered subsets: which has a character, as its family says. */
function japaneseSubsets(): Map<number, string> {
  if (japanese) return japanese;
  japanese = new Map();
  const ranges = JSON.parse(readFileSync(join(folderOf("noto-sans-jp"), "unicode.json"), "utf8")) as Record<
    string,
    string
  >;
  for (const [key, list] of Object.entries(ranges)) {
    const [, subset] = /^\[(\d+)\]$/.exec(key) ?? [];
    if (subset === undefined) continue;
    for (const range of list.split(",")) {
      const [from = "", to = from] = range.replace("U+", "").split("-");
      for (let code = Number.parseInt(from, 16); code <= Number.parseInt(to, 16); code++)
        if (!japanese.has(code)) japanese.set(code, subset);
    }
  }
  return japanese;
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
  const file = ownFile(code, face) ?? fileBeside(code, face);
  drawing[face].set(code, file);
  return file;
}

function ownFile(code: number, face: Face): Shipped | undefined {
  const { family, weight } = FACES[face];
  return SUBSETS.map(subset => fileNamed(family, subset, weight)).find(({ font }) =>
    font.hasGlyphForCodePoint(code),
  );
}

function fileBeside(code: number, face: Face): Shipped | null {
  for (const { family, subsetOf } of BESIDE) {
    const subset = subsetOf(code);
    const file = subset === undefined ? undefined : fileNamed(family, subset, WEIGHTS[face]);
    if (file?.font.hasGlyphForCodePoint(code)) return file;
  }
  return null;
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

/** Marks that join or select and have no shape of their own. */
const SHAPELESS = /\p{Cf}|\p{Cc}|[\uFE00-\uFE0F]/u;

/**
 * The characters of a text that no font has, each once.
 *
 * @example undrawn("A van 🚐") // ["🚐"]
 */
export const undrawn = (text: string): string[] => [
  ...new Set(
    [...text.normalize("NFC")].filter(
      character => !SHAPELESS.test(character) && !fileOf(character.codePointAt(0) ?? 0, "text"),
    ),
  ),
];
