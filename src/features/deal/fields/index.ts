import type { FoundFigure, LeaseFigure } from "@/core";
import type { DealInputs } from "@/exchange/deal-file";
import { type Field, type FieldView, ofLoan, type Reading } from "./field";
import { PLAN_FIELDS } from "./plan-fields";
import type { RareFieldName } from "./rare-fields";
import { STRUCTURE_FIELDS } from "./structure-fields";

export {
  type DeskFind,
  type FieldView,
  type LeaseView,
  type LoanFind,
  type LoanView,
  type Reading,
  withOptional,
} from "./field";
export { FOUND_NAMES } from "./found-figures";
export type { LineFieldName } from "./line-fields";
export { type PlanListName, planRows, withPlanRows } from "./plan-rows";
export { type DownKind, downKind, isPercentDown } from "./structure-fields";
export {
  asPersonal,
  asVehicle,
  type ChargeBy,
  chargeBy,
  type LineOf,
  type ListName,
  linesOf,
  paidMembers,
  withLine,
  withNewLine,
  withoutLine,
  withTaxAdded,
  withTaxIncluded,
} from "./structure-lines";

/** The fields that every deal has, by name. */
const FIELDS: Record<keyof typeof STRUCTURE_FIELDS | keyof typeof PLAN_FIELDS, Field> = {
  ...STRUCTURE_FIELDS,
  yearlyRate: ofLoan(PLAN_FIELDS.yearlyRate),
  payments: ofLoan(PLAN_FIELDS.payments),
  years: ofLoan(PLAN_FIELDS.years),
  payment: ofLoan(PLAN_FIELDS.payment),
  signed: ofLoan(PLAN_FIELDS.signed),
  firstPayment: ofLoan(PLAN_FIELDS.firstPayment),
};

export type FieldName = keyof typeof FIELDS | RareFieldName;

/** The fields of the structure, in the order of its lines, and those of the plan. */
export const STRUCTURE_FIELD_NAMES = Object.keys(STRUCTURE_FIELDS) as (keyof typeof STRUCTURE_FIELDS)[];
export const PLAN_FIELD_NAMES = Object.keys(PLAN_FIELDS) as (keyof typeof PLAN_FIELDS)[];

/** The fields that a plain deal does not have, once they are loaded. */
let rareFieldOf: ((name: RareFieldName) => Field) | undefined;

/** Takes the fields that a plain deal does not have: the screen starts without the code for them. */
export function provideRareFields(fieldOfName: (name: RareFieldName) => Field): void {
  rareFieldOf = fieldOfName;
}

/** All about a field: one entry says it. */
export function fieldOf(name: FieldName): Field {
  if (name in FIELDS) return FIELDS[name as keyof typeof FIELDS];
  if (!rareFieldOf) throw new Error(`The field ${name} is not loaded.`);
  return rareFieldOf(name as RareFieldName);
}

/**
 * Reads what was typed in a field into the deal.
 *
 * @param name where it was typed
 * @param text what was typed; nothing takes the figure out
 * @param file the deal so far
 */
export function readField(name: FieldName, text: string, file: DealInputs): Reading {
  return fieldOf(name).read(text.trim(), file);
}

/** The figure of a field as it stands in it. */
export function showField(name: FieldName, view: FieldView): string {
  return fieldOf(name).show(view);
}

/** Whether what a field shows is the figure being found. */
export function isFoundIn(name: FieldName, find: FoundFigure | LeaseFigure): boolean {
  return fieldOf(name).foundAs?.includes(find) ?? false;
}
