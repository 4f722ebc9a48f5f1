import { currencyDecimals, formatAmount, parseAmount, parseIsoDate } from "@/core";
import type { ProgramFile } from "../dealer/program.schema";
import { decimalIn, harmlessText, type Notation, spreadsheetAmount, spreadsheetDate } from "../notation";
import { csvText } from "../notation/csv";
import { adjustmentsCell, limitsCell, namesCell } from "./list-cells";
import type { Lender } from "./rates.schema";
import {
  memberAt,
  PROGRAM_COLUMNS,
  RANGE_NAMES,
  RANGES,
  RATES_COLUMNS,
  type RatesColumn,
  rowsOf,
  TERM_COLUMNS,
} from "./rates-columns";

/**
 * Writes what lenders offer as CSV (RFC 4180), one row for each range of each program, its limits as columns: plain for
 * programs, or as a spreadsheet of a place reads it where a notation is given. Columns without an entry are left out.
 */
export function ratesCsv(lenders: readonly Lender[], notation?: Notation): string {
  const rows = lenders.flatMap(({ name, programs }) =>
    programs.flatMap(program => rowsOfProgram(name, program, notation)),
  );
  const columns = RATES_COLUMNS.filter(
    ({ heading }) => isAlways(heading) || rows.some(row => (row.get(heading) ?? "") !== ""),
  );
  const data = rows.map(row => columns.map(({ heading }) => row.get(heading) ?? ""));
  return csvText([columns.map(({ heading }) => heading), ...data], notation);
}

/** These a file always has. */
const ALWAYS = new Set(["lender", "program", "kind", "currency", "from month", "to month", "buy rate"]);
const isAlways = (heading: string) => ALWAYS.has(heading);

function rowsOfProgram(lender: string, program: ProgramFile, notation?: Notation): Map<string, string>[] {
  const { currency } = program;
  const cells = (of: object, columns: readonly RatesColumn[]) =>
    columns.map(column => [column.heading, cellText(memberAt(of, column.path), column, currency, notation)]);
  const common = [
    ["lender", harmlessText(lender)],
    ["program", harmlessText(program.name)],
    ...cells(program, PROGRAM_COLUMNS),
  ];
  const rows = RANGE_NAMES.flatMap(range =>
    rowsOf(program, range).map(row => [...cells(row, TERM_COLUMNS), ...cells(row, RANGES[range])]),
  );
  if (isWithoutBalloon(program)) rows.push([["most balloon", NO_BALLOON]]);
  return rows.map(row => new Map([...common, ...row] as [string, string][]));
}

/** What stands in place of a percent where a program lets nothing be left at the end. */
export const NO_BALLOON = "none";

const isWithoutBalloon = (program: ProgramFile) => program.kind !== "lease" && program.balloon?.length === 0;

function cellText(value: unknown, { kind }: RatesColumn, currency: string, notation?: Notation): string {
  if (value === undefined) return "";
  switch (kind) {
    case "amount": {
      const decimals = currencyDecimals(currency) ?? 2;
      const minor = parseAmount(String(value), decimals) ?? 0;
      return notation ? spreadsheetAmount(minor, decimals, notation) : formatAmount(minor, decimals);
    }
    case "decimal":
      return notation ? decimalIn(String(value), notation) : String(value);
    case "date":
      return notation ? spreadsheetDate(parseIsoDate(String(value)) ?? 0, notation) : String(value);
    case "yes":
      return value === true ? "yes" : "no";
    case "limits":
      return limitsCell(value as never);
    case "adjustments":
      return adjustmentsCell(value as never);
    case "names":
      return harmlessText(namesCell(value as string[]));
    default:
      return harmlessText(String(value));
  }
}
