import Papa from "papaparse";
import { currencyDecimals, formatAmount, parseAmount } from "@/core";
import { LONGEST_NAME } from "../deal-document/longest-name";
import { harmlessText, type Notation, plainFigure, spreadsheetAmount, textOfHarmless } from "../notation";
import { BYTE_ORDER_MARK, csvText } from "../notation/csv";
import type { VehicleFile } from "./stock.schema";

const HEADINGS = ["description", "asking price", "cost", "list price", "currency"] as const;

/** What else a column may be called. */
const ALSO: Record<string, (typeof HEADINGS)[number]> = {
  vehicle: "description",
  price: "asking price",
  asking: "asking price",
  "cost to the dealer": "cost",
  list: "list price",
};

const AMOUNTS = { priceMinor: "asking price", costMinor: "cost", listPriceMinor: "list price" } as const;

/**
 * Writes the stock as CSV: plain for programs, or as a spreadsheet of a place reads it where a notation is given. It has a
 * column for what vehicles cost only where that of any is told.
 */
export function stockCsv(stock: readonly VehicleFile[], notation?: Notation): string {
  const withCost = stock.some(({ costMinor }) => costMinor !== undefined);
  const headings = HEADINGS.filter(heading => withCost || heading !== "cost");
  const data = stock.map(({ description, currency, ...amounts }) => {
    const decimals = currencyDecimals(currency) ?? 2;
    const written = Object.entries(AMOUNTS).flatMap(([name, heading]) => {
      if (!headings.includes(heading)) return [];
      const minor = amounts[name as keyof typeof AMOUNTS] ?? null;
      if (minor === null) return "";
      return notation ? spreadsheetAmount(minor, decimals, notation) : formatAmount(minor, decimals);
    });
    return [harmlessText(description), ...written, currency];
  });
  return csvText([headings, ...data], notation);
}

/** What a file of vehicles comes to: all of them, or what is wrong with it, line by line. */
type ReadStock = { ok: true; vehicles: VehicleFile[] } | { ok: false; sentences: string[] };

/**
 * Reads vehicles from CSV: a heading for each column, of which the description alone has to be there. Amounts may be
 * plain or as a place writes them.
 *
 * @param currency of vehicles whose line names none
 */
export function readStockCsv(text: string, currency: string, notation: Notation): ReadStock {
  const { data } = Papa.parse<string[]>(text.replace(BYTE_ORDER_MARK, ""), { skipEmptyLines: "greedy" });
  const [head = [], ...lines] = data;
  const columns = head.map(headingOf);
  if (!columns.includes("description")) {
    return { ok: false, sentences: ["The first line must name the columns, one of them “description”."] };
  }
  const sentences: string[] = [];
  const vehicles = new Map<string, VehicleFile>();
  for (const [index, line] of lines.entries()) {
    const cells = Object.fromEntries(
      columns.map((name, column) => [name ?? "", (line[column] ?? "").trim()]),
    );
    const vehicle = readVehicle(cells, currency, notation, columns.includes("cost"));
    if ("sentence" in vehicle) sentences.push(`Line ${index + 2}: ${vehicle.sentence}`);
    else vehicles.set(vehicle.description, vehicle);
  }
  if (sentences.length > 0) return { ok: false, sentences };
  if (vehicles.size === 0) return { ok: false, sentences: ["The file has no vehicle in it."] };
  return { ok: true, vehicles: [...vehicles.values()] };
}

function headingOf(text: string): (typeof HEADINGS)[number] | undefined {
  const name = text
    .trim()
    .toLowerCase()
    .replace(/[_\s]+/g, " ");
  return HEADINGS.find(heading => heading === name) ?? ALSO[name];
}

function readVehicle(
  cells: Record<string, string>,
  houseCurrency: string,
  notation: Notation,
  hasCosts: boolean,
): VehicleFile | { sentence: string } {
  const description = textOfHarmless(cells.description ?? "");
  if (description === "") return { sentence: "it has no description." };
  if (description.length > LONGEST_NAME) {
    return {
      sentence: `its description has ${description.length} letters; at most ${LONGEST_NAME} are kept.`,
    };
  }
  const currency = cells.currency?.toUpperCase() || houseCurrency;
  const decimals = currencyDecimals(currency);
  if (decimals === undefined) return { sentence: `“${cells.currency}” is not a currency of ISO 4217.` };
  const amounts: Partial<Record<keyof typeof AMOUNTS, number | null>> = {};
  for (const [name, heading] of Object.entries(AMOUNTS)) {
    const text = cells[heading] ?? "";
    const minor =
      text === "" ? null : parseAmount(plainFigure(text, notation).replace(/[,\s]/g, ""), decimals);
    if (minor === undefined) return { sentence: `the ${heading} “${text}” is not an amount of 0 or more.` };
    amounts[name as keyof typeof AMOUNTS] = minor;
  }
  const { priceMinor = null, costMinor = null, listPriceMinor = null } = amounts;
  // Without a column for it, what is kept of it stays.
  return { description, priceMinor, listPriceMinor, currency, ...(hasCosts && { costMinor }) };
}
