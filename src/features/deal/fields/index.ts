import type { FoundFigure } from "@/core";
import type { DealFile } from "@/exchange/deal-file";
import type { Field, FieldView, Reading } from "./field";
import { type LineFieldName, lineField } from "./line-fields";
import { PLAN_FIELDS } from "./plan-fields";
import { type PlanLineFieldName, planLineField } from "./plan-lines";
import { PLAN_PART_FIELDS } from "./plan-part-fields";
import { STRUCTURE_FIELDS } from "./structure-fields";

export { type DeskFind, type FieldView, type Reading, withOptional } from "./field";
export { FOUND_NAMES, giveFound } from "./found-figures";
export { type LineFieldName, lineName } from "./line-fields";
export { type PlanListName, planRows, withPlanRows } from "./plan-lines";
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

/** Every place on the deal screen where a figure is typed: one entry says all about it. */
const FIELDS = { ...STRUCTURE_FIELDS, ...PLAN_FIELDS, ...PLAN_PART_FIELDS };

export type FieldName = keyof typeof FIELDS | LineFieldName | PlanLineFieldName;

/** The fields of the structure, in the order of its lines, those of the plan, and those of its rare parts. */
export const STRUCTURE_FIELD_NAMES = Object.keys(STRUCTURE_FIELDS) as (keyof typeof STRUCTURE_FIELDS)[];
export const PLAN_FIELD_NAMES = Object.keys(PLAN_FIELDS) as (keyof typeof PLAN_FIELDS)[];
export const PLAN_PART_FIELD_NAMES = Object.keys(PLAN_PART_FIELDS) as (keyof typeof PLAN_PART_FIELDS)[];

const isPlanLine = (name: FieldName): name is PlanLineFieldName =>
  name.startsWith("steps/") || name.startsWith("once/") || name.startsWith("datedPayments/");

/** All about a field. */
export function fieldOf(name: FieldName): Field {
  if (name in FIELDS) return FIELDS[name as keyof typeof FIELDS];
  const known = LINE_FIELDS.get(name);
  if (known) return known;
  const field = isPlanLine(name) ? planLineField(name) : lineField(name as LineFieldName);
  LINE_FIELDS.set(name, field);
  return field;
}

/** The fields of lines that were asked for, by name. */
const LINE_FIELDS = new Map<FieldName, Field>();

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
export function isFoundIn(name: FieldName, find: FoundFigure): boolean {
  return fieldOf(name).foundAs?.includes(find) ?? false;
}
