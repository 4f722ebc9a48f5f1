import Papa from "papaparse";
import { isoDate } from "@/core";
import { plainName } from "@/core/programs";
import { type Notation, plainDate, plainFigure, textOfHarmless } from "../notation";
import { BYTE_ORDER_MARK } from "../notation/csv";
import { readDate } from "../text";
import { adjustmentsOfCell, limitsOfCell, namesOfCell } from "./list-cells";
import { PROGRAM_KINDS } from "./program-kinds";
import {
  PROGRAM_COLUMNS,
  RANGE_NAMES,
  RANGES,
  RATES_COLUMNS,
  type RangeName,
  type RatesColumn,
  TELLING,
  TERM_COLUMNS,
} from "./rates-columns";
import { NO_BALLOON } from "./rates-csv";
import { checkRates, pathOf, problemsOf, type ReadRates } from "./read-rates";

type ReadAt = { notation: Notation /** A day number. */; today: number };

/** A program as its lines have it so far. */
type Draft = {
  lender: string;
  program: Record<string, unknown>;
  /** The line that it begins in, its cells, and the lines of the rows of its ranges. */
  line: number;
  cells: ReadonlyMap<string, string>;
  lines: Record<RangeName, number[]>;
};

const MOST_SENTENCES = 20;

/**
 * Reads what lenders offer from CSV: a heading for each column, a line for each range of a program. Amounts, percents and
 * dates may be plain or as a place writes them; where something is wrong, each sentence begins with its line and column.
 */
export function readRatesCsv(text: string, at: ReadAt): ReadRates {
  const table = text.replace(BYTE_ORDER_MARK, "");
  const { data } = Papa.parse<string[]>(table, { delimiter: delimiterOf(table) });
  const [head = [], ...lines] = data;
  const headings = head.map(heading =>
    heading
      .trim()
      .toLowerCase()
      .replace(/[_\s]+/g, " "),
  );
  const place = (line: number, heading: string) =>
    headings.includes(heading)
      ? `Line ${line}, column ${headings.indexOf(heading) + 1} (“${heading}”): `
      : `Line ${line}: `;
  const missing = ["lender", "program", "kind", "currency"].filter(name => !headings.includes(name));
  if (missing.length > 0)
    return refused([`Line 1: the first line must name the columns; ${missing.join(", ")} is missing.`]);
  const unknown = headings.findIndex(
    name => name !== "" && !RATES_COLUMNS.some(each => each.heading === name),
  );
  if (unknown >= 0)
    return refused([`Line 1, column ${unknown + 1}: “${head[unknown]}” is no column of rates.`]);
  const sentences: string[] = [];
  const drafts = new Map<string, Draft>();
  for (const [index, cells] of lines.entries()) {
    if (cells.every(cell => cell.trim() === "")) continue;
    const row = new Map(headings.map((heading, column) => [heading, (cells[column] ?? "").trim()]));
    const problem = takeLine(drafts, row, index + 2, at);
    if (problem) sentences.push(`${place(index + 2, problem.heading)}${problem.sentence}`);
  }
  if (sentences.length > 0) return refused(sentences);
  if (drafts.size === 0) return refused(["The file has no program in it."]);
  return checkedDrafts([...drafts.values()], place);
}

/** What parts the columns, told from the headings: cells can hold any of the signs. */
function delimiterOf(table: string): string {
  const [head = ""] = table.split(/[\r\n]/, 1);
  const count = (sign: string) => head.split(sign).length;
  return [",", ";", "\t"].reduce((most, sign) => (count(sign) > count(most) ? sign : most));
}

const refused = (sentences: string[]): ReadRates => ({
  ok: false,
  sentences: sentences.slice(0, MOST_SENTENCES),
});

type LineProblem = { heading: string; sentence: string };

/** Takes a line into the program that it is of. */
function takeLine(
  drafts: Map<string, Draft>,
  row: ReadonlyMap<string, string>,
  line: number,
  at: ReadAt,
): LineProblem | undefined {
  const [lender, name] = ["lender", "program"].map(heading => textOfHarmless(row.get(heading) ?? "")) as [
    string,
    string,
  ];
  if (lender === "") return { heading: "lender", sentence: "it names no lender." };
  if (name === "") return { heading: "program", sentence: "it names no program." };
  const key = `${plainName(lender)}\n${plainName(name)}`;
  const draft = drafts.get(key) ?? {
    lender,
    program: { name },
    line,
    cells: row,
    lines: { rates: [], residuals: [], balloon: [] },
  };
  const other = PROGRAM_COLUMNS.find(({ heading }) => draft.cells.get(heading) !== row.get(heading));
  if (other)
    return {
      heading: other.heading,
      sentence: `it is “${row.get(other.heading)}” here and “${draft.cells.get(other.heading)}” in line ${draft.line}; the rows of a program must agree.`,
    };
  if (!drafts.has(key)) {
    drafts.set(key, draft);
    const problem = putAll(draft.program, PROGRAM_COLUMNS, row, at);
    if (problem) return problem;
  }
  return takeRanges(draft, row, line, at);
}

