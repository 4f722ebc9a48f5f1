import { type Field, ofItsKind } from "../../../fields/field";
import { PLAN_FIELDS } from "./plan-fields";

/** All about a field of a loan's plan; undefined where it is none. */
export const loanField = (name: string): Field | undefined =>
  name in PLAN_FIELDS ? ofItsKind(PLAN_FIELDS[name as keyof typeof PLAN_FIELDS]) : undefined;
