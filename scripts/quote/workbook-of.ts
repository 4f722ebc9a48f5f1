import { existsSync } from "node:fs";
import { writeFile } from "node:fs/promises";
import { parseIsoDate } from "@/core";
import { newId } from "@/exchange/deal-document";
import { forCustomers } from "@/exchange/for-customers";
import { DEFAULT_LOCALE } from "@/exchange/notation";
import { makePaper } from "@/exchange/papers/make-paper";
import { parseDealDocument } from "@/exchange/whole-deal/parse-document";
import { writeXlsx } from "@/server/workbook/write-xlsx";

/**
 * Writes a deal file as a workbook, of what its customer may see.
 *
 * @param out where it is written; a file that is there stays
 * @param only the number of one option; all where left out
 * @returns what is wrong; undefined where it was written
 */
export async function workbookOf(
  text: string,
  out: string,
  only: number | undefined,
): Promise<string | undefined> {
  if (existsSync(out)) return `${out} is there already; name a new file.`;
  const parsed = parseDealDocument(text, newId);
  if (!parsed.ok) return parsed.sentence;
  const { document } = parsed.value;
  const ids = document.options.map(({ id }) => id);
  const options = only === undefined ? ids : ids.slice(only - 1, only);
  if (options.length === 0) return `There is no option ${only}.`;
  const made = makePaper({
    name: "workbook",
    dealId: newId(),
    version: 1,
    deal: forCustomers(document),
    options,
    house: { name: "", settled: {} },
    locale: DEFAULT_LOCALE,
    day: parseIsoDate(new Date().toISOString().slice(0, 10)) ?? 0,
  });
  if (!made.ok) return made.sentence;
  if (!("workbook" in made)) throw new Error("A workbook was asked for.");
  await writeFile(out, await writeXlsx(made.workbook));
  return undefined;
}
