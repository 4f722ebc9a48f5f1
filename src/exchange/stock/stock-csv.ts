import Papa from "papaparse";
import { currencyDecimals, formatAmount, parseIsoDate } from "@/core";
import { LONGEST_NAME } from "../deal-document/longest-name";
import { harmlessText, type Notation, spreadsheetAmount, spreadsheetDate, textOfHarmless } from "../notation";
import { BYTE_ORDER_MARK, csvText } from "../notation/csv";
import { readFact } from "./read-fact";
import type { VehicleFile } from "./stock.schema";
import { VEHICLE_COLUMNS, type VehicleColumn } from "./vehicle-columns";

type Heading = "description" | "currency" | VehicleColumn;

/** These a file always has; others where something is told of them. */
const ALWAYS: ReadonlySet<string> = new Set(["priceMinor", "listPriceMinor"]);

/** What a column is called: for the cost, as it was called before there were more. */
const headingText = (heading: Heading) =>
  typeof heading === "string" ? heading : heading.fact === "costMinor" ? "cost" : heading.label.toLowerCase();

/**
 * Writes the stock as CSV: plain for programs, or as a spreadsheet of a place reads it where a notation is given. It has a
 * column for what the dealer alone knows of vehicles only where that of any is told.
 */
export function stockCsv(stock: readonly VehicleFile[], notation?: Notation): string {
  const isTold = ({ fact, isOfDealer }: VehicleColumn) =>
    ALWAYS.has(fact) ||
    stock.some(vehicle => (isOfDealer ? vehicle[fact] !== undefined : vehicle[fact] != null));
  const told = VEHICLE_COLUMNS.filter(isTold);
  const first = told.filter(({ fact }) => fact === "stockNumber");
  const rest = told.filter(({ fact }) => fact !== "stockNumber");
  const headings: Heading[] = [...first, "description", ...rest, "currency"];
  const data = stock.map(vehicle =>
    headings.map(heading => {
      if (typeof heading === "string") return harmlessText(vehicle[heading]);
      return cellText(heading, vehicle, notation);
    }),
  );
  return csvText([headings.map(headingText), ...data], notation);
}

/** A number that a spreadsheet would shorten: of zeros at its beginning, or of more digits than it reckons with. */
const LOSES_DIGITS = /^(0\d+|\d{12,})$/;
const KEPT_DIGITS = /^'(?=\d+$)/;

function cellText({ fact, kind }: VehicleColumn, vehicle: VehicleFile, notation?: Notation): string {
  const value = vehicle[fact] ?? null;
  if (value === null) return "";
  if (kind === "date" && notation) return spreadsheetDate(parseIsoDate(String(value)) ?? 0, notation);
  if (kind === "line" && notation && LOSES_DIGITS.test(String(value))) return `'${value}`;
  if (kind !== "amount") return harmlessText(String(value));
  const decimals = currencyDecimals(vehicle.currency) ?? 2;
  return notation
    ? spreadsheetAmount(Number(value), decimals, notation)
    : formatAmount(Number(value), decimals);
}

/** What a file of vehicles comes to: all of them, or what is wrong with it, line by line. */
type ReadStock = { ok: true; vehicles: VehicleFile[] } | { ok: false; sentences: string[] };

/**
 * Reads vehicles from CSV: a heading for each column, of which the description alone has to be there. Amounts and dates may
 * be plain or as a place writes them. What has no column stays as it is kept.
 *
 * @param house its currency, of vehicles whose line names none, and today, a day number
 */
export function readStockCsv(
  text: string,
  house: { currency: string; today: number },
  notation: Notation,
): ReadStock {
  const { data } = Papa.parse<string[]>(text.replace(BYTE_ORDER_MARK, ""), { skipEmptyLines: "greedy" });
  const [head = [], ...lines] = data;
  const headings = head.map(headingOf);
  if (!headings.includes("description")) {
    return { ok: false, sentences: ["The first line must name the columns, one of them “description”."] };
  }
  const sentences: string[] = [];
  const vehicles = new Map<string, VehicleFile>();
  for (const [index, line] of lines.entries()) {
    const vehicle = readVehicle(headings, line, house, notation);
    if ("sentence" in vehicle) sentences.push(`Line ${index + 2}: ${vehicle.sentence}`);
    else vehicles.set(vehicle.stockNumber ?? `called ${vehicle.description}`, vehicle);
  }
  if (sentences.length > 0) return { ok: false, sentences };
  if (vehicles.size === 0) return { ok: false, sentences: ["The file has no vehicle in it."] };
  return { ok: true, vehicles: [...vehicles.values()] };
}

function headingOf(text: string): Heading | undefined {
  const name = text
    .trim()
    .toLowerCase()
    .replace(/[_\s]+/g, " ")
    .replace(/\.$/, "");
  if (name === "vehicle" || name === "description") return "description";
  if (name === "currency") return "currency";
  return VEHICLE_COLUMNS.find(({ label, also = [] }) => label.toLowerCase() === name || also.includes(name));
}

function readVehicle(
  headings: readonly (Heading | undefined)[],
  line: readonly string[],
  house: { currency: string; today: number },
  notation: Notation,
): VehicleFile | { sentence: string } {
  const cell = (heading: Heading) => (line[headings.indexOf(heading)] ?? "").trim();
  const description = textOfHarmless(cell("description"));
  if (description === "") return { sentence: "it has no description." };
  if (description.length > LONGEST_NAME) {
    return {
      sentence: `its description has ${description.length} letters; at most ${LONGEST_NAME} are kept.`,
    };
  }
  const currency = cell("currency").toUpperCase() || house.currency;
  if (currencyDecimals(currency) === undefined)
    return { sentence: `“${cell("currency")}” is not a currency of ISO 4217.` };
  const facts: Record<string, string | number | null> = {};
  for (const column of headings) {
    if (column === undefined || typeof column === "string") continue;
    const text =
      column.kind === "line" ? textOfHarmless(cell(column)).replace(KEPT_DIGITS, "") : cell(column);
    const read = readFact(column, text, { currency, notation, today: house.today });
    if ("sentence" in read) return read;
    facts[column.fact] = read.value;
  }
  const { priceMinor = null, listPriceMinor = null, ...told } = facts as Partial<VehicleFile>;
  return { description, priceMinor, listPriceMinor, currency, ...told };
}
