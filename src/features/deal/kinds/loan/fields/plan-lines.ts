import { HIGHEST_STEP_PERCENT, MOST_PAYMENTS, wholeText } from "@/core";
import type { LoanFile } from "@/exchange/kinds/loan";
import { foundAmount, readAmount, typedAmount } from "../../../fields/amount-text";
import { readTypedDate } from "../../../fields/date-text";
import { bad, good, type LoanField, type Reading } from "../../../fields/field";
import { NO_PLAN_DATE, typedDate } from "../../../fields/shown-date";
import { type PlanListName, type PlanLists, planRows, withPlanRows } from "./plan-rows";

/** A field of one row of a list of the plan: "steps/0/from". */
export type PlanLineFieldName = `${PlanListName}/${number}/${string}`;

function withRow<List extends PlanListName>(
  file: LoanFile,
  list: List,
  index: number,
  row: PlanLists[List],
): Reading<LoanFile> {
  const rows = planRows(file.plan, list).map((each, k) => (k === index ? row : each));
  return good({ ...file, plan: withPlanRows(file.plan, list, rows) });
}

/** The field of a row. */
export function planLineField(name: PlanLineFieldName): LoanField {
  const [list, place, part] = name.split("/") as [PlanListName, string, string];
  const index = Number(place);
  if (list === "steps") return part === "from" ? stepFrom(index) : stepChange(index);
  return part === "date" ? dateOfRow(list, index) : amountOfRow(list, index);
}

function stepFrom(index: number): LoanField {
  return {
    label: `Step ${index + 1}: from payment`,
    typed: "count",
    read: (text, file) => {
      const step = planRows(file.plan, "steps")[index];
      const from = /^\d{1,4}$/.test(text) ? Number(text) : 0;
      if (!step || from < 2 || from > MOST_PAYMENTS)
        return bad(
          `“${text}” is not the number of a payment; type one from 2 to ${wholeText(MOST_PAYMENTS)}.`,
        );
      return withRow(file, "steps", index, { ...step, from });
    },
    show: ({ inputs }) => String(planRows(inputs.plan, "steps")[index]?.from ?? ""),
  };
}

const PERCENT = /^([+−-]?)\s*(\d{1,4}(?:\.\d{1,8})?)\s*%$/;

/** What a step changes the payment to, or by: "700", "+5 %", "-2.5%". */
function stepChange(index: number): LoanField {
  return {
    label: `Step ${index + 1}: changes to, or by`,
    typed: "asItIs",
    read: (text, file) => {
      const step = planRows(file.plan, "steps")[index];
      const change = readChange(text, file.currency);
      if (typeof change === "string") return bad(change);
      return step ? withRow(file, "steps", index, { from: step.from, ...change }) : good(file);
    },
    show: ({ inputs }) => {
      const step = planRows(inputs.plan, "steps")[index];
      if (!step) return "";
      if ("amount" in step) return typedAmount(inputs, step.amount);
      const percent = String(step.percent);
      return percent.startsWith("-") ? `−${percent.slice(1)} %` : `+${percent} %`;
    },
  };
}

/** An amount, or a percent that has its sign; a sentence where it is neither. */
function readChange(text: string, currency: string): { amount: string } | { percent: string } | string {
  const [, sign, percent] = PERCENT.exec(text) ?? [];
  if (percent === undefined) {
    const read = readAmount(text === "" ? "0" : text, currency);
    return "amount" in read
      ? read
      : `“${text}” is neither an amount nor a percent; type one such as 700 or +5 %.`;
  }
  const isFall = sign === "−" || sign === "-";
  return Number(percent) > (isFall ? 100 : HIGHEST_STEP_PERCENT)
    ? `“${text}” is too much; a payment can fall by 100 % and rise by ${wholeText(HIGHEST_STEP_PERCENT)} %.`
    : { percent: `${isFall ? "-" : ""}${percent}` };
}

/** Extra money comes on a date, or right after a payment. */
const AFTER_PAYMENT = /^(?:after\s+)?(?:payment\s+)?([1-9]\d{0,3})$/i;

const ROW_NAMES = { once: "Extra", datedPayments: "Payment" };

function dateOfRow(list: "once" | "datedPayments", index: number): LoanField {
  return {
    label: `${ROW_NAMES[list]} ${index + 1}: date`,
    type: "date",
    read: (text, file) => {
      const row = planRows(file.plan, list)[index];
      if (!row) return bad(NO_PLAN_DATE);
      const date = readTypedDate(text, file);
      // Without dates money comes after a payment.
      const [, number] = (date === undefined && list === "once" && AFTER_PAYMENT.exec(text)) || [];
      if (number === undefined && date === undefined) return bad(NO_PLAN_DATE);
      const { date: _date, after: _after, ...rest } = { after: undefined, ...row };
      const when = number === undefined ? { date } : { after: Number(number) };
      return withRow(file, list, index, { ...rest, ...when } as typeof row);
    },
    show: ({ inputs }) => {
      const row = planRows(inputs.plan, list)[index];
      return row && "after" in row && row.after !== undefined ? `payment ${row.after}` : typedDate(row?.date);
    },
  };
}

/** An amount; a listed payment without one is what the others leave. */
function amountOfRow(list: "once" | "datedPayments", index: number): LoanField {
  return {
    label: `${ROW_NAMES[list]} ${index + 1}: amount`,
    ...(list === "once" && index === 0 && { finds: "lump", foundAs: ["lump"] as const }),
    read: (text, file) => {
      const row = planRows(file.plan, list)[index];
      if (!row) return good(file);
      if (text === "") {
        const { amount: _, ...open } = row;
        return withRow(file, list, index, list === "once" ? { ...row, amount: "0" } : open);
      }
      const read = readAmount(text, file.currency);
      return "amount" in read
        ? withRow(file, list, index, { ...row, amount: read.amount })
        : bad(read.sentence);
    },
    show: ({ inputs, quote }) => {
      const row = planRows(inputs.plan, list)[index];
      if (list !== "once" || inputs.find !== "lump" || row?.amount !== undefined)
        return typedAmount(inputs, row?.amount);
      return foundAmount(inputs, quote?.filled.plan.extra?.once?.[index]?.amount ?? undefined);
    },
  };
}
