import type { Field } from "./field";
import { type LineFieldName, lineField } from "./line-fields";
import { type PlanLineFieldName, planLineField } from "./plan-lines";
import { PLAN_PART_FIELDS, type PlanPartFieldName } from "./plan-part-fields";

/** A field of a line, of a rare part of the plan, or of a row of one of its lists. */
export type RareFieldName = PlanPartFieldName | LineFieldName | PlanLineFieldName;

const isPlanPart = (name: RareFieldName): name is PlanPartFieldName => name in PLAN_PART_FIELDS;
const isPlanLine = (name: RareFieldName): name is PlanLineFieldName =>
  name.startsWith("steps/") || name.startsWith("once/") || name.startsWith("datedPayments/");

/** The fields of lines that were asked for, by name. */
const lineFields = new Map<RareFieldName, Field>();

/** All about a field that a plain deal does not have. */
export function rareField(name: RareFieldName): Field {
  if (isPlanPart(name)) return PLAN_PART_FIELDS[name];
  const known = lineFields.get(name);
  if (known) return known;
  const field = isPlanLine(name) ? planLineField(name) : lineField(name);
  lineFields.set(name, field);
  return field;
}