function takeRanges(
  draft: Draft,
  row: ReadonlyMap<string, string>,
  line: number,
  at: ReadAt,
): LineProblem | undefined {
  if (row.get("most balloon")?.toLowerCase() === NO_BALLOON) {
    draft.program.balloon ??= [];
    return undefined;
  }
  const ranges = RANGE_NAMES.filter(range => TELLING[range].some(heading => (row.get(heading) ?? "") !== ""));
  if (ranges.length === 0)
    return { heading: "buy rate", sentence: "it has no buy rate, money factor, residual or balloon." };
  for (const range of ranges) {
    const member: Record<string, unknown> = {};
    const problem =
      putAll(member, TERM_COLUMNS, row, at) ??
      putAll(member, RANGES[range] as readonly RatesColumn[], row, at);
    if (problem) return problem;
    draft.program[range] = [...((draft.program[range] as object[] | undefined) ?? []), member];
    draft.lines[range].push(line);
  }
  return undefined;
}

/** Puts what cells say into an object, each at its path. */
function putAll(
  into: Record<string, unknown>,
  columns: readonly RatesColumn[],
  row: ReadonlyMap<string, string>,
  at: ReadAt,
): LineProblem | undefined {
  for (const { heading, path, kind } of columns) {
    const text = row.get(heading) ?? "";
    if (text === "") continue;
    const value = READ[kind](text, at);
    if (value === undefined) return { heading, sentence: `“${text}” is not ${WANTED[kind]}.` };
    let within = into;
    for (const name of path.slice(0, -1)) {
      within[name] ??= {};
      within = within[name] as Record<string, unknown>;
    }
    within[path.at(-1) ?? ""] = value;
  }
  return undefined;
}

const figure = (text: string, { notation }: ReadAt) => {
  const plain = plainFigure(text.replace(/\s*%$/, ""), notation).replace(/[,\s]/g, "");
  return /^\d+(\.\d+)?$/.test(plain) ? plain : undefined;
};

const YES: Readonly<Record<string, boolean>> = { yes: true, true: true, no: false, false: false };

const READ: Record<RatesColumn["kind"], (text: string, at: ReadAt) => unknown> = {
  text: text => textOfHarmless(text),
  kind: text => (text in PROGRAM_KINDS ? text : undefined),
  amount: figure,
  decimal: figure,
  whole: (text, at) => {
    const plain = figure(text, at);
    return plain !== undefined && /^\d+$/.test(plain) ? Number(plain) : undefined;
  },
  date: (text, { notation, today }) => {
    const day = readDate(plainDate(text, notation), { from: today, today, isAfter: false });
    return day === undefined ? undefined : isoDate(day);
  },
  yes: text => YES[text.toLowerCase()],
  limits: limitsOfCell,
  adjustments: adjustmentsOfCell,
  names: text => namesOfCell(textOfHarmless(text)),
};

const WANTED: Record<RatesColumn["kind"], string> = {
  text: "a text",
  kind: `one of ${Object.keys(PROGRAM_KINDS).join(", ")}`,
  amount: "an amount of 0 or more",
  decimal: "a figure of 0 or more",
  whole: "a whole number of 0 or more",
  date: "a date",
  yes: "yes or no",
  limits: "limits such as “115 invoice all”",
  adjustments: "adjustments such as “0.50 above 110 invoice all”",
  names: "names",
};

/** What the lines come to, checked as a file of JSON is, each sentence at its line and column. */
function checkedDrafts(
  drafts: readonly Draft[],
  place: (line: number, heading: string) => string,
): ReadRates {
  const byLender = new Map<string, Draft[]>();
  for (const draft of drafts) {
    const key = plainName(draft.lender);
    byLender.set(key, [...(byLender.get(key) ?? []), draft]);
  }
  const lenders = [...byLender.values()];
  const file = {
    format: "kellux-rates",
    version: 1,
    lenders: lenders.map(all => ({
      name: all[0]?.lender ?? "",
      programs: all.map(({ program }) => program),
    })),
  };
  const at = (path: readonly (string | number)[]) => {
    const draft = lenders[Number(path[1])]?.[Number(path[3])];
    return draft ? placeOfMember(draft, path.slice(4), place) : "";
  };
  const checked = checkRates(file);
  if (!checked.ok) {
    const path = pathOf(checked.at);
    const called = path.join(".");
    const plain = called ? checked.sentence.replace(called, "it") : checked.sentence;
    return refused([`${at(path)}${plain.replace(/^it\./, "")}`]);
  }
  const problems = problemsOf(checked.value.lenders);
  return problems.length === 0
    ? { ok: true, lenders: checked.value.lenders }
    : refused(problems.map(({ path, sentence }) => `${at(path)}${sentence}`));
}

/** Where a member of a program stands in the table. */
function placeOfMember(
  draft: Draft,
  [first, index, ...rest]: readonly (string | number)[],
  place: (line: number, heading: string) => string,
): string {
  if (first === undefined) return place(draft.line, "program");
  const range = RANGE_NAMES.find(name => name === first);
  if (range) {
    const columns: readonly RatesColumn[] = [...TERM_COLUMNS, ...RANGES[range]];
    const line = draft.lines[range][Number(index)] ?? draft.line;
    return place(line, headingOf(columns, rest) ?? TELLING[range].find(Boolean) ?? "");
  }
  const path = [first, ...(index === undefined ? [] : [index]), ...rest];
  return place(draft.line, headingOf(PROGRAM_COLUMNS, path) ?? "");
}

/** The column of a member, or of what it is in. */
const headingOf = (columns: readonly RatesColumn[], path: readonly (string | number)[]): string | undefined =>
  columns.find(column => column.path.every((name, place) => path[place] === name))?.heading ??
  columns.find(column => column.path[0] === path[0])?.heading;
