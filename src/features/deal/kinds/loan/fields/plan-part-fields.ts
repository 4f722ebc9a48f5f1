import {
  HIGHEST_BALLOON_PERCENT,
  HIGHEST_STEP_PERCENT,
  MOST_PAYMENTS,
  PLAIN_PART_NAMES,
  type PlainPartName,
  plainPartOf,
  wholeText,
} from "@/core";
import { eachOf, withEachAmount } from "@/exchange/extra-payments/each-extra";
import type { LoanFile } from "@/exchange/kinds/loan";
import { withOptional } from "@/exchange/members";
import { monthName } from "@/exchange/text";
import { foundAmount, readAmount, readPercent, typedAmount } from "../../../fields/amount-text";
import { readTypedDate } from "../../../fields/date-text";
import { bad, good, type LoanField, type Reading } from "../../../fields/field";
import { NO_PLAN_DATE, typedDate } from "../../../fields/shown-date";
import { EARLY_FEE_FIELD } from "./early-fee-field";
import { RETURN_FIELDS, type ReturnFieldName } from "./return-fields";

type PlanFile = LoanFile["plan"];

/** A part of the plan whose figure is typed in one field. */
export type PlanPartFieldName =
  | PlainPartName
  | "balloon"
  | ReturnFieldName
  | "deferred"
  | "roundingStep"
  | "extra"
  | "yearlyExtra"
  | "yearlyExtraFrom"
  | "earlyFee"
  | "twiceMonthlyDays";

/** The date from which money comes each year; of a month with or without its first year, that. */
function yearlyText({ month, from }: { month?: number; from?: string | number } = {}): string {
  if (month === undefined) return typedDate(from === undefined ? undefined : String(from));
  return [monthName(month), from].filter(Boolean).join(" ");
}

const withPlan = (file: LoanFile, plan: PlanFile): Reading<LoanFile> => good({ ...file, plan });
const put = <Key extends keyof PlanFile>(file: LoanFile, key: Key, value: PlanFile[Key]): Reading<LoanFile> =>
  withPlan(file, withOptional(file.plan, key, value));

/** Reads an amount of a part that is there; cleared, the part stays with 0. */
function amountOfPart(
  label: string,
  of: (plan: PlanFile) => string | number | undefined,
  putAmount: (file: LoanFile, amount: string) => Reading<LoanFile>,
): LoanField {
  return {
    label,
    read: (text, file) => {
      if (text === "") return of(file.plan) === undefined ? good(file) : putAmount(file, "0");
      const read = readAmount(text, file.currency);
      return "amount" in read ? putAmount(file, read.amount) : bad(read.sentence);
    },
    show: ({ inputs }) => typedAmount(inputs, of(inputs.plan)),
  };
}

/** Reads a number of payments of a part that is there. */
function countOfPart(
  label: string,
  of: (plan: PlanFile) => number | undefined,
  putCount: (file: LoanFile, count: number) => Reading<LoanFile>,
): LoanField {
  return {
    label,
    typed: "count",
    read: (text, file) => {
      if (text === "" && of(file.plan) === undefined) return good(file);
      const count = /^\d{1,4}$/.test(text) ? Number(text) : 0;
      return count >= 1 && count <= MOST_PAYMENTS
        ? putCount(file, count)
        : bad(`“${text}” is not a number of payments; type one from 1 to ${wholeText(MOST_PAYMENTS)}.`);
    },
    show: ({ inputs }) => String(of(inputs.plan) ?? ""),
  };
}

/** Reads a percent of a part that is there; cleared, the part stays with 0. */
function percentOfPart(
  label: string,
  of: (plan: PlanFile) => string | number | undefined,
  putPercent: (file: LoanFile, percent: string) => Reading<LoanFile>,
): LoanField {
  return {
    label,
    unit: () => "%",
    read: (text, file) => {
      if (text === "") return of(file.plan) === undefined ? good(file) : putPercent(file, "0");
      const percent = readPercent(text);
      return percent === undefined || Number(percent) > HIGHEST_STEP_PERCENT
        ? bad(`“${text}” is not a percent; type one from 0 to ${HIGHEST_STEP_PERCENT}, such as 3.`)
        : putPercent(file, percent);
    },
    show: ({ inputs }) => String(of(inputs.plan) ?? ""),
  };
}

/** The fields of the parts that are one figure. */
function plainFields(): Record<PlainPartName, LoanField> {
  const fields = PLAIN_PART_NAMES.map((name): [string, LoanField] => {
    const { unit, label } = plainPartOf(name);
    const of = (plan: PlanFile) => plan[name];
    const putIt = (file: LoanFile, figure: string | number) => put(file, name, figure as never);
    if (unit === "payments") return [name, countOfPart(label, plan => of(plan) as number | undefined, putIt)];
    return [name, (unit === "money" ? amountOfPart : percentOfPart)(label, of, putIt)];
  });
  return Object.fromEntries(fields) as Record<PlainPartName, LoanField>;
}

