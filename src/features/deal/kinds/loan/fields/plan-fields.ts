import {
  type DatedPlan,
  firstPaymentDate,
  HIGHEST_YEARLY_RATE,
  isoDate,
  parseIsoDate,
  periodsPerYear,
  wholeText,
} from "@/core";
import type { LoanFile } from "@/exchange/kinds/loan";
import { withOptional } from "@/exchange/members";
import { longDate, termText } from "@/exchange/text";
import { amountReader, foundAmount, readPercent, typedAmount } from "../../../fields/amount-text";
import { datedPlan } from "../../../fields/dated-plan";
import { bad, good, type LoanField, type LoanView, type Reading } from "../../../fields/field";
import { NO_DATE, NO_PLAN_DATE, typedDate } from "../../../fields/shown-date";
import { readTerm, termBeside } from "../../../fields/term-text";

/** The fields of the plan. */
export const PLAN_FIELDS = {
  yearlyRate: {
    label: "Yearly rate",
    finds: "yearlyRate",
    foundAs: ["yearlyRate"],
    unit: () => "%",
    read: readRate,
    show: shownRate,
    say: view => (shownRate(view) === "" ? "" : `${shownRate(view)} %`),
  },
  payments: {
    label: "Number of payments",
    typed: "payments",
    finds: "payments",
    foundAs: ["payments"],
    beside: view => termBeside(shownPayments(view), view.inputs.plan),
    read: readTerm,
    show: view => String(shownPayments(view) ?? ""),
    say: view => {
      const payments = shownPayments(view);
      return payments
        ? `${payments} (${termText(payments, periodsPerYear(view.inputs.plan.frequency))})`
        : "";
    },
  },
  payment: {
    label: "Payment",
    finds: "payment",
    foundAs: ["payment"],
    read: amountReader<LoanFile>((file, payment) => ({
      ...file,
      plan: withOptional(file.plan, "payment", payment),
    })),
    show: ({ inputs, quote }) =>
      inputs.find === "payment"
        ? foundAmount(inputs, quote?.payment)
        : typedAmount(inputs, inputs.plan.payment),
  },
  ...datesOfPlan({ contract: asIso, first: asIso }),
} satisfies Record<string, LoanField>;

export type PlanFieldName = keyof typeof PLAN_FIELDS;

/** The fields of the plan, in the order in which they stand. */
export const PLAN_FIELD_NAMES = Object.keys(PLAN_FIELDS) as PlanFieldName[];

/** Reads the contract date and the first payment's as people type them, as ISO 8601; undefined where a text is no date. */
type DateReaders = {
  contract: (text: string) => string | undefined;
  first: (text: string, file: LoanFile) => string | undefined;
};

/** A date as it stands in a field: before the page is touched nobody types, and the screen starts without more. */
function asIso(text: string): string | undefined {
  return parseIsoDate(text) === undefined ? undefined : text;
}

/** The fields of a plan's dates, by what reads them. */
export function datesOfPlan(reads: DateReaders) {
  return {
    signed: {
      label: "Contract date",
      type: "date",
      read: (text, file) => putDate(file, "signed", text, reads.contract(text)),
      show: ({ inputs }) => typedDate(inputs.plan.signed),
      say: ({ inputs }) => dateText(inputs.plan.signed),
    },
    firstPayment: {
      label: "First payment",
      type: "date",
      // The date that follows from the contract date goes on following from it.
      read: (text, file) => {
        const date = reads.first(text, file);
        return date !== undefined &&
          date === followingDate(datedPlan(file.plan)) &&
          file.plan.firstPayment === undefined
          ? good(file)
          : putDate(file, "firstPayment", text, date);
      },
      show: ({ inputs, deal }) =>
        typedDate(inputs.plan.firstPayment ?? (deal.ok ? followingDate(deal.value.plan) : undefined)),
      say: ({ inputs }) => dateText(inputs.plan.firstPayment) || "one period after the contract",
    },
  } satisfies Record<string, LoanField>;
}

/** The first payment date where none is typed, as ISO 8601; undefined without a contract date. */
function followingDate(plan: DatedPlan): string | undefined {
  const date = firstPaymentDate(plan);
  return date === null ? undefined : isoDate(date);
}

function readRate(text: string, file: LoanFile): Reading<LoanFile> {
  const put = (yearlyRate: string | undefined) =>
    good({ ...file, plan: withOptional(file.plan, "yearlyRate", yearlyRate) });
  if (text === "") return put(undefined);
  const yearlyRate = readPercent(text);
  return yearlyRate === undefined || Number(yearlyRate) > HIGHEST_YEARLY_RATE
    ? bad(
        `“${text}” is not a yearly rate; type a percent from 0 to ${wholeText(HIGHEST_YEARLY_RATE)}, such as 6.49.`,
      )
    : put(yearlyRate);
}

/** Puts a date that was read into the plan; nothing typed takes it out. */
function putDate(
  file: LoanFile,
  field: "signed" | "firstPayment",
  text: string,
  date: string | undefined,
): Reading<LoanFile> {
  if (text !== "" && date === undefined) return bad(field === "signed" ? NO_DATE : NO_PLAN_DATE);
  return good({ ...file, plan: withOptional(file.plan, field, date) });
}

function dateText(iso: string | undefined): string {
  const day = iso === undefined ? undefined : parseIsoDate(iso);
  return day === undefined ? "" : longDate(day);
}

function shownRate({ inputs, quote }: LoanView): string {
  return String((inputs.find === "yearlyRate" ? quote?.yearlyRate : inputs.plan.yearlyRate) ?? "");
}

/** The planned number of payments: typed, or following from what was found. */
function shownPayments({ inputs: { find, from, plan }, quote }: LoanView): number | undefined {
  const follows = find === "payments" || from !== undefined;
  return plan.payments ?? (follows && !plan.datedPayments ? quote?.plannedPayments : undefined);
}
