import type { LoanQuote, Quote } from "@/core";
import { sentenceWriter } from "../kinds/kind/sentence-writer";
import { dateIn, type Notation } from "../notation";
import type { Sheet, SheetNames, Workbook } from "../workbook-parts/workbook";
import { comparisonSheet } from "./comparison-sheet";
import { dateFormatOf } from "./date-formats";
import { guideSheet } from "./guide-sheet";
import { keptSheets } from "./kept-sheets";
import { leaseSheets } from "./lease/lease-sheets";
import { whyLeaseKept } from "./lease/live-lease";
import { loanSheets } from "./loan/loan-sheets";

/** Whose workbook it is, for whom and about what. */
type WorkbookAbout = {
  house: string;
  customer: string;
  vehicle: string;
  day: number;
  notation: Notation;
};

type AnsweredOption = { name: string; quote: Quote };

/**
 * A workbook of answered options: for each a sheet of what was typed and what it comes to and one of its table, by formulas; a
 * comparison where there are several, and a sheet that says which cell means what.
 *
 * @param options one to eight
 */
export function makeWorkbook(
  options: readonly [AnsweredOption, ...AnsweredOption[]],
  about: WorkbookAbout,
): Workbook {
  const [{ quote }] = options;
  const { house, customer, vehicle, day, notation } = about;
  const several = options.length > 1;
  const lines = [
    vehicle || "Figures",
    [customer && `for ${customer}`, house, dateIn(day, notation)].filter(Boolean).join(" · "),
    "An estimate, not a contract. Subject to credit approval.",
  ];
  const sheets = options.map((option, index) => {
    const names: SheetNames = {
      deal: several ? `Option ${index + 1}` : "Deal",
      table: several ? `Table ${index + 1}` : "Table",
      suffix: index === 0 ? "" : `_${index + 1}`,
    };
    const on = several ? [`${option.name}: ${lines[0]}`, ...lines.slice(1)] : lines;
    return { ...names, option, sheets: sheetsOf(option.quote, names, on, notation) };
  });
  return {
    title: [vehicle, customer].filter(Boolean).join(", ") || "Figures",
    author: house,
    day,
    decimals: quote.decimals,
    dateFormat: dateFormatOf(notation.locale),
    sheets: [
      ...(several ? [comparisonSheet(sheets.map(({ option, suffix }) => ({ ...option, suffix })))] : []),
      ...sheets.flatMap(each => each.sheets),
      guideSheet(sheets),
    ],
  };
}

function sheetsOf(quote: Quote, names: SheetNames, about: readonly string[], notation: Notation): Sheet[] {
  const write = sentenceWriter(quote.deal.currency, notation);
  if (quote.kind !== "lease") return loanSheets(quote as LoanQuote, names, about, write);
  const kept = whyLeaseKept(quote);
  return kept.length > 0
    ? keptSheets(quote, names, about, write, kept)
    : leaseSheets(quote, names, about, write);
}
