// Workbooks changed and reckoned anew by a spreadsheet program that did not write them, and read by a library that did not either.
import { execFileSync, spawnSync } from "node:child_process";
import { mkdirSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { strFromU8, strToU8, unzipSync, zipSync } from "fflate";
import readSheets from "read-excel-file/node";

/** Whether workbooks can be reckoned here; the checks say so loudly where they cannot. */
export const hasOffice = spawnSync("soffice", ["--version"]).status === 0;

type Files = Record<string, Uint8Array>;
type Values = Record<string, string | number>;

/** Where a name of a workbook stands. */
function placesOf(files: Files): Record<string, { sheet: string; at: string }> {
  const workbook = strFromU8(files["xl/workbook.xml"] as Uint8Array);
  const sheets = [...workbook.matchAll(/<sheet [^>]*name="([^"]+)"/g)].map(([, name]) => name);
  return Object.fromEntries(
    [
      ...workbook.matchAll(/<definedName name="([^"]+)"[^>]*>'?([^'!]+)'?!\$([A-Z]+)\$(\d+)<\/definedName>/g),
    ].map(([, name = "", sheet = "", column, row]) => [
      name,
      { sheet: `xl/worksheets/sheet${sheets.indexOf(sheet) + 1}.xml`, at: `${column}${row}` },
    ]),
  );
}

/** The same workbook with other inputs, by their names, and without anything that was reckoned before. */
export function withInputs(bytes: Uint8Array, values: Values): Uint8Array {
  const files = unzipSync(bytes);
  const places = placesOf(files);
  for (const [name, value] of Object.entries(values)) {
    const place = places[name];
    if (!place) throw new Error(`The workbook has no cell named ${name}.`);
    const xml = strFromU8(files[place.sheet] as Uint8Array);
    const cell = new RegExp(`<c r="${place.at}"( s="\\d+")?[^>]*>.*?</c>`);
    if (!cell.test(xml)) throw new Error(`There is no cell ${place.at}.`);
    files[place.sheet] = strToU8(
      xml.replace(cell, (_, style = "") =>
        typeof value === "number"
          ? `<c r="${place.at}"${style}><v>${value}</v></c>`
          : `<c r="${place.at}"${style} t="inlineStr"><is><t>${value}</t></is></c>`,
      ),
    );
  }
  for (const [path, content] of Object.entries(files))
    if (path.startsWith("xl/worksheets/sheet"))
      files[path] = strToU8(strFromU8(content).replace(/(<f>[^<]*<\/f>)<v>[^<]*<\/v>/g, "$1"));
  return zipSync(files, { level: 1 });
}

/** A workbook as it was reckoned: its rows by sheet, and its named cells. */
export type Reckoned = { sheets: Record<string, unknown[][]>; named: (name: string) => unknown };

/** A process that has reckoned some hundreds has ended before the last. */
const MOST_AT_ONCE = 100;

/** Has workbooks reckoned, many by one process, and reads them. */
export async function reckoned(workbooks: readonly Uint8Array[]): Promise<Reckoned[]> {
  const folder = mkdtempSync(join(tmpdir(), "kellux-office-"));
  try {
    const paths = workbooks.map((bytes, index) => {
      const path = join(folder, `w${index}.xlsx`);
      writeFileSync(path, bytes);
      return path;
    });
    const out = join(folder, "out");
    mkdirSync(out);
    const program = [`-env:UserInstallation=file://${folder}/profile`, "--headless", "--convert-to", "xlsx"];
    for (let from = 0; from < paths.length; from += MOST_AT_ONCE)
      execFileSync("soffice", [...program, "--outdir", out, ...paths.slice(from, from + MOST_AT_ONCE)], {
        stdio: "ignore",
      });
    return await Promise.all(
      workbooks.map(async (bytes, index) => readWorkbook(bytes, join(out, `w${index}.xlsx`))),
    );
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}

async function readWorkbook(given: Uint8Array, path: string): Promise<Reckoned> {
  const places = placesOf(unzipSync(given));
  const all = (await readSheets(readFileSync(path))) as unknown as { sheet: string; data: unknown[][] }[];
  const sheets = Object.fromEntries(all.map(({ sheet, data }) => [sheet, data]));
  const names = all.map(({ sheet }) => sheet);
  return {
    sheets,
    named: name => {
      const place = places[name];
      if (!place) throw new Error(`The workbook has no cell named ${name}.`);
      const [, column = "", row = ""] = /([A-Z]+)(\d+)/.exec(place.at) ?? [];
      const index = Number(/sheet(\d+)/.exec(place.sheet)?.[1]) - 1;
      return sheets[names[index] ?? ""]?.[Number(row) - 1]?.[column.charCodeAt(0) - 65];
    },
  };
}
