import { ClipboardCopy, Star } from "lucide-react";
import { lazy, Suspense, useEffect, useState } from "react";
import { type LeaseQuote, type LoanQuote, type MoneyAt, moneyOverTime } from "@/core";
import { harmlessText } from "@/exchange/notation";
import { useSide } from "@/features/dealer-side/side-state";
import { copyText } from "@/features/figures/copy-text";
import { notify } from "@/features/notices/notify";
import { TypedFigure } from "@/features/typing/TypedFigure";
import { useDesk } from "../desk/desk-context";
import { shownQuote } from "../option";
import { useNotation } from "../option/option-context";
import { whenWhole } from "../option/use-kinds";
import { useOptionActions, useOptions } from "../options/use-options";
import { differenceText, figureText, spreadsheetText } from "./figure-text";
import { LineUpChart } from "./LineUpChart";
import {
  type Cell,
  type Column,
  differenceBetween,
  inputRows,
  lineUpRows,
  owedRow,
  type Row,
} from "./line-up";

const DealerRows = lazy(() => import("./DealerRows").then(({ DealerRows: rows }) => ({ default: rows })));

/** One answer is followed once, however often it is drawn. */
const followed = new WeakMap<LoanQuote | LeaseQuote, MoneyAt[]>();
function moneyOf(quote: LoanQuote | LeaseQuote): MoneyAt[] {
  const known = followed.get(quote) ?? moneyOverTime(quote);
  followed.set(quote, known);
  return known;
}

const MONTHS_FIELD = "line-up-months";

