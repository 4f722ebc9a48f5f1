import type { FoundFigure, LeaseFigure } from "@/core";
import type { DealFile } from "@/exchange/deal-file";
import type { Field, FieldView, Reading } from "./field";
import type { LeasePlanFieldName } from "./lease-fields";
import type { LineFieldName, NameOfLineField } from "./line-fields";
import type { LoanKnownFieldName } from "./loan-known";
import type { PlanFieldName } from "./plan-fields";
import type { PlanLineFieldName } from "./plan-lines";
import type { PlanPartFieldName } from "./plan-part-fields";
import { STRUCTURE_FIELDS, type StructureFieldName } from "./structure-fields";

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
} from "../../../exchange/structure/lines";
export type {
  DeskFind,
  FieldView,
  LeaseView,
  LoanFind,
  LoanView,
  Reading,
} from "./field";
export { FOUND_NAMES } from "./found-figures";
export type { LineFieldName } from "./line-fields";
export type { LoanKnownName } from "./loan-known";
export { type PlanListName, planRows, withPlanRows } from "./plan-rows";
export { type DownKind, downKind, isPercentDown } from "./structure-fields";

export type FieldName =
  | StructureFieldName
  | PlanFieldName
  | PlanPartFieldName
  | LoanKnownFieldName
  | LineFieldName
  | NameOfLineField
  | PlanLineFieldName
  | LeasePlanFieldName;

/** The fields of the structure that every deal has, in the order of its lines. */
export const STRUCTURE_FIELD_NAMES = Object.keys(STRUCTURE_FIELDS) as StructureFieldName[];

/** Where the other fields are found, once they are loaded. */
const providers: ((name: string) => Field | undefined)[] = [];

/** Takes more fields: the screen starts without the code for them. */
export function provideFields(fieldNamed: (name: string) => Field | undefined): void {
  if (!providers.includes(fieldNamed)) providers.push(fieldNamed);
}

/** All about a field: one entry says it. */
export function fieldOf(name: FieldName): Field {
  if (name in STRUCTURE_FIELDS) return STRUCTURE_FIELDS[name as StructureFieldName];
  for (const fieldNamed of providers) {
    const field = fieldNamed(name);
    if (field) return field;
  }
  throw new Error(`The field ${name} is not loaded.`);
}

/**
 * Reads what was typed in a field into the deal.
 *
 * @param name where it was typed
 * @param text what was typed; nothing takes the figure out
 * @param file the deal so far
 */
export function readField(name: FieldName, text: string, file: DealFile): Reading {
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
