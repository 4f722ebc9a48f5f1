import { FREQUENCY_NAMES } from "@/core";
import { fileWriter } from "../../../text";
import { partOfPlan, structureFigures, typedOr, type Worded } from "../../kind/worded";
import type { LoanFile } from "../file/file.schema";
import { PLAN_KIND_NAMES, planWords } from "../plan";
import { knownWords } from "./known";

/** Everything that was typed of a loan, by the names of its figures. */
export function loanFigures(inputs: LoanFile): Worded[] {
  const { structure, plan, find, from, currency } = inputs;
  const { money, date } = fileWriter(currency);
  const typed = typedOr(find);
  return [
    ...structureFigures(structure, currency, find),
    ["kind of plan", PLAN_KIND_NAMES[plan.kind]],
    ["yearly rate", typed("yearlyRate", plan.yearlyRate, rate => `${rate} %`)],
    ["number of payments", typed("payments", plan.payments, String)],
    ["how often", FREQUENCY_NAMES[plan.frequency].adjective],
    ["contract date", plan.signed && date(plan.signed)],
    ["first payment", plan.firstPayment && date(plan.firstPayment)],
    ["payment", typed("payment", plan.payment, money)],
    ["payment rounded", plan.rounding === "nearest" ? undefined : plan.rounding],
    ...planWords(plan, currency).map(partOfPlan),
    ["found from", from && knownWords(from, currency)],
  ];
}
