import { FREQUENCY_NAMES, MOST_PAYMENTS, periodsPerYear, wholeText } from "@/core";
import type { DealInputs } from "@/exchange/deal-file";
import { bad, good, type Reading } from "./field";

/** Reads a term: "72", "6 y", "5.5 years", "5 y 10 m". A bare number counts in the field's own unit. */
export function termReader(
  bareUnit: "payments" | "years",
): <File extends DealInputs>(text: string, file: File) => Reading<File> {
  return (text, file) => {
    const { payments: _, ...plan } = file.plan;
    if (text === "") return good({ ...file, plan });
    const payments = termInPayments(text, bareUnit, periodsPerYear(file.plan.frequency));
    const problem = termProblem(text, payments, bareUnit, file);
    return problem ? bad(problem) : good({ ...file, plan: { ...plan, payments } });
  };
}

function termProblem(
  text: string,
  payments: number | undefined,
  bareUnit: "payments" | "years",
  { plan: { frequency } }: DealInputs,
): string | undefined {
  if (payments === undefined) {
    const example = bareUnit === "years" ? "6, 5.5 or 5 y 10 m" : "72, or 6 y for years";
    return `“${text}” is not a term; type ${example}.`;
  }
  if (!Number.isInteger(payments)) {
    return `“${text}” is not a whole number of ${FREQUENCY_NAMES[frequency].adjective} payments.`;
  }
  if (payments < 1 || payments > MOST_PAYMENTS) {
    return `${payments} is not a possible number of payments; it can be 1 to ${wholeText(MOST_PAYMENTS)}.`;
  }
  return undefined;
}

function termInPayments(text: string, bareUnit: "payments" | "years", perYear: number): number | undefined {
  const bare = /^\d+(\.\d+)?$/.exec(text);
  if (bare) return bareUnit === "years" ? wholeYears(text, perYear) : Number(text);
  const match = /^(?:(\d+(?:\.\d+)?)\s*y(?:ears?|rs?)?)?\s*(?:(\d+)\s*m(?:onths?|os?)?)?$/i.exec(text);
  if (!match || (match[1] === undefined && match[2] === undefined)) return undefined;
  return wholeIfNear(Number(match[1] ?? "0") * perYear + (Number(match[2] ?? 0) * perYear) / 12);
}

/** Years as a plain number; what a whole number of payments shows as is that number again. */
function wholeYears(text: string, perYear: number): number {
  const payments = wholeIfNear(Number(text) * perYear);
  const near = Math.round(payments);
  return yearsFieldText(near, perYear) === text ? near : payments;
}

/** 5.83 years are not 70 months, so only what is exact to a billionth counts as whole. */
function wholeIfNear(payments: number): number {
  return Math.abs(payments - Math.round(payments)) < 1e-9 ? Math.round(payments) : payments;
}

/** "6", "5.5", "5 y 10 m"; where periods are no whole months, years to two decimals. */
export function yearsFieldText(payments: number, perYear: number): string {
  if ((payments * 2) % perYear === 0) return String(payments / perYear);
  const months = (payments * 12) / perYear;
  if (!Number.isInteger(months)) return String(Math.round((payments / perYear) * 100) / 100);
  const years = Math.floor(months / 12);
  return years > 0 ? `${years} y ${months % 12} m` : `${months} m`;
}
