import type { Figure } from "@/core";
import { type Field, ofLease, ofLoan } from "./field";
import { LEASE_FIELDS, type LeasePlanFieldName } from "./lease-fields";
import { type LineFieldName, lineField } from "./line-fields";
import { type PlanLineFieldName, planLineField } from "./plan-lines";
import { PLAN_PART_FIELDS, type PlanPartFieldName } from "./plan-part-fields";

/** A field of a line, of a rare part of the plan, of a row of one of its lists, or of a lease. */
export type RareFieldName = PlanPartFieldName | LineFieldName | PlanLineFieldName | LeasePlanFieldName;

const isPlanPart = (name: RareFieldName): name is PlanPartFieldName => name in PLAN_PART_FIELDS;
const isPlanLine = (name: RareFieldName): name is PlanLineFieldName =>
  name.startsWith("steps/") || name.startsWith("once/") || name.startsWith("datedPayments/");

/** The fields that were asked for, by name. */
const fields = new Map<RareFieldName, Field>();

/** All about a field that a plain deal does not have. */
export function rareField(name: RareFieldName): Field {
  const known = fields.get(name);
  if (known) return known;
  const field = made(name);
  fields.set(name, field);
  return field;
}

function made(name: RareFieldName): Field {
  if (isPlanPart(name)) return ofLoan(PLAN_PART_FIELDS[name]);
  if (isPlanLine(name)) return ofLoan(planLineField(name));
  return name.startsWith("lease/")
    ? ofLease(LEASE_FIELDS[name as LeasePlanFieldName], name.slice("lease/".length) as Figure)
    : lineField(name as LineFieldName);
}
