import { FREQUENCY_NAMES, MOST_PAYMENTS, periodsPerYear, wholeText } from "@/core";
import type { DealFile } from "@/exchange/deal-file";
import { termText } from "@/exchange/text";
import { bad, good, type Reading } from "./field";

/** Reads a term: "72", "6 y", "5.5 years", "5 y 10 m". A bare number counts payments. */
export function readTerm<File extends DealFile>(text: string, file: File): Reading<File> {
  const { payments: _, ...plan } = file.plan;
  if (text === "") return good({ ...file, plan });
  const payments = termInPayments(text, periodsPerYear(file.plan.frequency));
  const problem = termProblem(text, payments, file);
  return problem ? bad(problem) : good({ ...file, plan: { ...plan, payments } });
}

function termProblem(
  text: string,
  payments: number | undefined,
  { plan: { frequency } }: DealFile,
): string | undefined {
  if (payments === undefined) return `“${text}” is not a term; type 72, or 6 y for years.`;
  if (!Number.isInteger(payments)) {
    return `“${text}” is not a whole number of ${FREQUENCY_NAMES[frequency].adjective} payments.`;
  }
  if (payments < 1 || payments > MOST_PAYMENTS) {
    return `${payments} is not a possible number of payments; it can be 1 to ${wholeText(MOST_PAYMENTS)}.`;
  }
  return undefined;
}

function termInPayments(text: string, perYear: number): number | undefined {
  if (/^\d+(\.\d+)?$/.test(text)) return Number(text);
  const match = /^(?:(\d+(?:\.\d+)?)\s*y(?:ears?|rs?)?)?\s*(?:(\d+)\s*m(?:onths?|os?)?)?$/i.exec(text);
  if (!match || (match[1] === undefined && match[2] === undefined)) return undefined;
  return wholeIfNear(Number(match[1] ?? "0") * perYear + (Number(match[2] ?? 0) * perYear) / 12);
}

/** 5.83 years are not 70 months, so only what is exact to a billionth counts as whole. */
function wholeIfNear(payments: number): number {
  return Math.abs(payments - Math.round(payments)) < 1e-9 ? Math.round(payments) : payments;
}

/** How long some payments take, as it stands beside their number: "6 years". */
export function termBeside(
  payments: number | undefined,
  { frequency }: Pick<DealFile["plan"], "frequency">,
): string {
  return payments ? termText(payments, periodsPerYear(frequency)) : "";
}
