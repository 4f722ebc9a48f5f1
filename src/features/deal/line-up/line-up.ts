import { type DayNumber, FREQUENCY_NAMES, type MoneyAt, moneyAfter } from "@/core";
import { figuresInWords } from "@/exchange/option-words";
import { rateText } from "@/exchange/text";
import { costOf } from "../kinds/loan/cost-of";
import type { OptionState } from "../option";

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

const money = (minor: number | undefined): Figure => (minor === undefined ? null : { unit: "money", minor });
const words = (text: string | undefined): Figure => (text ? { unit: "words", text } : null);
const percent = (text: string): Figure => ({ unit: "percent", percent: Number(text), text });

const APR_PLACES = 4;

type Pick = (column: Column) => Figure;

/** Picks of loans, which leases have no figure for, and the other way round. */
const ofLoan =
  (pick: (state: Extract<OptionState, { kind: "loan" }>) => Figure): Pick =>
  ({ state }) =>
    state.kind === "loan" ? pick(state) : null;
const ofLease =
  (pick: (state: Extract<OptionState, { kind: "lease" }>) => Figure): Pick =>
  ({ state }) =>
    state.kind === "lease" ? pick(state) : null;

type Answered<State extends OptionState> = Extract<State["answer"], { ok: true }>["value"];
const answered =
  <State extends OptionState>(pick: (answer: Answered<State>) => Figure) =>
  (state: State): Figure =>
    state.answer.ok ? pick(state.answer.value as Answered<State>) : null;

type Loan = Extract<OptionState, { kind: "loan" }>;
type Lease = Extract<OptionState, { kind: "lease" }>;

/** What tells whether the least of a row may be called the best, and among which options. */
type Best = "all" | "owned" | "sameTerms";

type Described = { name: string; pick: Pick; best?: Best; isMain?: true };

const FIGURES: readonly Described[] = [
  {
    name: "Payment",
    pick: ({ state }) => answered(({ payment }) => money(payment))(state),
    best: "sameTerms",
    isMain: true,
  },
  { name: "Payments", pick: ({ state }) => words(paymentsText(state)) },
  {
    name: "Yearly rate",
    pick: ({ state }) =>
      state.kind === "loan"
        ? answered<Loan>(({ yearlyRate }) => percent(yearlyRate))(state)
        : answered<Lease>(({ yearlyRate }) => percent(rateText(yearlyRate)))(state),
  },
  { name: "APR", pick: ofLoan(aprOf), best: "owned" },
  { name: "Loan amount", pick: ofLoan(answered<Loan>(({ loanAmount }) => money(loanAmount))) },
  { name: "Amount financed", pick: ofLoan(answered<Loan>(({ amountFinanced }) => money(amountFinanced))) },
  { name: "Adjusted capitalized cost", pick: ofLease(answered<Lease>(({ cost }) => money(cost))) },
  {
    name: "Due at signing",
    pick: ({ state }) => answered(({ dueAtSigning }) => money(dueAtSigning.total))(state),
    best: "all",
  },
  {
    name: "Finance charge",
    pick: ofLoan(answered<Loan>(({ financeCharge }) => money(financeCharge))),
    best: "owned",
  },
  { name: "Rent charge", pick: ofLease(answered<Lease>(({ rentCharge }) => money(rentCharge))) },
  {
    name: "Implicit rate",
    pick: ofLease(
      answered<Lease>(({ implicitYearlyRate }) => percent(implicitYearlyRate.toFixed(APR_PLACES))),
    ),
  },
  { name: "Total cost", pick: ofLoan(answered<Loan>(({ totalCost }) => money(totalCost))), best: "owned" },
  {
    name: "Total cost, handed back",
    pick: ofLease(answered<Lease>(({ totalIfReturned }) => money(totalIfReturned))),
  },
  {
    name: "Total cost, bought at the end",
    pick: ofLease(answered<Lease>(({ totalIfBought }) => money(totalIfBought))),
  },
  { name: "Owned at the end", pick: ({ state }) => words(ownedText(state)) },
  {
    name: "Ends",
    pick: ({ state }) =>
      answered(({ finalDate }) => (finalDate !== null && { unit: "date", day: finalDate }) || null)(state),
  },
];

/** The rows of a line-up, without those that no option has a figure for. */
export function lineUpRows(columns: readonly Column[]): Row[] {
  return FIGURES.map(described => rowOf(described, columns)).filter(hasFigures);
}

/** What is still owed so many months after signing. */
export function owedRow(columns: readonly Column[], months: number): Row {
  const cells = columns.map(({ money: points, state }): Cell => {
    const last = points.at(-1);
    if (!last) return { figure: null };
    if (state.kind === "lease" && months > last.months) return { figure: words("ended") };
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

function rowOf({ name, pick, best, isMain }: Described, columns: readonly Column[]): Row {
  const figures = columns.map(pick);
  const marks = best ? marksOf(figures, columns, best) : [];
  return {
    name,
    cells: figures.map((figure, index) => ({ figure, ...(marks[index] && { best: marks[index] }) })),
    ...(isMain && { isMain }),
  };
}

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
  if (best === "owned") return [all.filter(index => columns[index]?.state.kind === "loan")];
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

function aprOf({ answer, desk }: Loan): Figure {
  if (!answer.ok) return null;
  const cost = costOf(answer.value, desk);
  if (!cost) return words("…");
  return cost.ok ? percent(cost.value.apr.toFixed(APR_PLACES)) : words("none");
}

function paymentsText({ answer, inputs }: OptionState): string | undefined {
  if (!answer.ok) return undefined;
  const { adjective } = FREQUENCY_NAMES[inputs.plan.frequency];
  return `${answer.value.payments} ${adjective}`;
}

function ownedText(state: OptionState): string | undefined {
  if (!state.answer.ok || state.inputs.structure.purpose !== undefined) return undefined;
  return state.kind === "loan" ? "the vehicle" : "nothing, unless it is bought";
}