/** The options side by side: what each costs, how they differ, and what is paid and owed over time. */
export function LineUp({ dealId }: { dealId: string }) {
  const { state: desk } = useDesk();
  const isSideOpen = useSide();
  const { notation } = useNotation();
  const options = useOptions();
  const { select } = useOptionActions();
  const [compared, setCompared] = useState(desk.chosen);
  const [asked, setAsked] = useState<number | null>(null);
  const columns = options.map(({ id, called, state }): Column => {
    const quote = state.answer.ok ? state.answer.value : null;
    return { id, called, state, money: quote ? moneyOf(quote) : [] };
  });
  const base = Math.max(
    options.findIndex(({ id }) => id === compared),
    0,
  );
  const currency = options[0]?.state.inputs.currency ?? "USD";
  const longest = Math.ceil(Math.max(1, ...columns.map(({ money }) => money.at(-1)?.months ?? 0)));
  const shortest = Math.floor(Math.min(...columns.flatMap(({ money }) => money.at(-1)?.months ?? [])));
  const months = Math.min(asked ?? Math.max(1, Math.floor(shortest / 2)), longest);
  const rows = lineUpRows(columns);
  const owed = owedRow(columns, months);
  const { differing, same } = inputRows(columns);
  const isWaiting = rows.some(({ cells }) =>
    cells.some(({ figure }) => figure?.unit === "words" && figure.text === "…"),
  );
  useEffect(() => {
    // It arrives in the options themselves.
    if (isWaiting) whenWhole(["loan"], () => {});
  }, [isWaiting]);
  const shown = { columns, base, currency, notation };
  return (
    <section aria-label="Line-up" className="card-paper flex min-h-0 flex-1 flex-col overflow-auto">
      <div className="flex flex-wrap items-center gap-x-4 gap-y-1 px-4 py-2">
        <label className="flex items-center gap-2 text-sm">
          <span className="text-faint">compared with</span>
          <select
            className="field w-auto max-w-72"
            value={options[base]?.id}
            onChange={event => setCompared(event.target.value)}
          >
            {options.map(({ id, called }, index) => (
              <option key={id} value={id}>
                {index + 1} · {called}
              </option>
            ))}
          </select>
        </label>
        <div className="flex items-center gap-2 text-sm">
          <label htmlFor={MONTHS_FIELD} className="text-faint">
            owed and paid after
          </label>
          <TypedFigure
            id={MONTHS_FIELD}
            className="w-16"
            shown={String(months)}
            value={months}
            notation={notation}
            read={text =>
              /^\d{1,4}$/.test(text.trim()) && Number(text) <= longest
                ? { value: Number(text) }
                : { sentence: `0 to ${longest}` }
            }
            put={setAsked}
            isOwnUndo
          />
          <span className="text-faint">months, of {longest}</span>
        </div>
        <button
          type="button"
          className="btn btn-ghost btn-sm ml-auto"
          onClick={() => void copyText(asLines([...rows, owed, ...differing], shown, months))}
        >
          <ClipboardCopy size={15} aria-hidden="true" />
          Copy for a spreadsheet
        </button>
        <button
          type="button"
          className="btn btn-ghost btn-sm"
          onClick={async () => {
            const { lineUpTable } = await import("./line-up-table");
            const { saveTable } = await import("@/features/api/tables");
            const trouble = await saveTable(
              lineUpTable([...rows, owed, ...differing], columns, { currency, notation, months }),
            );
            if (trouble) notify.error(trouble);
          }}
        >
          XLSX
        </button>
      </div>
      <div className="shrink-0 overflow-x-auto">
        <table className="w-full border-separate border-spacing-0 text-right">
          <thead>
            <tr className="bg-base-200">
              <th
                scope="col"
                className="sticky left-0 z-10 bg-base-200 px-4 py-1.5 text-left font-normal text-faint text-sm"
              >
                in {currency}
              </th>
              {options.map(({ id, called, isChosen, isOpen }, index) => (
                <th key={id} scope="col" className="min-w-52 px-3 py-1.5 text-right align-bottom font-serif">
                  <button
                    type="button"
                    aria-current={isOpen ? "true" : undefined}
                    className={`cursor-pointer text-right font-semibold ${isOpen ? "underline decoration-2 decoration-primary underline-offset-4" : ""}`}
                    onClick={() => select(id)}
                  >
                    {index + 1} · {called}
                  </button>
                  {isChosen && (
                    <span className="block whitespace-nowrap font-sans text-success text-xs">
                      <Star size={11} aria-hidden="true" className="inline fill-current" /> chosen
                    </span>
                  )}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {isSideOpen && (
              <Suspense fallback={null}>
                <DealerRows
                  dealId={dealId}
                  columns={columns}
                  draw={row => <LineUpRow key={row.name} row={row} {...shown} />}
                />
              </Suspense>
            )}
            {rows.map(row => (
              <LineUpRow key={row.name} row={row} {...shown} />
            ))}
            <LineUpRow row={{ ...owed, name: `Still owed after ${months} months` }} {...shown} />
            {differing.map(row => (
              <LineUpRow key={row.name} row={row} isInput {...shown} />
            ))}
          </tbody>
        </table>
      </div>
      <NoAnswers columns={columns} />
      {same.length > 0 && (
        <details className="px-4 py-2">
          <summary className="cursor-pointer font-semibold text-primary text-sm">
            {same.length === 1 ? "One input is the same" : `${same.length} inputs are the same`}
          </summary>
          <dl className="mt-1 grid max-w-2xl grid-cols-[auto_1fr] gap-x-6 gap-y-0.5 text-sm">
            {same.map(([name, text]) => (
              <SameInput key={name} name={name} text={text} />
            ))}
          </dl>
        </details>
      )}
      <LineUpChart
        columns={columns}
        currency={currency}
        notation={notation}
        months={months}
        longest={longest}
        onMonths={setAsked}
      />
    </section>
  );
}

type Shown = {
  columns: readonly Column[];
  /** The option that the others are compared with. */
  base: number;
  currency: string;
  notation: ReturnType<typeof useNotation>["notation"];
};

/** Rates of a loan and of a lease say different things: they have no difference. */
function areCompared(one: Column | undefined, other: Column | undefined, { figure }: Cell): boolean {
  return figure?.unit !== "percent" || one?.state.kind === other?.state.kind;
}

function LineUpRow({
  row,
  columns,
  base,
  currency,
  notation,
  isInput,
}: Shown & { row: Row; isInput?: boolean }) {
  const { name, cells, isMain } = row;
  const compared = cells[base]?.figure ?? null;
  return (
    <tr>
      <th
        scope="row"
        className={`sticky left-0 z-10 min-w-40 border-base-300 border-t bg-base-100 px-4 py-0.5 text-left font-normal text-faint ${isInput ? "text-sm" : ""}`}
      >
        {capital(name)}
      </th>
      {cells.map((cell, index) => {
        const difference =
          index === base || !areCompared(columns[index], columns[base], cell)
            ? ""
            : differenceText(differenceBetween(cell.figure, compared), currency, notation);
        const text = figureText(cell.figure, currency, notation);
        return (
          <td
            // biome-ignore lint/suspicious/noArrayIndexKey: a cell's place is its option
            key={index}
            // Figures stand under each other, with a difference behind them or without one.
            className={`whitespace-nowrap border-base-300 border-t py-0.5 pl-3 ${difference ? "pr-3" : "pr-25"} ${text === "–" ? "text-faint" : ""} ${isMain ? "font-semibold font-serif text-xl" : ""}`}
          >
            {cell.best && (
              <span className="mr-1.5 font-sans font-semibold text-success text-xs">◂ {cell.best}</span>
            )}
            {text}
            {difference && <Difference text={difference} />}
          </td>
        );
      })}
    </tr>
  );
}

function Difference({ text }: { text: string }) {
  return (
    <span className="inline-block w-22 font-normal font-sans text-faint text-xs">
      <span className="sr-only">difference </span>
      {text}
    </span>
  );
}

function SameInput({ name, text }: { name: string; text: string }) {
  const { say } = useNotation();
  return (
    <>
      <dt className="text-faint">{capital(name)}</dt>
      <dd>{say(text)}</dd>
    </>
  );
}

/** Why an option has no figures. */
function NoAnswers({ columns }: { columns: readonly Column[] }) {
  const { say } = useNotation();
  const without = columns.flatMap(({ id, called, state }) =>
    state.answer.ok
      ? []
      : [{ id, called, sentence: state.answer.failure.sentence, shown: shownQuote(state) }],
  );
  if (without.length === 0) return null;
  return (
    <ul className="px-4 py-1 text-sm text-warning">
      {without.map(({ id, called, sentence }) => (
        <li key={id}>
          {called} has no answer: {say(sentence)}
        </li>
      ))}
    </ul>
  );
}

const capital = (name: string) => name.replace(/^plan: /, "").replace(/^./, first => first.toUpperCase());

/** The line-up as lines with tabs between figures, under headings. */
function asLines(rows: readonly Row[], { columns, currency, notation }: Shown, months: number): string {
  const heading = [`in ${currency}`, ...columns.map(({ called }, index) => `${index + 1} · ${called}`)];
  const lines = rows.map(({ name, cells }) => [
    unitName(name === "Still owed" ? `Still owed after ${months} months` : capital(name), cells),
    ...cells.map(({ figure }) => spreadsheetText(figure, currency, notation)),
  ]);
  return [heading, ...lines].map(cells => cells.map(cellText).join("\t")).join("\n");
}

const unitName = (name: string, cells: readonly Cell[]) =>
  cells.some(({ figure }) => figure?.unit === "percent") ? `${name}, %` : name;

/** What a spreadsheet would take for several cells is text of one, and so is a formula. */
const cellText = (text: string) => harmlessText(text.replace(/[\t\r\n]+/g, " "));
