import { useEffect, useRef } from "react";
import { addMonths, isoDate, type LoanQuote, parseIsoDate } from "@/core";
import type { LoanFile } from "@/exchange/kinds/loan";
import { amountIn, dateIn, type Notation } from "@/exchange/notation";
import type { FieldName } from "../../../fields";
import { shownQuote } from "../../../option";
import { useNotation, useOptionOf } from "../../../option/option-context";
import { FigureField } from "../../../parts/FigureField";
import { fieldId } from "../../../parts/field-id";
import { type PlanListName, planRows, withPlanRows } from "../fields/plan-rows";

type PlanFile = LoanFile["plan"];
type Part = "from" | "change" | "date" | "amount";

type TableOf = {
  title: string;
  columns: readonly [Part, string][];
  /** A row after the last one, or after nothing. */
  next: (plan: PlanFile) => never;
  another: string;
};

const nextDate = (last: string | undefined, plan: PlanFile) => {
  const day = parseIsoDate(last ?? plan.signed ?? "") ?? 0;
  return isoDate(addMonths(day, 1));
};

const TABLES: Record<PlanListName, TableOf> = {
  steps: {
    title: "Steps: the payment changes from one payment on",
    columns: [
      ["from", "from payment"],
      ["change", "changes to, or by"],
    ],
    next: plan => ({ from: Math.min((plan.steps?.at(-1)?.from ?? 1) + 12, 1200), percent: "5" }) as never,
    another: "another step",
  },
  once: {
    title: "Extras on a date",
    columns: [
      ["date", "on"],
      ["amount", "amount"],
    ],
    next: plan => ({ date: nextDate(plan.extra?.once?.at(-1)?.date, plan), amount: "0" }) as never,
    another: "another extra",
  },
  datedPayments: {
    title: "Listed payments: one without an amount is found",
    columns: [
      ["date", "on"],
      ["amount", "amount"],
    ],
    next: plan => ({ date: nextDate(plan.datedPayments?.at(-1)?.date, plan), amount: "0" }) as never,
    another: "another payment",
  },
};

/** A small table that is edited in place: Enter adds a row, Delete in an empty field takes its row out. */
export function PlanTable({ list }: { list: PlanListName }) {
  const { option, act } = useOptionOf("loan");
  const { notation } = useNotation();
  const quote = shownQuote(option);
  const { plan } = option.inputs;
  const { title, columns, next, another } = TABLES[list];
  const rows = planRows(plan, list);
  const isAdding = useRef(false);
  const first = columns[0]?.[0] ?? "date";
  useEffect(() => {
    if (!isAdding.current) return;
    isAdding.current = false;
    document.getElementById(fieldId(`${list}/${rows.length - 1}/${first}`))?.focus();
  }, [list, rows.length, first]);
  const add = () => {
    isAdding.current = true;
    act({ type: "plan", change: now => withPlanRows(now, list, [...planRows(now, list), next(now)]) });
  };
  const takeOut = (index: number) =>
    act({
      type: "plan",
      change: now =>
        withPlanRows(
          now,
          list,
          planRows(now, list).filter((_, k) => k !== index),
        ),
      forget: list,
    });
  return (
    <div className="col-span-full">
      <table className="w-full max-w-xl text-left text-sm">
        <caption className="pb-0.5 text-left text-faint">{title}</caption>
        <thead className="bg-base-200">
          <tr>
            {columns.map(([part, name]) => (
              <th key={part} scope="col" className="px-2 py-0.5 font-semibold">
                {name}
              </th>
            ))}
            {list === "steps" && (
              <th scope="col" className="px-2 py-0.5 text-right font-semibold">
                payment
              </th>
            )}
            <th scope="col" className="sr-only">
              remove
            </th>
          </tr>
        </thead>
        <tbody>
          {rows.map((row, index) => (
            <tr
              // biome-ignore lint/suspicious/noArrayIndexKey: a row has no other identity than its place.
              key={index}
              onKeyDown={event => {
                if (event.key === "Enter") {
                  event.preventDefault();
                  add();
                } else if (event.key === "Delete" && (event.target as HTMLInputElement).value === "") {
                  event.preventDefault();
                  takeOut(index);
                }
              }}
            >
              {columns.map(([part]) => (
                <td key={part} className="w-40 px-1 py-0.5 align-top">
                  <FigureField field={`${list}/${index}/${part}` as FieldName} hideLabel />
                </td>
              ))}
              {list === "steps" && (
                <td className="px-2 text-right">{stepText(quote, row as Step, notation)}</td>
              )}
              <td className="px-1">
                <button
                  type="button"
                  aria-label={`Remove row ${index + 1}`}
                  className="cursor-pointer text-primary underline decoration-dotted underline-offset-2"
                  onClick={() => takeOut(index)}
                >
                  remove
                </button>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="flex max-w-xl justify-between text-sm">
        <button type="button" className="cursor-pointer font-semibold text-primary" onClick={add}>
          + {another}
        </button>
        <span className="text-faint">Enter adds one, Delete in an empty field takes one out</span>
      </p>
    </div>
  );
}

type Step = NonNullable<PlanFile["steps"]>[number];

/** What is paid from a step on, and from when. */
function stepText(quote: LoanQuote | null, { from }: Step, notation: Notation): string {
  const row = quote?.schedule.find(({ number, kind }) => number === from && kind !== "extra");
  if (!quote || !row) return "–";
  const date = row.date === null ? "" : `${dateIn(row.date, notation)}: `;
  return `${date}${amountIn(row.payment, quote.deal.currency, notation)}`;
}
