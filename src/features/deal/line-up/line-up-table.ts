import { currencyDecimals } from "@/core";
import { inNotation, type Notation } from "@/exchange/notation";
import type { TableCell, TableFile } from "@/exchange/workbook/table.schema";
import { localToday } from "@/features/figures/today";
import type { Column, Figure, Row } from "./line-up";

type Shown = { currency: string; notation: Notation; months: number };

/** The line-up as a table: options side by side, figures as figures. */
export function lineUpTable(
  rows: readonly Row[],
  columns: readonly Column[],
  { currency, notation, months }: Shown,
): TableFile {
  const decimals = currencyDecimals(currency) ?? 2;
  const cell = (figure: Figure): TableCell => {
    switch (figure?.unit) {
      case "money":
        return { number: figure.minor / 10 ** decimals, as: "amount" };
      case "percent":
        return { number: figure.percent, as: "rate" };
      case "date":
        return { number: figure.day, as: "date" };
      case "words":
        return inNotation(figure.text, notation);
      default:
        return null;
    }
  };
  return {
    name: "Line-up",
    day: localToday(),
    decimals,
    locale: notation.locale,
    headings: [`in ${currency}`, ...columns.map(({ called }, index) => `${index + 1} · ${called}`)],
    rows: rows.map(({ name, cells }) => [
      name === "Still owed" ? `Still owed after ${months} months` : nameOf(name, cells),
      ...cells.map(({ figure }) => cell(figure)),
    ]),
  };
}

function nameOf(name: string, cells: Row["cells"]): string {
  const called = name.replace(/^plan: /, "").replace(/^./, first => first.toUpperCase());
  return cells.some(({ figure }) => figure?.unit === "percent") ? `${called}, %` : called;
}
