import { type DayNumber, FREQUENCY_NAMES, KINDS, kindOf, type MoneyAt, moneyAfter, type Quote } from "@/core";
import { type Best, COMPARED_PARTS, type QuotedFigure } from "@/core/kinds/kind";
import { figuresInWords } from "@/exchange/option-words";
import { rateText } from "@/exchange/text";
import { deskOf, type OptionState } from "../option";

/** An option in the line-up: what it is called, its answer, and what is paid and owed over time. */
export type Column = {
  id: string;
  called: string;
  state: OptionState;
  /** Empty where there is no answer. */
  money: readonly MoneyAt[];
};

/** What stands for one option in a row. */
export type Cell = {
  figure: Figure;
  /** Why it is the best of its row, in words. */
  best?: string;
};

/** A figure of a row: of one unit, so that two of them have a difference; or words. */
export type Figure =
  | { unit: "money"; minor: number }
  | { unit: "percent"; percent: number; text: string }
  | { unit: "date"; day: DayNumber }
  | { unit: "words"; text: string }
  | null;

export type Row = { name: string; cells: readonly Cell[]; isMain?: true };

const money = (minor: number): Figure => ({ unit: "money", minor });
const words = (text: string | undefined): Figure => (text ? { unit: "words", text } : null);
const percent = (text: string): Figure => ({ unit: "percent", percent: Number(text), text });

/** The rows of a line-up, part by part, without those that no option has a figure for. */
export function lineUpRows(columns: readonly Column[]): Row[] {
  const entries = COMPARED_PARTS.flatMap(part => COMPARED.filter(({ compared }) => compared.part === part));
  const names = [...new Set(entries.map(({ name }) => name))];
  return names.map(name => rowOf(name, columns)).filter(hasFigures);
}

type AnyFigure = QuotedFigure<Quote, never>;
type Compared = AnyFigure & { compared: NonNullable<AnyFigure["compared"]> };

const comparedIn = (figures: Readonly<Record<string, AnyFigure>>): Compared[] =>
  Object.values(figures).filter((figure): figure is Compared => figure.compared !== undefined);

/** What options are compared by, of every kind; what has the same name in two kinds is one row. */
const COMPARED = Object.values(KINDS).flatMap(({ figures }) => comparedIn(figures));

/** What is still owed so many months after signing. */
export function owedRow(columns: readonly Column[], months: number): Row {
  const cells = columns.map(({ money: points, state }): Cell => {
    const last = points.at(-1);
    if (!last) return { figure: null };
    if (state.answer.ok && kindOf(state.answer.value.filled).isHandedBack && months > last.months)
      return { figure: words("ended") };
    return { figure: money(moneyAfter(points, months).owed) };
  });
  return { name: "Still owed", cells };
}

/** What was typed: the figures that differ, a row each, and those that are the same, once. */
export function inputRows(columns: readonly Column[]): {
  differing: Row[];
  same: [name: string, text: string][];
} {
  const figures = columns.map(({ state }) => new Map(figuresInWords(state.inputs)));
  const names = [...new Set(figures.flatMap(each => [...each.keys()]))].filter(
    name => !SHOWN_ABOVE.has(name),
  );
  const differing: Row[] = [];
  const same: [string, string][] = [];
  for (const name of names) {
    const texts = figures.map(each => each.get(name));
    const [first] = texts;
    if (texts.every(text => text === first)) same.push([name, first ?? ""]);
    else differing.push({ name, cells: texts.map(text => ({ figure: words(text) })) });
  }
  return { differing, same };
}

const SHOWN_ABOVE = new Set([
  "number of payments",
  "how often",
  "yearly rate",
  "payment",
  "plan: paid",
  "plan: lease",
]);

const hasFigures = ({ cells }: Row) => cells.some(({ figure }) => figure !== null);

function rowOf(name: string, columns: readonly Column[]): Row {
  const figures = columns.map(column => figureIn(name, column));
  const { best, isMain } = COMPARED.find(each => each.name === name)?.compared ?? {};
  const marks = best ? marksOf(figures, columns, best) : [];
  return {
    name,
    cells: figures.map((figure, index) => ({ figure, ...(marks[index] && { best: marks[index] }) })),
    ...(isMain && { isMain }),
  };
}

/** What an option has for a row; nothing where its kind has no such figure, or there is no answer. */
function figureIn(name: string, { state }: Column): Figure {
  if (!state.answer.ok) return null;
  const quote: Quote = state.answer.value;
  const entry = comparedIn(kindOf(quote.filled).figures).find(each => each.name === name);
  if (!entry) return null;
  const rates = deskOf(state).ratesOf?.(quote);
  if (entry.ofRates && !rates) return words("…");
  const value = entry.value({ quote, rates });
  if (value === undefined) return null;
  switch (entry.unit) {
    case "money":
      return money(Number(value));
    case "date":
      return value === null ? null : { unit: "date", day: Number(value) };
    case "payments":
      return words(`${value} ${FREQUENCY_NAMES[quote.filled.plan.frequency].adjective}`);
    case "words":
      return words(String(value));
    default:
      return value === null ? words("none") : percent(percentText(value, entry.places));
  }
}

const percentText = (value: string | number, places: number | undefined): string => {
  if (typeof value === "string") return value;
  return places === undefined ? rateText(value) : value.toFixed(places);
};

/** The least of a row, among the options that can be compared by it; none where they are all the same. */
function marksOf(figures: readonly Figure[], columns: readonly Column[], best: Best): (string | undefined)[] {
  const values = figures.map(amountOf);
  const groups = groupsOf(columns, best).map(group => group.filter(index => values[index] !== undefined));
  const marks: (string | undefined)[] = figures.map(() => undefined);
  const answeredCount = values.filter(value => value !== undefined).length;
  for (const group of groups) {
    const among = group.map(index => values[index] as number);
    const least = Math.min(...among);
    if (among.length < 2 || among.every(value => value === least)) continue;
    const said =
      group.length === answeredCount ? "lowest" : `lowest of ${group.map(index => index + 1).join(", ")}`;
    for (const index of group) if (values[index] === least) marks[index] = said;
  }
  return marks;
}

function groupsOf(columns: readonly Column[], best: Best): number[][] {
  const all = columns.map((_, index) => index);
  if (best === "all") return [all];
  const groups = new Map<string, number[]>();
  for (const index of all) {
    const { state } = columns[index] as Column;
    if (!state.answer.ok) continue;
    const { payments, dueAtSigning } = state.answer.value;
    const terms = `${payments} ${state.inputs.plan.frequency} ${dueAtSigning.total}`;
    groups.set(terms, [...(groups.get(terms) ?? []), index]);
  }
  return [...groups.values()];
}

/** What a figure is compared by. */
function amountOf(figure: Figure): number | undefined {
  if (figure?.unit === "money") return figure.minor;
  return figure?.unit === "percent" ? figure.percent : undefined;
}

/** How far one figure is from another of its unit; nothing where they are not of one, or the same. */
export function differenceBetween(figure: Figure, other: Figure): Figure {
  const [one, two] = [amountOf(figure), amountOf(other)];
  if (one === undefined || two === undefined || figure?.unit !== other?.unit || one === two) return null;
  if (figure?.unit === "money") return { unit: "money", minor: one - two };
  const points = one - two;
  return { unit: "percent", percent: points, text: rateText(Math.abs(points)) };
}
