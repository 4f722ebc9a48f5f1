import { type Field, ofItsKind } from "../../../fields/field";
import { lineField } from "../../../fields/line-fields";
import { remembered } from "../../../fields/remembered";
import { LOAN_KNOWN_FIELDS, type LoanKnownFieldName } from "./loan-known";
import { type PlanLineFieldName, planLineField } from "./plan-lines";
import { PLAN_PART_FIELDS, type PlanPartFieldName } from "./plan-part-fields";

const PLAN_LINE = /^(steps|once|datedPayments)\//;

/** All about a field that a plain loan does not have; undefined where it is none of a loan. */
export const rareLoanField = remembered((name): Field | undefined => {
  if (name in LOAN_KNOWN_FIELDS) return ofItsKind(LOAN_KNOWN_FIELDS[name as LoanKnownFieldName]);
  if (name in PLAN_PART_FIELDS) return ofItsKind(PLAN_PART_FIELDS[name as PlanPartFieldName]);
  return PLAN_LINE.test(name) ? ofItsKind(planLineField(name as PlanLineFieldName)) : lineField(name);
});