/** The fields of the plan's rare parts. */
export const PLAN_PART_FIELDS: Record<PlanPartFieldName, LoanField> = {
  ...plainFields(),
  balloon: {
    label: "Balloon",
    finds: "balloon",
    foundAs: ["balloon"],
    unit: ({ plan, find }) =>
      find !== "balloon" && plan.balloon && "percent" in plan.balloon ? "%" : undefined,
    read: readBalloon,
    beside: ({ inputs, quote }) =>
      inputs.plan.balloon && "percent" in inputs.plan.balloon
        ? foundAmount(inputs, quote?.agreedBalloon)
        : "",
    show: ({ inputs, quote }) => {
      const { balloon } = inputs.plan;
      if (inputs.find === "balloon") return foundAmount(inputs, quote?.agreedBalloon);
      if (!balloon) return "";
      return "percent" in balloon ? String(balloon.percent) : typedAmount(inputs, balloon.amount);
    },
  },
  ...RETURN_FIELDS,
  deferred: countOfPart(
    "No payment at first",
    ({ deferred }) => deferred?.payments,
    (file, payments) => put(file, "deferred", { interest: "accrues", ...file.plan.deferred, payments }),
  ),
  roundingStep: amountOfPart(
    "Rounded in steps of",
    ({ roundingStep }) => roundingStep,
    (file, amount) => put(file, "roundingStep", amount),
  ),
  extra: {
    ...amountOfPart(
      "Extra with every payment",
      ({ extra }) => extra?.each && eachOf(extra.each).amount,
      (file, amount) =>
        put(file, "extra", { ...file.plan.extra, each: withEachAmount(file.plan.extra?.each, amount) }),
    ),
    finds: "extra",
    foundAs: ["extra"],
    beside: ({ inputs: { plan } }) => {
      const { from = 1, to } = plan.extra?.each === undefined ? {} : eachOf(plan.extra.each);
      if (to !== undefined) return `payments ${from} to ${to}`;
      return from > 1 ? `from payment ${from}` : "";
    },
    show: ({ inputs, quote }) =>
      inputs.find === "extra"
        ? foundAmount(inputs, quote?.extraEach)
        : typedAmount(inputs, inputs.plan.extra?.each && eachOf(inputs.plan.extra.each).amount),
  },
  yearlyExtra: amountOfPart(
    "Extra every year",
    ({ extra }) => extra?.yearly?.amount,
    (file, amount) => {
      const yearly = file.plan.extra?.yearly;
      return yearly ? put(file, "extra", { ...file.plan.extra, yearly: { ...yearly, amount } }) : good(file);
    },
  ),
  yearlyExtraFrom: {
    label: "from",
    type: "date",
    read: (text, file) => {
      const yearly = file.plan.extra?.yearly;
      if (!yearly) return good(file);
      const from = readTypedDate(text, file);
      return from === undefined
        ? bad(NO_PLAN_DATE)
        : put(file, "extra", { ...file.plan.extra, yearly: { amount: yearly.amount, from } });
    },
    show: ({ inputs }) => yearlyText(inputs.plan.extra?.yearly),
  },
  earlyFee: EARLY_FEE_FIELD,
  twiceMonthlyDays: {
    label: "Two days of the month",
    typed: "asItIs",
    read: readTwoDays,
    show: ({ inputs }) => (inputs.plan.twiceMonthlyDays ?? []).join(" and "),
  },
};

const TWO_DAYS = /^(\d{1,2})\D+(\d{1,2})$/;

/** The two days of payments twice a month; without them they follow from the first date. */
function readTwoDays(text: string, file: LoanFile): Reading<LoanFile> {
  if (text === "") return put(file, "twiceMonthlyDays", undefined);
  const [, first, second] = TWO_DAYS.exec(text) ?? [];
  const days = [Number(first), Number(second)];
  return days.every(day => day >= 1 && day <= 31)
    ? put(file, "twiceMonthlyDays", days)
    : bad(`“${text}” is not two days of the month; type two such as 1 and 16.`);
}

/** A balloon is typed as an amount or a percent of the price; a percent sign makes it a percent wherever it is typed. */
function readBalloon(text: string, file: LoanFile): Reading<LoanFile> {
  const { balloon } = file.plan;
  const isPercent = balloon !== undefined && "percent" in balloon;
  const kept = balloon?.returnable && { returnable: balloon.returnable };
  if (text === "") {
    if (balloon === undefined) return good(file);
    return put(file, "balloon", isPercent ? { ...kept, percent: "0" } : { ...kept, amount: "0" });
  }
  if (isPercent || text.endsWith("%")) {
    const percent = readPercent(text);
    return percent === undefined || Number(percent) > HIGHEST_BALLOON_PERCENT
      ? bad(`“${text}” is not a percent of the price; type one such as 35.`)
      : put(file, "balloon", { ...kept, percent });
  }
  const read = readAmount(text, file.currency);
  return "amount" in read ? put(file, "balloon", { ...kept, amount: read.amount }) : bad(read.sentence);
}

export const PLAN_PART_FIELD_NAMES = Object.keys(PLAN_PART_FIELDS) as PlanPartFieldName[];
