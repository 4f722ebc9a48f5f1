// Papers read back by programs that did not write them; where they are not installed, nothing is read.
import { execFileSync, spawnSync } from "node:child_process";
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";

/** Whether papers can be read back here; `npm test` says so loudly where they cannot. */
export const canRead = spawnSync("pdftotext", ["-v"]).status === 0;

function withFile<Value>(bytes: Uint8Array, read: (path: string, folder: string) => Value): Value {
  const folder = mkdtempSync(join(tmpdir(), "kellux-paper-"));
  try {
    const path = join(folder, "paper.pdf");
    writeFileSync(path, bytes);
    return read(path, folder);
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}

const out = (program: string, ...args: string[]) => execFileSync(program, args, { encoding: "utf8" });

export const textOf = (bytes: Uint8Array) => withFile(bytes, path => out("pdftotext", "-layout", path, "-"));
export const infoOf = (bytes: Uint8Array) => withFile(bytes, path => out("pdfinfo", path));
export const fontsOf = (bytes: Uint8Array) => withFile(bytes, path => out("pdffonts", path));
export const structureOf = (bytes: Uint8Array) =>
  withFile(bytes, path => out("pdfinfo", "-struct-text", path));

/** A word with its place on its page, in points from the top left. */
export type Word = {
  text: string;
  page: number;
  box: [left: number, top: number, right: number, bottom: number];
};

/** Every word of a paper where it stands. */
export function wordsOf(bytes: Uint8Array): Word[] {
  const html = withFile(bytes, path => out("pdftotext", "-bbox", path, "-"));
  const words: Word[] = [];
  let page = 0;
  for (const [whole, x1, y1, x2, y2, text = ""] of html.matchAll(
    /<page |<word xMin="([\d.]+)" yMin="([\d.]+)" xMax="([\d.]+)" yMax="([\d.]+)">([^<]*)<\/word>/g,
  )) {
    if (whole === "<page ") page += 1;
    else words.push({ text, page, box: [Number(x1), Number(y1), Number(x2), Number(y2)] });
  }
  return words;
}

/** A picture has so many dots a point: thin strokes are seen. */
const DOTS = 2;

/** Whether there is ink in a place of a page: something darker than half. */
export function inkOf(bytes: Uint8Array): (word: Word) => boolean {
  const pages = withFile(bytes, (path, folder) => {
    execFileSync("pdftoppm", ["-r", String(72 * DOTS), "-gray", path, join(folder, "page")]);
    return out("ls", folder)
      .split("\n")
      .filter(name => name.endsWith(".pgm"))
      .sort()
      .map(name => grayOf(readFileSync(join(folder, name))));
  });
  return ({ page, box: [left, top, right, bottom] }) => {
    const picture = pages[page - 1];
    if (!picture) return false;
    for (let y = Math.floor(top * DOTS); y < bottom * DOTS; y++)
      for (let x = Math.floor(left * DOTS); x < right * DOTS; x++)
        if ((picture.dots[y * picture.width + x] ?? 255) < 160) return true;
    return false;
  };
}

/** A picture in shades of gray (PGM, binary). */
function grayOf(file: Buffer): { width: number; dots: Buffer } {
  const [head = "", width = "0"] = /^P5\s+(\d+)\s+(\d+)\s+(\d+)\s/.exec(file.toString("latin1")) ?? [];
  return { width: Number(width), dots: file.subarray(head.length) };
}
